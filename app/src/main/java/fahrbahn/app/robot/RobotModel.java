package fahrbahn.app.robot;

import fahrbahn.app.kit.field.SetupFields;
import fahrbahn.app.robot.bench.BenchModel;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.State;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.knowledge.Knowledge;
import fahrbahn.core.knowledge.SensorPreset;
import fahrbahn.core.loop.BendFloor;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.words.Refusals;
import fahrbahn.words.Words;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;

/** The robot: its layout and what that means, and how well its constants are known. */
public final class RobotModel extends StationModel implements SetupFields.Source {
    private final Consumer<String> told;
    private final Parameter<Setup> shown;
    private final Derived<RobotInsight> insight;
    private final Derived<List<Knowledge>> constants;
    private final BenchModel bench;

    /** What the constants are judged by. */
    private record Weighed(Setup setup, Setup guess, Map<Constant, Fact> facts, Basis now) {}

    public RobotModel(Season season, State state, BenchModel bench) {
        super(season);
        this.bench = bench;
        this.told = state.errands().tell();
        shown = state.parameter(season.setupOrGuess());
        insight = state.derive("The layout", shown::get, (setup, job) -> RobotInsight.of(setup));
        constants = state.derive("The constants", this::weighed, (weighed, job) -> knowledge(weighed));
        season.setup().keptProperty().addListener(o -> update());
        constants.eagerly();
        headline(this::verdict);
    }

    @Override
    public Setup shown() {
        return shown.get();
    }

    /** The setup to show: the coach's own, or the starting guess. */
    public ReadOnlyObjectProperty<Setup> shownProperty() {
        return shown.property();
    }

    /** What the layout that is shown means. */
    public Derived<RobotInsight> insight() {
        return insight;
    }

    /** How well each constant is known, the costliest first; empty for a law without an error, which has no onset to cost. */
    public Derived<List<Knowledge>> constants() {
        return constants;
    }

    public BenchModel bench() {
        return bench;
    }

    /** Puts words on the notice line. */
    @Override
    public void tell(String words) {
        told.accept(words);
    }

    /** Changes the setup; what it refuses passes through, to the field it was typed into. */
    @Override
    public void type(UnaryOperator<Setup> change) {
        season.changeSetup(change);
    }

    /** How a constant came about, oldest first. */
    public void history(Constant constant, Consumer<List<Fact>> heard) {
        season.changes()
                .facts()
                .history(
                        constant.word(),
                        states -> heard.accept(
                                states.stream().map(Map.Entry::getValue).toList()));
    }

    /** Every state of the robot, oldest first, with when it came to be. */
    public void setupHistory(Consumer<List<Map.Entry<Instant, Setup>>> heard) {
        season.setup().history(heard);
    }

    /** What a venue is called. */
    public String venueName(String id) {
        return season.club().venueName(id);
    }

    /** Changes the setup; what it refuses is told. @return false when refused */
    @Override
    public boolean change(UnaryOperator<Setup> change) {
        boolean done = SetupFields.Source.super.change(change);
        if (!done) {
            update(); // what was only shown is not so
        }
        return done;
    }

    /** Moves a sensor to a place, in whole tenths of a millimetre. */
    public boolean moveSensor(int index, double forwardMm, double leftMm) {
        return change(setup -> setup.withRobot(setup.robot()
                .withSensor(index, setup.robot().sensors().get(index).withPlace(tenths(forwardMm), tenths(leftMm)))));
    }

    /** Shows what moving a sensor would mean, without moving it; a place the setup refuses is not shown. */
    public void previewSensor(int index, double forwardMm, double leftMm) {
        Setup setup = season.setupOrGuess();
        try {
            Setup moved = setup.withRobot(setup.robot()
                    .withSensor(
                            index, setup.robot().sensors().get(index).withPlace(tenths(forwardMm), tenths(leftMm))));
            shown.set(moved);
        } catch (BadValueException refused) {
            // On the way past its neighbour a sensor is in nobody's order; where it is let go the reason is told.
        }
    }

    private static double tenths(double mm) {
        return Math.rint(mm * 10) / 10;
    }

    /** Puts a row of sensors of a kind on the robot, with a law that suits their number. */
    public void useRow(SensorPreset preset, int count) {
        change(setup -> {
            List<Sensor> row = preset.row(count, setup.leadMm(), setup.line().widthMm());
            ErrorSignal kind = setup.law().signal();
            ErrorSignal suited = count == 1
                    ? ErrorSignal.EDGE
                    : count == 2
                            ? ErrorSignal.PAIR
                            : kind.wholeRow() && kind.hasError() ? kind : ErrorSignal.ARRAY_MEAN;
            return new Setup(
                    setup.robot().withSensors(row),
                    setup.line(),
                    setup.law()
                            .withSignal(suited)
                            .withOptions(setup.law().options().forOtherSensors()));
        });
    }

    private void update() {
        shown.set(season.setupOrGuess());
    }

    private Weighed weighed() {
        Map<Constant, Fact> facts = new EnumMap<>(Constant.class);
        facts.putAll(season.facts());
        return new Weighed(
                season.setupOrGuess(),
                season.begunAs(),
                facts,
                season.basisNow().withAt(Instant.EPOCH));
    }

    private static List<Knowledge> knowledge(Weighed by) {
        List<Knowledge> states = new ArrayList<>();
        try {
            for (Constant constant : Constant.values()) {
                Optional<Fact> fact = Optional.ofNullable(by.facts().get(constant));
                states.add(Knowledge.of(by.setup(), by.guess(), constant, fact, by.now()));
            }
        } catch (BadValueException noLane) {
            return List.of();
        }
        states.sort(
                Comparator.comparingDouble((Knowledge s) -> s.cost().share()).reversed());
        return List.copyOf(states);
    }

    /** How well each constant is known, to be noted with what rests on it; empty until that has been worked out. */
    public Map<Constant, Double> known() {
        Map<Constant, Double> known = new EnumMap<>(Constant.class);
        constants.get().orElse(List.of()).forEach(k -> known.put(k.constant(), k.uncertainty()));
        return known;
    }

    private Verdict verdict() {
        return season.setup().kept().isEmpty()
                ? Verdict.open("Typical values so far. Press F5 and type" + " your robot's own numbers.")
                : verdict(shown.get());
    }

    private static Verdict verdict(Setup setup) {
        double lead = setup.leadMm();
        double least;
        try {
            least = LoopModel.of(setup).leastLeadMm();
        } catch (BadValueException cannot) { // a target off the edge, sensors that never agree
            return Verdict.stop(Refusals.sentence(cannot));
        }
        String speed = Words.number(setup.speedMmPerS()) + " mm/s";
        if (lead <= least) {
            return Verdict.stop("The sensors sit " + Words.millimetres(lead) + " ahead; at " + speed
                    + " any Kp wiggles below " + Words.millimetres(least)
                    + ". Move them forward (up arrow).");
        }
        double drivable = BendFloor.tightestDrivableRadiusMm(setup);
        if (drivable > setup.line().tightestRadiusMm()) {
            return Verdict.care("At base speed " + Words.exact(setup.law().baseCommand())
                    + " a wheel reaches its limit in bends tighter than " + Words.millimetres(drivable)
                    + "; the line has "
                    + Words.millimetres(setup.line().tightestRadiusMm()) + ". Lower the base speed.");
        }
        String times = Words.number(lead / least, 2);
        if (lead < 2 * least) {
            return Verdict.care("The sensors sit " + Words.millimetres(lead) + " ahead, " + times + " times the "
                    + Words.millimetres(least) + " that " + speed
                    + " needs: little room for gain. N: Table.");
        }
        return Verdict.good("The sensors sit " + Words.millimetres(lead) + " ahead, " + times + " times the "
                + Words.millimetres(least) + " that " + speed + " needs: plenty. N: Table.");
    }
}
