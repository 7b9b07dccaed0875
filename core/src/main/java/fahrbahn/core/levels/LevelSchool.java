package fahrbahn.core.levels;

/** Where coaches put a level between dark and light. */
public enum LevelSchool {
    /** Halfway between the means. */
    MIDPOINT("midpoint"),
    /** Fewest misreads. */
    BEST("best odds"),
    /** What the sensor shows with its spot half on the line. */
    EDGE("measured on the edge"),
    /** What stands in the program. */
    TYPED("typed");

    private final String word;

    LevelSchool(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
