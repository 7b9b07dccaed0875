package fahrbahn.app.season;

/**
 * The one sentence a station leads with: the number, what it means and the next step.
 *
 * @param tone how it stands, shown by shape and colour together
 */
public record Verdict(Tone tone, String sentence) {
    /** How a matter stands. */
    public enum Tone {
        GOOD("good"),
        CARE("take care"),
        STOP("stop"),
        OPEN("open");

        private final String word;

        Tone(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** The same with more to say. @param more begins with a space, or is empty */
    public Verdict and(String more) {
        return new Verdict(tone, sentence + more);
    }

    public static Verdict good(String sentence) {
        return new Verdict(Tone.GOOD, sentence);
    }

    public static Verdict care(String sentence) {
        return new Verdict(Tone.CARE, sentence);
    }

    public static Verdict stop(String sentence) {
        return new Verdict(Tone.STOP, sentence);
    }

    public static Verdict open(String sentence) {
        return new Verdict(Tone.OPEN, sentence);
    }
}
