package fahrbahn.app.model;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.SetupDifference;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.trials.RunRecord;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Trace;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The twin on the demo course. */
public final class DriveModel extends StationModel {
    private final SeasonModel season;
    private final Clock clock;
    private final Background.Slot slot;
    private final Course course = DemoCourses.workshopLoop();
    private final ReadOnlyObjectWrapper<Optional<Drive>> drive = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper(false);
    private long nextSeed = 1;

    /** One finished run. */
    public record Drive(Setup setup, long seed, RunResult result, Trace trace) {}

    private record Attempt(Optional<Drive> drive, String problem) {}

    DriveModel(SeasonModel season, Background background, Clock clock) {
        this.season = season;
        this.clock = clock;
        this.slot = background.new Slot();
        season.setupProperty().addListener(o -> judge());
        judge();
    }

    public Course course() {
        return course;
    }

    public SeasonModel season() {
        return season;
    }

    /** The latest run. */
    public ReadOnlyObjectProperty<Optional<Drive>> driveProperty() {
        return drive.getReadOnlyProperty();
    }

    public ReadOnlyBooleanProperty runningProperty() {
        return running.getReadOnlyProperty();
    }

    /** One lap with the setup as it is; each run has noise of its own. */
    public void run() {
        Setup setup = season.setupOrGuess();
        long seed = nextSeed++;
        running.set(true);
        slot.run("The run", () -> attempt(setup, seed), attempt -> {
            running.set(false);
            drive.set(attempt.drive());
            if (attempt.drive().isPresent()) {
                judge();
            } else {
                say(Verdict.stop(attempt.problem() + "."), Freshness.missing("no run"));
            }
        });
    }

    private Attempt attempt(Setup setup, long seed) {
        try {
            Track track = Track.of(course, setup);
            Trace trace = new Trace();
            RunResult result = Twin.run(track, Start.noisy(0, seed), trace);
            return new Attempt(Optional.of(new Drive(setup, seed, result, trace)), "");
        } catch (BadValueException cannot) {
            return new Attempt(Optional.empty(), cannot.getMessage());
        }
    }

    private void judge() {
        if (drive.get().isEmpty()) {
            say(
                    Verdict.open(
                            "Press Space: the twin drives one lap of the " + course.name() + " with the gains as set."),
                    Freshness.missing("no run"));
        } else {
            Drive last = drive.get().get();
            say(verdict(last), Freshness.of(SetupDifference.between(last.setup(), season.setupOrGuess())));
        }
    }

    private Verdict verdict(Drive last) {
        RunResult result = last.result();
        String at = Words.number(result.sMm() / 1000, 2) + " m, after " + Words.number(result.timeS(), 3) + " s";
        return switch (result.end()) {
            case FINISHED -> finished(last);
            case LEFT_THE_LINE ->
                Verdict.stop("Lost the line at " + at + ". Go back to Gains"
                        + (last.setup().line().tightestRadiusMm()
                                        > course.path().tightestRadiusMm()
                                ? ": the course has bends of "
                                        + Words.millimetres(course.path().tightestRadiusMm())
                                        + ", tighter than the robot was set up for."
                                : " and compare Kp with the lane."));
            case TURNED_ROUND -> Verdict.stop("Turned round at " + at + " and rode back. Go back to Gains.");
            case TOO_SLOW ->
                Verdict.stop("Not round after " + Words.number(result.timeS(), 3)
                        + " s, four times what the lap should take. Raise the base command.");
        };
    }

    private static Verdict finished(Drive last) {
        RunResult result = last.result();
        String figures = "Completed in " + Words.number(result.timeS(), 4) + " s, " + Words.number(result.rmsMm(), 2)
                + " mm RMS from the path, " + Words.number(result.peakMm(), 2) + " mm at most.";
        double half = last.setup().line().widthMm() / 2;
        return result.peakMm() > half
                ? Verdict.care(
                        figures + " The peak is more than half the line's width: little is left before it is lost.")
                : Verdict.good(figures + " Press K to keep it in Runs.");
    }

    /** True when there is a run to keep. */
    public boolean canKeep() {
        return drive.get().isPresent();
    }

    /** Puts the latest run into the log book. */
    public void keep() {
        drive.get().ifPresent(last -> {
            RunResult result = last.result();
            season.logRun(new RunRecord(
                    UUID.randomUUID().toString(),
                    clock.instant(),
                    RunRecord.Source.TWIN,
                    course.name(),
                    last.setup(),
                    new RunRecord.Outcome(result.completed(), result.timeS(), result.rmsMm()),
                    result.completed() ? "" : "lost at " + Words.number(result.sMm() / 1000, 2) + " m"));
        });
    }
}
