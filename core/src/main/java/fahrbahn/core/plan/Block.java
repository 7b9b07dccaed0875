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
    /** What is done. */
    public enum What {
        /** Which way it turns on light and on dark, by hand, and one slow run. */
        CHECK("check"),
        RUN("run"),
        BATTERY("battery"),
        CALIBRATE("calibrate");

        private final String word;

        What(String word) {
            this.word = word;
        }

        /** As commands tell it. */
        public String word() {
            return word;
        }
    }
}
