package fahrbahn.app.model;

import fahrbahn.core.setup.SetupDifference;
import java.util.List;

/**
 * Whether a station's result still stands.
 *
 * @param reason why it is stale or what is missing; empty when fresh
 */
public record Freshness(Mark mark, String reason) {
    /** Shown by shape and word together. */
    public enum Mark {
        FRESH("fresh"),
        STALE("stale"),
        MISSING("missing");

        private final String word;

        Mark(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    public static final Freshness FRESH = new Freshness(Mark.FRESH, "");

    public static Freshness stale(String reason) {
        return new Freshness(Mark.STALE, reason);
    }

    public static Freshness missing(String reason) {
        return new Freshness(Mark.MISSING, reason);
    }

    /** Fresh when nothing differs; else stale, naming the first difference and how many more there are. */
    static Freshness of(List<SetupDifference> differences) {
        if (differences.isEmpty()) {
            return FRESH;
        }
        int more = differences.size() - 1;
        return stale(differences.get(0) + (more == 0 ? "" : ", and " + more + " more"));
    }
}
