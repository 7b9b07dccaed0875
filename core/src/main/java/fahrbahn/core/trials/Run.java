package fahrbahn.core.trials;

import fahrbahn.core.check.Check;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Setting;
import java.time.Instant;

/**
 * One run in the log book, of the robot on the table or of its twin: what was set, under what circumstances, and what happened.
 *
 * @param id unlike any other run's
 * @param robot identifier of the club's robot
 * @param basis setting, table, venue, battery and the rest, as they were
 */
public record Run(String id, Source source, String robot, Basis basis, Outcome outcome, String note) {
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

    public Run {
        Check.text("id", id, "an identifier");
        Check.require(basis.setting().isPresent(), "setting", "missing", "the robot, line and law it ran with");
    }

    public Instant at() {
        return basis.at();
    }

    public Setting setting() {
        return basis.setting().orElseThrow();
    }
}
