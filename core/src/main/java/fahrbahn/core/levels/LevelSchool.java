package fahrbahn.core.levels;

import fahrbahn.core.setup.Law;

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

    /**
     * The one for a law. A single sensor that steers in proportion rides where its level is: halfway it has most slope and as much room to either
     * side. A law that only asks on which side a reading lies wants the fewest misreads.
     */
    public static LevelSchool pick(Law law) {
        boolean rides = law.kind() == Law.Kind.EDGE && law.options().steps().isEmpty();
        return rides ? MIDPOINT : BEST;
    }
}
