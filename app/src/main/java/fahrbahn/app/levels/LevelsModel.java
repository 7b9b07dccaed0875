package fahrbahn.app.levels;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.measure.MeasureModel;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Documents;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.State;
import fahrbahn.app.state.Value;
import fahrbahn.core.check.Check;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.difference.Aspect;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.levels.LevelChoice;
import fahrbahn.core.levels.LevelPick;
import fahrbahn.core.levels.LevelSchool;
import fahrbahn.core.levels.LevelTable;
import fahrbahn.core.levels.SensorLevels;
import fahrbahn.core.marks.MarkComparison;
import fahrbahn.core.quality.CapturedLevels;
import fahrbahn.core.quality.Finding;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.exchange.LevelsFile;
import fahrbahn.words.FindingWords;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/** Levels from the newest dark and light captures, and putting them on the robot. */
public final class LevelsModel extends StationModel {
    private final Documents<Double> typedLevels;
    private final MeasureModel measure;
    private final ScalingModel scaling;
    private final MarksModel marks;
    private final LawModel law;
    private final TurnsModel turns;
    private final Errand<String> saveErrand;
    private final Consumer<String> tell;
    private final ObservableList<SensorLevels> sensors = FXCollections.observableArrayList();

    private final ObservableList<SensorLevels> shown = FXCollections.unmodifiableObservableList(sensors);

    private final ObservableList<LevelTable> tables = FXCollections.observableArrayList();
    private final ObservableList<LevelTable> shownTables = FXCollections.unmodifiableObservableList(tables);
    private final Parameter<Optional<LevelSchool>> chosen;
    private final ReadOnlyObjectWrapper<Integer> inHand = new ReadOnlyObjectWrapper<>(0);

    private final Derived<CapturedLevels> found;

    /** What of the circumstances moves readings. */
    private static final Set<Aspect> LIGHT = EnumSet.of(Aspect.VENUE, Aspect.LAMP, Aspect.HEIGHT);

    /** @param tableInHand whose colours its turn marks have */
    public LevelsModel(Season season, MeasureModel measure, Supplier<Optional<Ground>> tableInHand, State state) {
        super(season);
        this.chosen = state.parameter(Optional.empty());
        this.typedLevels = season.state().documents(Kinds.TYPED_LEVEL);
        Errands errands = state.errands();
        this.scaling = new ScalingModel(season, state);
        this.marks = new MarksModel(season, state);
        this.law = new LawModel(season, state);
        this.turns = new TurnsModel(season, tableInHand, marks, state);
        this.saveErrand = errands.errand("Saving the thresholds");
        this.tell = errands.tell();
        this.measure = measure;
        this.found = state.deriveAtOnce("The levels", this::from, (from, job) -> CapturedLevels.of(from));
        found.lastProperty().addListener(o -> update());
        found.eagerly();
        headline(this::verdict);
    }

    LawModel law() {
        return law;
    }

    public TurnsModel turns() {
        return turns;
    }

    MarksModel marks() {
        return marks;
    }

    ScalingModel scaling() {
        return scaling;
    }

    /** Every level of each sensor of {@link #sensors()}, school by school. */
    public ObservableList<LevelTable> tables() {
        return shownTables;
    }

    /** The school whose levels are used; the one to pick until one is chosen. */
    public LevelSchool school() {
        return chosen.get().orElseGet(() -> pick().school());
    }

    private LevelPick pick() {
        return LevelPick.of(
                season.setupOrGuess().law(),
                tables.stream().map(LevelTable::sensor).toList());
    }

    public ReadOnlyObjectProperty<Optional<LevelSchool>> chosenProperty() {
        return chosen.property();
    }

    /** The sensor whose level the arrows move, by its place in {@link #tables()}. */
    public ReadOnlyObjectProperty<Integer> inHandProperty() {
        return inHand.getReadOnlyProperty();
    }

    public void choose(LevelSchool school) {
        chosen.set(Optional.of(school));
    }

    /** The next school that some sensor has. @param way 1 or -1 */
    void chooseNext(int way) {
        List<LevelSchool> there = Arrays.stream(LevelSchool.values())
                .filter(s -> tables.stream().anyMatch(t -> t.choice(s).isPresent()))
                .toList();
        if (!there.isEmpty()) {
            choose(there.get(Math.floorMod(there.indexOf(school()) + way, there.size())));
        }
    }

    void nextSensor() {
        if (!tables.isEmpty()) {
            inHand.set((inHand.get() + 1) % tables.size());
        }
    }

    /** Types a level for a sensor; it becomes the school that is used. */
    void type(String sensor, double level) {
        chosen.set(Optional.of(LevelSchool.TYPED));
        typedLevels.set("level of " + sensor + " typed on " + season.robotName(), sensor, Check.finite("level", level));
    }

    /** Moves the level of the sensor in hand by steps of its own, from where the chosen school has it. */
    void nudge(int steps) {
        if (tables.isEmpty()) {
            return;
        }
        LevelTable table = tables.get(Math.min(inHand.get(), tables.size() - 1));
        LevelChoice at = table.choice(school()).orElseGet(() -> table.choices().get(0));
        double step = table.sensor().step() > 0
                ? table.sensor().step()
                : table.sensor().levels().contrast() / 100;
        type(table.sensor().sensor(), Rounding.significant(at.level() + steps * step, 6));
    }

    public ObservableList<SensorLevels> sensors() {
        return shown;
    }

    private CapturedLevels.From from() {
        return new CapturedLevels.From(
                counting(),
                measure.survey().need(),
                season.setupOrGuess(),
                measure.latest(Capture.EDGE),
                typedLevels.all());
    }

    private CapturedLevels shownNow() {
        return found.lastProperty().get().orElse(CapturedLevels.NONE);
    }

    private void update() {
        tables.setAll(shownNow().tables());
        sensors.setAll(shownNow().sensors());
    }

    private Verdict verdict() {
        Optional<Finding> forbids = shownNow().forbids();
        if (forbids.isPresent()) {
            return Verdict.stop(FindingWords.of(forbids.get()) + " Capture it again in Measure (3).");
        }
        if (tables.isEmpty()) {
            return Verdict.open("Thresholds need light and dark. Capture both in Measure (3).");
        }
        LevelPick pick = pick();
        return LevelWords.verdict(tables, pick, chosen.get().orElse(pick.school()), used(), doubt());
    }

    /** What speaks against levels from these captures: other light than they were made in, or surfaces the other way round than the robot has. */
    private Optional<String> doubt() {
        Conditions now = season.conditionsNow();
        Optional<Cause> light = counting().stream()
                .flatMap(c -> c.conditions().changesTo(now).stream())
                .filter(c -> LIGHT.contains(c.aspect()))
                .findFirst();
        return light.map(cause -> LevelWords.older(cause, season.club()::venueName))
                .or(() -> LevelWords.reversed(tables, season.setupOrGuess()));
    }

    private boolean used() {
        Setup setup = season.setupOrGuess();
        return season.changes().levelsFrom().kept().isPresent()
                && season.setup()
                        .kept()
                        .flatMap(on -> LevelsOnRobot.differ(sensors, on))
                        .isEmpty()
                && onRobotNow().withTarget(setup).equals(setup);
    }

    /** How the robot's numbers differ from those captured; empty when they do not. An input of derived values. */
    public Optional<Cause> onRobot() {
        List<SensorLevels> captured = found.need().sensors();
        return season.setup().kept().flatMap(setup -> LevelsOnRobot.differ(captured, setup));
    }

    /** Writes levels, scaling and the rules for marks, as JSON or CSV by the file's ending. */
    void save(Path file) {
        Setup setup = season.setupOrGuess();
        List<LevelTable> now = List.copyOf(tables);
        LevelSchool by = school();
        Supplier<Optional<MarkComparison>> comparison = marks.comparison();
        saveErrand.run(
                job -> {
                    LevelsFile.write(file, setup, now, by, comparison.get());
                    return "Saved as " + file.getFileName() + ".";
                },
                tell);
    }

    /** Whether the newest captures of dark and light have been judged. */
    public boolean judged() {
        return found.get().isPresent();
    }

    /** Why no sensor has a level; empty where one has, or nothing was captured. */
    public Optional<Finding> refused() {
        return tables.isEmpty() ? shownNow().forbids() : Optional.empty();
    }

    /** True when there is something to put on the robot in hand: not while its newest captures are still being judged. */
    public boolean canUse() {
        return !tables.isEmpty() && judged();
    }

    private List<Capture> counting() {
        return Stream.concat(measure.counting(Capture.DARK).stream(), measure.counting(Capture.LIGHT).stream())
                .toList();
    }

    /** Writes dark, light, noise and, for a law in raw numbers, the level as target into the setup, as one step. */
    public void useOnRobot() {
        if (canUse()) {
            season.changes().useLevels(onRobotNow()::on, counting());
        } else if (found.value() instanceof Value.Computing) {
            tell.accept("The newest captures are still being checked: press it again in a moment.");
        }
    }

    /** The robot with the levels of the newest captures, as {@link #useOnRobot} would put them on it. */
    public Setup measuredOnRobot() {
        return onRobotNow().on(season.setupOrGuess());
    }

    private LevelsOnRobot onRobotNow() {
        return new LevelsOnRobot(sensors, tables, school(), chosen.get().isPresent());
    }
}
