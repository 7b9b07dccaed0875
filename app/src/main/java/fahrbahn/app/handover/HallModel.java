package fahrbahn.app.handover;

import fahrbahn.app.errand.Errands;
import fahrbahn.app.levels.LevelsModel;
import fahrbahn.app.measure.MeasureModel;
import fahrbahn.app.runs.QuickLog;
import fahrbahn.app.season.Season;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.hall.HallAdvice;
import fahrbahn.core.hall.HallDay;
import fahrbahn.core.hall.HallStep;
import fahrbahn.core.plan.Pace;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.ProgramConstant;
import fahrbahn.core.quality.Finding;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.review.TwoOnOneTable;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.table.Ground;
import fahrbahn.core.trials.Run;
import fahrbahn.core.tuning.UsualTurnMarks;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.beans.InvalidationListener;
import javafx.beans.property.ReadOnlyObjectProperty;

/** Five minutes in a new hall: the clock, the steps, what each is worth, and the numbers to type. */
public final class HallModel {
    /** From one run to the next, before the log book tells. */
    private static final double USUAL_RUN_S = 75;

    private static final List<HallStep> CAPTURED = List.of(HallStep.LIGHT, HallStep.DARK, HallStep.MARKS);

    private final Season season;
    private final HandoverModel handover;
    private final MeasureModel measure;
    private final LevelsModel levels;
    private final QuickLog log;
    private final Supplier<Optional<Ground>> table;
    private final Consumer<String> tell;
    private final LevelsWorth worth;
    private final HallMarks marks;
    private OptionalDouble runS = OptionalDouble.empty();

    HallModel(
            Season season,
            HandoverModel handover,
            MeasureModel measure,
            LevelsModel levels,
            QuickLog log,
            Supplier<Optional<Ground>> table,
            Errands errands) {
        this.season = season;
        this.handover = handover;
        this.measure = measure;
        this.levels = levels;
        this.log = log;
        this.table = table;
        this.tell = errands.tell();
        this.worth = new LevelsWorth(errands);
        this.marks = new HallMarks(errands);
        season.runs().addListener((InvalidationListener) o -> runS = OptionalDouble.empty());
        season.handProperty().addListener(o -> forget());
    }

    public MeasureModel measure() {
        return measure;
    }

    /** The minutes of the robot in hand; empty when they have not begun. */
    public Optional<HallDay> day() {
        return season.choices().hallProperty().get();
    }

    /** With the levels just captured against those that stand in the program; empty until the twin has driven both. */
    ReadOnlyObjectProperty<Optional<TwoOnOneTable>> worthProperty() {
        return worth.foundProperty();
    }

    /** @throws BadValueException when so many minutes cannot be */
    public void begin(double minutes) {
        forget();
        season.choices().hall("the minutes in the hall begun", Optional.of(HallDay.begun(season.now(), minutes)));
    }

    /** What was worked out is of one robot in one hall. */
    private void forget() {
        worth.forget();
        marks.forget();
    }

    public void end() {
        season.choices().hall("the minutes in the hall ended", Optional.empty());
    }

    /** Seconds that are left; NaN when they have not begun. */
    public double leftS() {
        return day().map(d -> d.leftS(season.now())).orElse(Double.NaN);
    }

    /** Takes readings as this surface; its step is done as soon as they are there. */
    public void capture(HallStep step) {
        measure.capture(surface(step));
    }

    private String surface(HallStep step) {
        return switch (step) {
            case LIGHT -> Capture.LIGHT;
            case MARKS -> turnMarks().map(TurnMarks::mark).orElse(UsualTurnMarks.MARK);
            default -> Capture.DARK;
        };
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
            season.choices()
                    .hall(
                            HallWords.name(step) + (was ? " not done yet" : " done"),
                            Optional.of(was ? d.without(step) : d.with(step, season.now())));
        });
    }

    /** The new numbers were typed into the robot: they are on it from now on. */
    public void typed() {
        if (!fresh()) {
            tell.accept(alike().map(HallWords::alike).orElse("Capture light and dark here first: L and D."));
            return;
        }
        Set<String> names =
                numbers().stream().map(ProgramConstant::name).collect(Collectors.toCollection(HashSet::new));
        season.together("numbers of this hall typed", () -> {
            levels.useOnRobot();
            if (marks.found().isPresent()) {
                season.changeSetup(this::marked);
            }
            handover.toType().stream()
                    .filter(change -> Double.isNaN(change.now()))
                    .forEach(gone -> names.add(gone.name()));
            handover.handOverSome(names);
            day().filter(d -> !d.steps().contains(HallStep.TYPE)).ifPresent(d -> tick(HallStep.TYPE));
        });
    }

    /** A run is over; it goes into the log book. @param ran false when it was lost, and the step is not done then */
    public void run(HallStep step, boolean ran) {
        season.together(HallWords.name(step) + (ran ? " ran" : " lost"), () -> {
            log.log(ran, QuickLog.Typed.NOTHING.withNote("#hall " + HallWords.name(step)));
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

    /** Whether a surface was captured since the minutes began, and is another than the one captured before. */
    public boolean captured(HallStep step) {
        return step == HallStep.MARKS
                ? here().stream().anyMatch(c -> c.surface().equals(surface(step)))
                : there(step) && (!bothThere() || levels.canUse());
    }

    private boolean there(HallStep step) {
        return measure.counting(surface(step)).stream().anyMatch(this::here);
    }

    private boolean bothThere() {
        return there(HallStep.LIGHT) && there(HallStep.DARK);
    }

    /** What is wrong with light and dark as they were captured here; most often the robot was not moved between. */
    Optional<Finding> alike() {
        return bothThere() && levels.judged() ? levels.refused() : Optional.empty();
    }

    /** Whether the numbers are of this hall. */
    boolean fresh() {
        return captured(HallStep.LIGHT) && captured(HallStep.DARK) && levels.canUse();
    }

    private boolean here(Capture capture) {
        return day().map(d -> !capture.at().isBefore(d.begun())).orElse(false);
    }

    private List<Capture> here() {
        return season.captures().stream().filter(this::here).toList();
    }

    /** Somebody looks: surfaces captured meanwhile are done, and what other levels are worth is driven. */
    public void look() {
        day().ifPresent(d -> {
            for (HallStep step : CAPTURED) {
                // Follows from the captures, so that undoing one undoes it.
                boolean done = d.steps().contains(step);
                if (!done && captured(step) || done && !there(step)) {
                    season.choices().noteHall(done ? d.without(step) : d.with(step, season.now()));
                    return; // the next frame sees the next
                }
            }
            judge(d);
        });
    }

    private void judge(HallDay day) {
        boolean both = day.steps().contains(HallStep.LIGHT) && day.steps().contains(HallStep.DARK);
        if (both && day.steps().contains(HallStep.MARKS)) {
            turnMarks().ifPresent(old -> marks.judge(old, here()));
        }
        Optional<Ground> ground = table.get();
        if (both && !day.steps().contains(HallStep.TYPE) && ground.isPresent() && levels.canUse()) {
            worth.judge(levels.measuredOnRobot(), season.setupOrGuess(), ground.get());
        }
    }

    boolean working() {
        return worth.working();
    }

    /** Of the numbers that are typed. */
    Grain grain() {
        return handover.style().grain();
    }

    /** The steps that are left, the best first. */
    public Optional<HallAdvice> advice() {
        return day().map(d -> HallAdvice.of(new HallAdvice.Standing(
                d.steps(),
                d.leftS(season.now()),
                runS(),
                looksForMarks(),
                worth.foundProperty()
                        .get()
                        .map(w -> w.chance().a() - w.chance().b())
                        .orElse(Double.NaN))));
    }

    /** Gone through when runs change, not at each look. */
    private double runS() {
        if (runS.isEmpty()) {
            runS = OptionalDouble.of(paceS());
        }
        return runS.getAsDouble();
    }

    private double paceS() {
        Pace pace = Pace.of(season.runs().stream()
                .filter(run -> run.source() == Run.Source.TABLE)
                .toList());
        return pace.lapS().isPresent()
                ? pace.lapS().getAsDouble() + pace.resetS().orElse(0)
                : USUAL_RUN_S;
    }

    private Setup marked(Setup setup) {
        return marks.found().map(found -> HallNumbers.with(setup, found)).orElse(setup);
    }

    /** What is to be typed here: as captured once it is, as it stands before; of marks what is another than on the robot. */
    public List<ProgramConstant> numbers() {
        Setup now = season.setupOrGuess();
        return HallNumbers.of(now, marked(fresh() ? levels.measuredOnRobot() : now), grain());
    }
}
