package fahrbahn.core.stopping;

/** How a program decides that it is there. */
public enum Rule {
    /** After a time: what speed differs from run to run carries over the whole way. */
    TIMER("timer"),
    /** After so many turns of the wheels: slip carries over the whole way. */
    WHEEL_TURNS("wheel-turns"),
    /** At a mark beside or on the line. */
    MARK("mark"),
    /** When both sensors see dark at once: a bar across the line. */
    BOTH_DARK("both-dark"),
    /** When a distance sensor reads little enough; a reading may miss. */
    DISTANCE("distance");

    private final String word;

    Rule(String word) {
        this.word = word;
    }

    /** As commands tell it. */
    public String word() {
        return word;
    }
}
