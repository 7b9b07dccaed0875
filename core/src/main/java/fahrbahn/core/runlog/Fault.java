package fahrbahn.core.runlog;

/** What can be wrong with a robot that its log shows. In the order in which they are looked at: the first makes those after it. */
public enum Fault {
    STUCK_SENSOR("stuck-sensor"),
    /** It steers away from the line: sensors swapped, the wrong edge, or a sign. */
    WRONG_WAY("wrong-way"),
    /** Readings beyond anything the table has. */
    GLARE("glare"),
    /** Dark and light are not where the program has them. */
    LEVELS("levels"),
    /** Lines of the log are missing: what it says of a loop is of the log, not of the robot. */
    LOST_LINES("lost-lines"),
    SLOW_LOOP("slow-loop"),
    UNEVEN_LOOP("uneven-loop"),
    /** One wheel turns more than the other at the same command. */
    UNEVEN_WHEELS("uneven-wheels"),
    /** It drives slower than its commands say. */
    LOW_BATTERY("low-battery"),
    /** From a reading to its effect it takes longer than the setup has it. */
    LAG("lag"),
    /** Wiggles, without a gain on the change of the error. */
    NO_DAMPING("no-damping"),
    /** Wiggles although it has one. */
    TOO_SHARP("too-sharp"),
    TOO_SOFT("too-soft");

    private final String word;

    Fault(String word) {
        this.word = word;
    }

    /** As commands tell it. */
    public String word() {
        return word;
    }
}
