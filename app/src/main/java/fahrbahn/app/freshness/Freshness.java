package fahrbahn.app.freshness;

import java.util.Optional;

/**
 * Whether a station's result still stands.
 *
 * @param reason why it is stale, what is missing, or what it stands in spite of; may be empty when fresh
 * @param repair the shortest way to make it fresh; empty when fresh, or when there is none but the station's own next step
 */
public record Freshness(Mark mark, String reason, Optional<Repair> repair) {
    /** Shown by shape and word together. */
    public enum Mark {
        FRESH("up to date"),
        /** It stands, but on numbers nobody has measured. */
        GUESS("uses typical values"),
        STALE("out of date"),
        MISSING("not done");

        private final String word;

        Mark(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }

        /** Name of the state in the style sheet. */
        public String style() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    /**
     * @param words what to do, as on a button
     * @param station where
     * @param act what is done there, or shown, once the station is
     */
    public record Repair(String words, Station station, Runnable act) {}

    public static final Freshness FRESH = new Freshness(Mark.FRESH, "", Optional.empty());

    public static Freshness fresh(String inSpiteOf) {
        return new Freshness(Mark.FRESH, inSpiteOf, Optional.empty());
    }

    public static Freshness guess(String reason) {
        return new Freshness(Mark.GUESS, reason, Optional.empty());
    }

    public static Freshness stale(String reason) {
        return new Freshness(Mark.STALE, reason, Optional.empty());
    }

    public static Freshness missing(String reason) {
        return new Freshness(Mark.MISSING, reason, Optional.empty());
    }

    /** The same with a way out; a fresh result needs none. */
    public Freshness repairedBy(Repair way) {
        return mark == Mark.FRESH ? this : new Freshness(mark, reason, Optional.of(way));
    }
}
