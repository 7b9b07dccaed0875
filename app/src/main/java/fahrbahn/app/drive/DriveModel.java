package fahrbahn.app.drive;

import fahrbahn.app.gains.GainsModel;
import fahrbahn.app.season.Background;
import fahrbahn.app.season.Freshness;
import fahrbahn.app.season.SeasonModel;
import fahrbahn.app.season.Station;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.words.Words;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.SetupDifference;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.trials.RunRecord;
import fahrbahn.core.twin.Ensemble;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Trace;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The twin on a course of our own: one run with its trace, or many with the odds. */
public final class DriveModel extends StationModel {
    private final SeasonModel season;
    private final GainsModel gains;
    private final Clock clock;
    private final Background.Slot slot;
    private final ReadOnlyObjectWrapper<Course> course = new ReadOnlyObjectWrapper<>(DemoCourses.workshopLoop());
    private final ReadOnlyObjectWrapper<Optional<Odds>> odds = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Drive>> drive = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper(false);
    private long nextSeed = 1;
    private Watched job = new Watched();

    /** Runs of which the odds are told: enough for an interval of some 7 % to each side. */
    private static final int MANY = 200;

    /** One finished run. */
    public record Drive(Setup setup, Course course, long seed, RunResult result, Trace trace) {}

    /** Many finished runs. */
    public record Odds(Setup setup, Course course, Ensemble runs) {}

    /** What came of some work: a result, or why there is none. */
    private record Attempt<T>(Optional<T> result, String problem) {}

    /** Followed by the window's frames, stopped by its button. */
    private static final class Watched implements Job {
        private volatile boolean cancelled;
        private volatile double share;

        @Override
        public boolean cancelled() {
            return cancelled;
        }

        @Override
        public void progress(int done, int of) {
            share = (double) done / of;
        }
    }

    public DriveModel(SeasonModel season, GainsModel gains, Background background, Clock clock) {
        this.season = season;
        this.gains = gains;
        this.clock = clock;
        this.slot = background.new Slot();
        season.setupProperty().addListener(o -> judge());
        season.courseProperty().addListener(o -> judge());
        gains.freshnessProperty().addListener(o -> judge());
        judge();
    }

    /** Courses to choose from. */
    public List<Course> courses() {
        List<Course> all = new ArrayList<>();
        // The coach's own first, once it is finished.
        season.courseProperty()
                .get()
                .filter(draft -> draft.problem().isEmpty())
                .ifPresent(draft -> all.add(draft.course()));
        DemoCourses.all().stream()
                .filter(c -> all.stream().noneMatch(mine -> mine.name().equals(c.name())))
                .forEach(all::add);
        return List.copyOf(all);
    }

    public ReadOnlyObjectProperty<Course> courseProperty() {
        return course.getReadOnlyProperty();
    }

    public Course course() {
        return course.get();
    }

    /** Lays another course; what was driven on the one before is put away. */
    public void choose(Course newCourse) {
        if (!newCourse.equals(course.get())) {
            cancel();
            drive.set(Optional.empty());
            odds.set(Optional.empty());
            course.set(newCourse);
            judge();
        }
    }

    /** The odds of the latest many runs. */
    public ReadOnlyObjectProperty<Optional<Odds>> oddsProperty() {
        return odds.getReadOnlyProperty();
    }

    /** How far the work at hand is, 0 to 1. */
    public double progress() {
        return job.share;
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

    /** One run with the setup as it is; each has noise of its own. */
    public void run() {
        Setup setup = season.setupOrGuess();
        Course on = course();
        long seed = nextSeed++;
        job = new Watched(); // the bar does not stand where the runs before left it
        begin(
                () -> attempt(() -> {
                    Trace trace = new Trace();
                    RunResult result = Twin.run(Track.of(on, setup), Start.noisy(0, seed), trace);
                    return new Drive(setup, on, seed, result, trace);
                }),
                result -> {
                    odds.set(Optional.empty());
                    drive.set(Optional.of(result));
                });
    }

    /** Many runs, which differ as runs of a table evening do. */
    public void runMany() {
        Setup setup = season.setupOrGuess();
        Course on = course();
        long seed = nextSeed++;
        Watched watched = new Watched();
        job = watched;
        begin(
                () -> attempt(() -> new Odds(
                        setup,
                        on,
                        Ensemble.drive(Track.of(on, setup), Spread.TYPICAL, 0, MANY, seed, Workers.all(), watched))),
                result -> odds.set(Optional.of(result)));
    }

    /** Stops the work at hand; its result, if any, is not shown. */
    public void cancel() {
        job.cancelled = true;
        slot.forget();
        running.set(false);
    }

    private <T> void begin(Supplier<Attempt<T>> work, Consumer<T> show) {
        running.set(true);
        slot.run(
                "The run",
                work,
                attempt -> {
                    running.set(false);
                    if (attempt.result().isPresent()) {
                        show.accept(attempt.result().get());
                        judge();
                    } else {
                        say(Verdict.stop(attempt.problem() + "."), Freshness.missing("no run"));
                    }
                },
                () -> running.set(false));
    }

    private static <T> Attempt<T> attempt(Supplier<T> work) {
        try {
            return new Attempt<>(Optional.of(work.get()), "");
        } catch (BadValueException | CancelledException cannot) {
            return new Attempt<>(Optional.empty(), cannot.getMessage());
        }
    }

    private void judge() {
        if (odds.get().isPresent()) {
            Odds last = odds.get().get();
            say(DriveWords.odds(last), freshness(last.setup(), last.course()));
        } else if (drive.get().isEmpty()) {
            say(
                    Verdict.open("Press Space: the twin drives the " + course().name() + " once with the gains as set."
                            + " M drives it " + MANY + " times for the odds."),
                    Freshness.missing("no run"));
        } else {
            Drive last = drive.get().get();
            say(DriveWords.verdict(last), freshness(last.setup(), last.course()));
        }
    }

    /** Stale when it drove with another setup or on another course, or with gains that are stale themselves. */
    private Freshness freshness(Setup drivenWith, Course drivenOn) {
        List<String> reasons = new ArrayList<>();
        SetupDifference.between(drivenWith, season.setupOrGuess()).forEach(d -> reasons.add(d.toString()));
        if (courses().stream().noneMatch(drivenOn::equals)) {
            reasons.add("the course has been changed");
        }
        Freshness chosen = gains.freshnessProperty().get();
        if (reasons.isEmpty() && chosen.mark() == Freshness.Mark.STALE) {
            return new Freshness(chosen.mark(), "with gains that are: " + chosen.reason(), chosen.repair());
        }
        return Freshness.stale(reasons, "").repairedBy("drive again: Space", Station.DRIVE, "Space");
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
                    last.course().name(),
                    last.setup(),
                    new RunRecord.Outcome(result.completed(), result.timeS(), result.rmsMm()),
                    result.completed() ? "" : "lost at " + Words.number(result.sMm() / 1000, 2) + " m"));
        });
    }
}
