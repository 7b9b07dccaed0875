package fahrbahn.words;

import fahrbahn.core.program.HandOver.Change;
import java.util.List;

/** What was handed over, and what is to be typed anew, in words. */
public final class HandOverWords {
    public static final String CAUTION =
            "Fingers, hair and sleeves away from wheels and arms when the program starts. The first run with new numbers can surprise.";

    private static final int MOST_NAMED = 2;

    private HandOverWords() {}

    /** What differs from the last hand-over. */
    public static String differs(List<Change> changes) {
        StringBuilder words = new StringBuilder();
        for (int i = 0; i < Math.min(MOST_NAMED, changes.size()); i++) {
            words.append(i == 0 ? "" : ", ").append(differs(changes.get(i)));
        }
        int more = changes.size() - MOST_NAMED;
        return words + (more > 0 ? ", and " + more + " more" : "");
    }

    public static String differs(Change change) {
        if (Double.isNaN(change.before())) {
            return change.name() + " is new: " + Words.number(change.now(), 6);
        }
        return Double.isNaN(change.now())
                ? change.name() + " is not needed"
                : change.name() + " is " + Words.number(change.now(), 6) + " and " + Words.number(change.before(), 6)
                        + " was handed over";
    }
}
