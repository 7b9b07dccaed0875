package fahrbahn.core.trials;

import fahrbahn.core.check.Check;
import fahrbahn.core.setup.Setup;
import java.time.Instant;

/**
 * One run in the log book: what was set and what happened.
 *
 * @param id unlike any other run's
 * @param setup the robot, line and law as they were
 * @param course name of the course
 * @param outcome measured where it can be; NaN where nobody measured
 */
public record RunRecord(
        String id, Instant at, Source source, String course, Setup setup, Outcome outcome, String note) {
    /** Who ran. */
    public enum Source {
        /** The simulated robot. */
        TWIN("twin"),
        /** The robot on the table. */
        TABLE("table");

        private final String word;

        Source(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /**
     * @param timeS above 0, or NaN
     * @param rmsMm distance from the path to ride, root mean square; 0 or more, or NaN
     */
    public record Outcome(boolean completed, double timeS, double rmsMm) {
        public Outcome {
            if (!Double.isNaN(timeS)) {
                Check.positive("timeS", timeS);
            }
            if (!Double.isNaN(rmsMm)) {
                Check.notNegative("rmsMm", rmsMm);
            }
        }
    }

    public RunRecord {
        Check.text("id", id, "an identifier");
        Check.text("course", course, "the name of a course");
    }
}
