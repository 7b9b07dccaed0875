package fahrbahn.core.hall;

/** What is done in a new hall, in the order in which it is done when there is time for all of it. */
public enum HallStep {
    /** Light is captured again. */
    LIGHT(15, 0.3),
    /** Dark likewise. */
    DARK(15, 0.3),
    /** Coloured marks likewise. */
    MARKS(40, 0.1),
    /** Levels and scaling are typed into the robot. */
    TYPE(60, 0.3),
    /** The sign is checked by hand, wheels up: a slip of the minute before would turn it away at once. */
    SIGN(20, 0.1),
    /** One slow run: what is grossly wrong shows without harm. */
    SLOW(45, 0.08),
    /** One run as in earnest. */
    REAL(0, 0.05),
    /** One more, for the first is odd. */
    SPARE(0, 0.02);

    private final double usualS;
    private final double worth;

    HallStep(double usualS, double worth) {
        this.usualS = usualS;
        this.worth = worth;
    }

    /** How long it takes a crew that has done it before, s; 0 for runs in earnest, which take what they take. */
    public double usualS() {
        return usualS;
    }

    /** Share of starts that it saves, as long as nothing better is known: of our own choosing. */
    public double usualWorth() {
        return worth;
    }

    public boolean isRun() {
        return this == SLOW || this == REAL || this == SPARE;
    }
}
