package fahrbahn.app.model;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.SetupDifference;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.trials.Completion;
import fahrbahn.core.trials.RunRecord;
import fahrbahn.core.trials.Sample;
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

    DriveModel(SeasonModel season, GainsModel gains, Background background, Clock clock) {
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
        slot.run("The run", work, attempt -> {
            running.set(false);
            if (attempt.result().isPresent()) {
                show.accept(attempt.result().get());
                judge();
            } else {
                say(Verdict.stop(attempt.problem() + "."), Freshness.missing("no run"));
            }
        });
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
            say(odds(last), freshness(last.setup(), last.course()));
        } else if (drive.get().isEmpty()) {
            say(
                    Verdict.open("Press Space: the twin drives the " + course().name() + " once with the gains as set."
                            + " M drives it " + MANY + " times for the odds."),
                    Freshness.missing("no run"));
        } else {
            Drive last = drive.get().get();
            say(verdict(last), freshness(last.setup(), last.course()));
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
        return Freshness.stale(reasons, "").repairedBy("drive again: Space", Station.DRIVE);
    }

    private static Verdict odds(Odds last) {
        Completion chance = last.runs().completion();
        Sample times = Sample.of(last.runs().ofCompleted(RunResult::timeS));
        Sample peaks = Sample.of(last.runs().ofCompleted(RunResult::peakMm));
        String sentence = chance.completed() + " of " + chance.runs() + " runs complete, a chance of "
                + Words.percent(chance.low()) + " to " + Words.percent(chance.high())
                + " if battery, light, grip and start differ as we reckon for a table evening.";
        if (chance.completed() < chance.runs()) {
            sentence +=
                    (chance.completed() == 0 ? " They are" : " The others are") + " lost about " + lostAt(last) + ".";
        }
        if (times.n() > 1) {
            sentence += " They take " + Words.number(times.mean(), 3) + " s, give or take "
                    + Words.number(times.sd(), 2) + " s, and stray " + Words.number(peaks.mean(), 2) + " mm at most.";
        }
        if (chance.completed() == 0) {
            return Verdict.stop(sentence + " Press Space to watch one.");
        }
        return chance.completed() == chance.runs() ? Verdict.good(sentence) : Verdict.care(sentence);
    }

    /** The middle of the places where runs were lost, and what lies there. */
    private static String lostAt(Odds last) {
        double[] places = last.runs().results().stream()
                .filter(result -> !result.completed())
                .mapToDouble(RunResult::sMm)
                .toArray();
        double middle = Sample.of(places).median();
        return Words.number(middle / 1000, 2) + " m along, "
                + Words.where(last.course().path().partAt(middle));
    }

    private Verdict verdict(Drive last) {
        RunResult result = last.result();
        String at = Words.number(result.sMm() / 1000, 2) + " m, "
                + Words.where(last.course().path().partAt(result.sMm())) + ", after "
                + Words.number(result.timeS(), 3) + " s";
        return switch (result.end()) {
            case FINISHED -> finished(last);
            case LEFT_THE_LINE ->
                Verdict.stop("Lost the line at " + at + ". Go back to Gains"
                        + (last.setup().line().tightestRadiusMm()
                                        > course().path().tightestRadiusMm()
                                ? ": the course has bends of "
                                        + Words.millimetres(course().path().tightestRadiusMm())
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
                    last.course().name(),
                    last.setup(),
                    new RunRecord.Outcome(result.completed(), result.timeS(), result.rmsMm()),
                    result.completed() ? "" : "lost at " + Words.number(result.sMm() / 1000, 2) + " m"));
        });
    }
}
