package fahrbahn.app.season;

import fahrbahn.core.setup.SetupDifference;
import java.util.List;
import java.util.Optional;

/**
 * Whether a station's result still stands.
 *
 * @param reason why it is stale or what is missing; empty when fresh
 * @param repair the shortest way to make it fresh; empty when fresh, or when there is none but the station's own next step
 */
public record Freshness(Mark mark, String reason, Optional<Repair> repair) {
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

    /**
     * @param words what to do, as on a button
     * @param station where
     * @param press what is pressed there: the name of a key or the title of a page; empty when the coach has to act
     */
    public record Repair(String words, Station station, String press) {}

    public static final Freshness FRESH = new Freshness(Mark.FRESH, "", Optional.empty());

    public static Freshness stale(String reason) {
        return new Freshness(Mark.STALE, reason, Optional.empty());
    }

    public static Freshness missing(String reason) {
        return new Freshness(Mark.MISSING, reason, Optional.empty());
    }

    /** The same with a way out; a fresh result needs none. */
    public Freshness repairedBy(String words, Station station, String press) {
        return mark == Mark.FRESH ? this : new Freshness(mark, reason, Optional.of(new Repair(words, station, press)));
    }

    /** Fresh when nothing differs; else stale, naming the first difference and how many more there are. */
    public static Freshness of(List<SetupDifference> differences) {
        return stale(differences.stream().map(SetupDifference::toString).toList(), "");
    }

    /** Fresh without reasons; else stale, with the first of them and how many more there are. */
    public static Freshness stale(List<String> reasons, String before) {
        if (reasons.isEmpty()) {
            return FRESH;
        }
        int more = reasons.size() - 1;
        return stale(before + reasons.get(0) + (more == 0 ? "" : ", and " + more + " more"));
    }
}
