package fahrbahn.link;

import fahrbahn.core.readings.Reading;
import java.util.List;

/** Hears what a link delivers, in order, on the link's own thread. Must return quickly. */
public interface LinkListener {
    /**
     * One tick.
     *
     * @param sensors names in the order of the reading's values; the same list object as long as the columns stay
     * @param brokenLines lines skipped so far because they could not be understood
     */
    void reading(List<String> sensors, Reading reading, long brokenLines);

    /** The link has ended by itself: what happened and what to do. Not called after {@link Link#close}. */
    void lost(String why);
}
