package fahrbahn.core.plan;

/**
 * One thing at one time.
 *
 * @param startS from the beginning of the plan
 * @param endS likewise, after {@code startS}
 * @param robot empty when it is for the whole crew
 * @param setting of a run; empty for the others
 */
public record Block(double startS, double endS, String table, String team, String robot, What what, String setting) {
    /** What is done. The runs stand in the order in which a robot new to a table is tried. */
    public enum What {
        /** Which way it turns on light and on dark, by hand, and one slow run. */
        CHECK("check", false),
        STRAIGHT("straight", true),
        BENDS("bends", true),
        KP_STEP("kp", true),
        KD_STEP("kd", true),
        RUN("run", true),
        /** Runs of what was found best. */
        CONFIRM("confirm", true),
        BATTERY("battery", false),
        CALIBRATE("calibrate", false);

        private final String word;
        private final boolean isRun;

        What(String word, boolean isRun) {
            this.word = word;
            this.isRun = isRun;
        }

        /** As commands tell it. */
        public String word() {
            return word;
        }

        /** Whether a robot runs with a setting, which is counted and balanced. */
        public boolean isRun() {
            return isRun;
        }
    }
}
