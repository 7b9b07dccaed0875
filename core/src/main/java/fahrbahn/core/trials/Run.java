package fahrbahn.core.trials;

import fahrbahn.core.check.Check;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Setting;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/**
 * One run in the log book, of the robot on the table or of its twin: what was set, under what circumstances, and what happened.
 *
 * @param id unlike any other run's
 * @param robot identifier of the club's robot
 * @param basis setting, table, venue, battery and the rest, as they were
 * @param note words of the coach; those that begin with # are tags
 * @param photo identifier of a photograph the season keeps
 * @param partOf what it was made for; empty for practice
 */
public record Run(
        String id,
        Source source,
        String robot,
        Basis basis,
        Outcome outcome,
        String note,
        Optional<String> photo,
        Optional<PartOf> partOf) {
    private static final Pattern TAG = Pattern.compile("#[\\p{L}\\p{N}_-]+");

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

    /** Of practice, without a photograph. */
    public Run(String id, Source source, String robot, Basis basis, Outcome outcome, String note) {
        this(id, source, robot, basis, outcome, note, Optional.empty(), Optional.empty());
    }

    public Run withOutcome(Outcome newOutcome) {
        return new Run(id, source, robot, basis, newOutcome, note, photo, partOf);
    }

    public Run withNote(String newNote) {
        return new Run(id, source, robot, basis, outcome, newNote, photo, partOf);
    }

    public Run withPhoto(String newPhoto) {
        return new Run(id, source, robot, basis, outcome, note, Optional.of(newPhoto), partOf);
    }

    public Run withPartOf(PartOf newPartOf) {
        return new Run(id, source, robot, basis, outcome, note, photo, Optional.of(newPartOf));
    }

    /** The same of another robot, as the club calls it. */
    public Run ofRobot(String newRobot) {
        return new Run(id, source, newRobot, basis, outcome, note, photo, partOf);
    }

    public Run withBasis(Basis newBasis) {
        return new Run(id, source, robot, newBasis, outcome, note, photo, partOf);
    }

    public Run withoutPhoto() {
        return new Run(id, source, robot, basis, outcome, note, Optional.empty(), partOf);
    }

    /** Volts under which it ran; NaN when nobody noted them. */
    public double volts() {
        return basis.conditions().batteryV();
    }

    /** In the order in which they stand in the note, with their #. */
    public List<String> tags() {
        return TAG.matcher(note).results().map(MatchResult::group).distinct().toList();
    }

    public Instant at() {
        return basis.at();
    }

    public Setting setting() {
        return basis.setting().orElseThrow();
    }
}
