package fahrbahn.app.freshness;

/** The stops along the road, in the order of the work. */
public enum Station {
    ROBOT("Robot"),
    TABLE("Table"),
    MEASURE("Measure"),
    LEVELS("Levels"),
    GAINS("Gains"),
    DRIVE("Drive"),
    RUNS("Runs"),
    HANDOVER("Hand-over");

    private final String title;

    Station(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }

    /** The stop after this one; after the last, the first. */
    public Station next() {
        return values()[(ordinal() + 1) % values().length];
    }
}
