package fahrbahn.core.difference;

/** Something that results rest on, and that can change under them. */
public enum Aspect {
    VENUE("venue"),
    LAMP("lamps"),
    BATTERY("battery"),
    WHEELS("wheels"),
    HEIGHT("sensor height"),
    SENSORS("sensors"),
    LAYOUT("sensor layout"),
    SURFACES("dark and light on the robot"),
    DRIVE("drive"),
    LOOP("loop time"),
    LINE("line"),
    BEND("tightest bend"),
    LAW("control"),
    GAINS("gains"),
    TABLE("table"),
    CAPTURES("captures"),
    AGE("age");

    private final String word;

    Aspect(String word) {
        this.word = word;
    }

    /** The coach's word. */
    public String word() {
        return word;
    }
}
