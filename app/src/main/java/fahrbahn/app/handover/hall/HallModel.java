package fahrbahn.app.handover.hall;

import fahrbahn.app.errand.RefusedException;
import fahrbahn.app.handover.program.ProgramModel;
import fahrbahn.app.levels.LevelsModel;
import fahrbahn.app.measure.MeasureModel;
import fahrbahn.app.runs.QuickLog;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Document;
import fahrbahn.app.state.State;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.hall.HallAdvice;
import fahrbahn.core.hall.HallDay;
import fahrbahn.core.hall.HallStep;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.plan.Pace;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.ProgramConstant;
import fahrbahn.core.quality.Finding;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.review.TwoOnOneTable;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.table.Ground;
import fahrbahn.core.trials.PartOf;
import fahrbahn.core.trials.Run;
import fahrbahn.core.tuning.CapturedTurnMarks;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Track;
import fahrbahn.store.document.Kinds;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/** Five minutes in a new hall: the clock, the steps, what each is worth, and the numbers to type. */
public final class HallModel {
    /** From one run to the next, before the log book tells. */
    private static final double USUAL_RUN_S = 75;

    private static final int PAIRS = 100;

    /** The same numbers get the same judgement. */
    private static final long SEED = 1;

    private static final List<HallStep> CAPTURED = List.of(HallStep.LIGHT, HallStep.DARK, HallStep.MARKS);

    private final Season season;
    private final Document<HallDay> day;
    private final ProgramModel program;
    private final MeasureModel measure;
    private final LevelsModel levels;
    private final QuickLog log;
    private final HallCaptures captures;
    private final Supplier<Optional<Ground>> table;
    private final Consumer<String> tell;
    private final Derived<TwoOnOneTable> worth;
    private final Derived<TurnMarks> marks;
    private final Derived<Double> runS;

    /** What levels are worth: both sets of numbers on one table. */
    private record Levels(Setup robot, Setup program, Ground ground) {}

    /** Marks as they look here. */
    private record Marks(TurnMarks old, List<Capture> here) {}

    public HallModel(
            Season season,
            ProgramModel program,
            MeasureModel measure,
            LevelsModel levels,
            QuickLog log,
            Supplier<Optional<Ground>> table) {
        this.season = season;
        this.day = season.state().document(Kinds.HALL);
        this.program = program;
        this.measure = measure;
        this.captures = new HallCaptures(season, measure, levels);
        this.levels = levels;
        this.log = log;
        this.table = table;
        State state = season.state();
        this.tell = state.errands().tell();
        this.worth = state.derive("What new thresholds change here", this::levelsHere, HallModel::drive);
        this.marks = state.derive(
                "The marks of this venue", this::marksHere, (now, job) -> CapturedTurnMarks.of(now.old(), now.here()));
        this.runS = state.derive("How long a run takes", season::runsNow, (runs, job) -> paceS(runs.values()));
    }

    public MeasureModel measure() {
        return measure;
    }

    /** The minutes of the selected robot; empty when they have not begun. What was captured since is done, and undoing the capture undoes that. */
    public Optional<HallDay> day() {
        return day.kept().map(noted -> {
            HallDay now = noted;
            for (HallStep step : CAPTURED) {
                now = captures.done(step, noted.begun()) ? now.with(step, captures.at(step)) : now.without(step);
            }
            return now;
        });
    }

    /** With the levels just captured against those that stand in the program. */
    public Derived<TwoOnOneTable> worth() {
        return worth;
    }

    /** Somebody looks. */
    public void show() {
        worth.show();
        marks.show();
        runS.show();
    }

    private Levels levelsHere() {
        HallDay now = day().orElseThrow(() -> new RefusedException(HallWords.NOT_BEGUN));
        if (now.steps().contains(HallStep.TYPE) || !fresh()) {
            throw new RefusedException(HallWords.CAPTURE_FIRST);
        }
        Ground ground = table.get().orElseThrow(() -> new RefusedException(HallWords.NO_TABLE));
        return new Levels(levels.measuredOnRobot(), season.setupOrGuess(), ground);
    }

    private static TwoOnOneTable drive(Levels now, Job job) {
        return TwoOnOneTable.programmed(
                Track.of(now.ground(), now.robot()), now.program(), Spread.TYPICAL, PAIRS, SEED, Workers.all(), job);
    }

    /** Why marks that were captured are none to go by; empty when nothing is wrong with them. */
    Optional<String> marksRefused() {
        boolean captured = day().filter(d -> d.steps().containsAll(CAPTURED)).isPresent();
        return captured ? Optional.of(marks.value().refusal()).filter(why -> !why.isEmpty()) : Optional.empty();
    }

    private Marks marksHere() {
        Set<HallStep> done = day().map(HallDay::steps).orElse(Set.of());
        if (turnMarks().isEmpty() || !done.containsAll(CAPTURED)) {
            throw new RefusedException(HallWords.CAPTURE_FIRST);
        }
        return new Marks(turnMarks().get(), here());
    }

    /** @throws BadValueException when so many minutes cannot be */
    public void begin(double minutes) {
        day.set("venue minutes begun", HallDay.begun(season.now(), minutes));
    }

    public void end() {
        day.remove("venue minutes ended");
    }

    /** Seconds that are left; NaN when they have not begun. */
    public double leftS() {
        return day().map(d -> d.leftS(season.now())).orElse(Double.NaN);
    }

    /** Takes readings as this surface; its step is done as soon as they are there. */
    public void capture(HallStep step) {
        measure.capture(captures.surface(step));
    }

    private Optional<TurnMarks> turnMarks() {
        return season.setupOrGuess().law().options().turnMarks();
    }

    /** Whether the program looks for coloured marks. */
    boolean looksForMarks() {
        return turnMarks().isPresent();
    }

    /** A step that nothing else tells of is done, or was not after all. */
    public void tick(HallStep step) {
        day().ifPresent(d -> {
            boolean was = d.steps().contains(step);
            day.set(
                    HallWords.name(step) + (was ? " not done yet" : " done"),
                    was ? d.without(step) : d.with(step, season.now()));
        });
    }

    /** The new numbers were typed into the robot: they are on it from now on. */
    public void typed() {
        if (!fresh()) {
            tell.accept(alike().map(HallWords::alike).orElse(HallWords.CAPTURE_FIRST));
            return;
        }
        Set<String> names =
                numbers().stream().map(ProgramConstant::name).collect(Collectors.toCollection(HashSet::new));
        season.together("venue numbers typed", () -> {
            levels.useOnRobot();
            if (marks.get().isPresent()) {
                season.changeSetup(this::marked);
            }
            program.toType().stream()
                    .filter(change -> Double.isNaN(change.now()))
                    .forEach(gone -> names.add(gone.name()));
            program.handOverSome(names);
            day().filter(d -> !d.steps().contains(HallStep.TYPE)).ifPresent(d -> tick(HallStep.TYPE));
        });
    }

    /** A run is over; it goes into the log book. @param ran false when it was lost, and the step is not done then */
    public void run(HallStep step, boolean ran) {
        season.together(HallWords.name(step) + (ran ? " ran" : " lost"), () -> {
            log.log(ran, QuickLog.Typed.NOTHING.withNote(HallWords.name(step)), Optional.of(PartOf.NEW_VENUE));
            if (ran) {
                day().filter(d -> !d.steps().contains(step)).ifPresent(d -> tick(step));
            }
        });
    }

    /** The run that is next. */
    public HallStep nextRun() {
        Set<HallStep> done = day().map(HallDay::steps).orElse(Set.of());
        return !done.contains(HallStep.SLOW)
                ? HallStep.SLOW
                : !done.contains(HallStep.REAL) ? HallStep.REAL : HallStep.SPARE;
    }

    /** What is wrong with light and dark as they were captured here; most often the robot was not moved between. */
    Optional<Finding> alike() {
        return bothThere() && levels.judged() ? levels.refused() : Optional.empty();
    }

    /** Whether the numbers are of this hall. */
    boolean fresh() {
        return bothThere() && levels.canUse();
    }

    private boolean bothThere() {
        return day.kept().filter(d -> captures.bothThere(d.begun())).isPresent();
    }

    private List<Capture> here() {
        Instant since = day.kept().map(HallDay::begun).orElse(Instant.MAX);
        return season.captures().stream().filter(c -> !c.at().isBefore(since)).toList();
    }

    /** Of the numbers that are typed. */
    Grain grain() {
        return program.style().grain();
    }

    /** The steps that are left, the best first. */
    public Optional<HallAdvice> advice() {
        return day().map(d -> HallAdvice.of(new HallAdvice.Standing(
                d.steps(),
                d.leftS(season.now()),
                runS.get().orElse(USUAL_RUN_S),
                looksForMarks(),
                worth.get().map(w -> w.chance().a() - w.chance().b()).orElse(Double.NaN))));
    }

    private static double paceS(List<Run> runs) {
        Pace pace = Pace.of(
                runs.stream().filter(run -> run.source() == Run.Source.TABLE).toList());
        return pace.lapS().isPresent()
                ? pace.lapS().getAsDouble() + pace.resetS().orElse(0)
                : USUAL_RUN_S;
    }

    private Setup marked(Setup setup) {
        return marks.get().map(found -> HallNumbers.with(setup, found)).orElse(setup);
    }

    /** What is to be typed here: as captured once it is, as it stands before; of marks what is another than on the robot. */
    public List<ProgramConstant> numbers() {
        Setup now = season.setupOrGuess();
        return HallNumbers.of(now, marked(fresh() ? levels.measuredOnRobot() : now), grain());
    }
}
