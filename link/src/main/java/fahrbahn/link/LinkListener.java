package fahrbahn.link;

import fahrbahn.core.readings.Reading;
import java.util.List;

/** Hears what a link delivers, in order, on the link's own thread. Must return quickly. */
public interface LinkListener {
    /** How a simulated robot's first line begins: so is it told from a real one. */
    String GREETING = "bench robot";

    /** A comment line of a robot whose program has begun a run. */
    String RUN_STARTS = "run starts";

    /** Of one that has ended it. */
    String RUN_ENDS = "run ends";

    /**
     * One tick.
     *
     * @param columns names in the order of the reading's values; the same list object as long as the columns stay
     */
    void reading(List<String> columns, Reading reading);

    /** A line could not be understood and was skipped. @param lines how many so far */
    void broken(long lines);

    /** A comment line: words of the robot's program. A bench robot's first ones are that it is one. */
    void said(String words);

    /** Whether what was said is the greeting of a simulated robot. */
    static boolean simulated(String words) {
        return words.startsWith(GREETING);
    }

    /** The link is interrupted and tries again by itself; the next reading says that it is back. @param why in words */
    void away(String why);

    /** The link could not be made, or has ended for good: what happened and what to do. Not called after {@link Link#close}. */
    void lost(String why);
}
