package fahrbahn.app.view;

import fahrbahn.app.model.RobotModel;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** The numbers of the robot beside its picture. */
final class RobotView {
    /** A pattern law has no gains and so no lane; it is set up in the file. */
    private static final Law.Kind[] WITH_AN_ERROR = {
        Law.Kind.EDGE, Law.Kind.PAIR, Law.Kind.ARRAY_MEAN, Law.Kind.ARRAY_DIFFERENCE
    };

    private final RobotModel model;
    private final List<Runnable> refreshers = new ArrayList<>();

    private RobotView(RobotModel model) {
        this.model = model;
    }

    static StationView of(RobotModel model) {
        return new RobotView(model).build();
    }

    private StationView build() {
        TopView top = new TopView();
        VBox form = Nodes.column(drive(), loop(), sensor("left", 0), sensor("right", 1), line(), law());
        ScrollPane scroll = new ScrollPane(form);
        scroll.setFitToWidth(true);
        scroll.setMinWidth(560);
        scroll.setPrefWidth(600);
        model.shownProperty().addListener(o -> refresh(top));
        refresh(top);
        return new StationView(
                Nodes.row(Nodes.grow(Nodes.panel("From above, to scale", Nodes.grow(top))), scroll),
                List.of(),
                () -> {});
    }

    private void refresh(TopView top) {
        top.show(model.shownProperty().get());
        refreshers.forEach(Runnable::run);
    }

    private Node field(
            String id, String words, String term, ToDoubleFunction<Setup> get, BiFunction<Setup, Double, Setup> with) {
        NumberField field =
                new NumberField(id, words, term, v -> model.season().changeSetup(setup -> with.apply(setup, v)));
        refreshers.add(() -> field.show(get.applyAsDouble(model.shownProperty().get())));
        return field;
    }

    private <E> Node choice(
            String id,
            String words,
            String term,
            E[] values,
            Function<E, String> word,
            Function<Setup, E> get,
            BiFunction<Setup, E, Setup> with) {
        ChoiceField<E> field = new ChoiceField<>(id, words, term, values, word, chosen -> choose(chosen, with));
        refreshers.add(() -> field.show(get.apply(model.shownProperty().get())));
        return field;
    }

    private <E> void choose(E chosen, BiFunction<Setup, E, Setup> with) {
        try {
            model.season().changeSetup(setup -> with.apply(setup, chosen));
        } catch (BadValueException refused) {
            model.tell(refused.getMessage() + ".");
            refreshers.forEach(Runnable::run);
        }
    }

    private static Node group(String title, Node... fields) {
        FlowPane flow = new FlowPane(fields);
        flow.getStyleClass().add("fields");
        return Nodes.panel(title, flow);
    }

    private Node drive() {
        return group(
                "Drive",
                field(
                        "trackWidth",
                        "track width, mm",
                        "Track width between the wheel contacts",
                        s -> s.robot().drive().trackWidthMm(),
                        (s, v) -> with(s, d -> d.withTrackWidthMm(v))),
                field(
                        "freeSpeed",
                        "free speed, mm/s",
                        "Settled speed at full command",
                        s -> s.robot().drive().freeSpeedMmPerS(),
                        (s, v) -> with(s, d -> d.withFreeSpeedMmPerS(v))),
                field(
                        "lag",
                        "lag, ms",
                        "Time constant of the first-order wheel response",
                        s -> millis(s.robot().drive().lagS()),
                        (s, v) -> with(s, d -> d.withLagS(v / 1000))),
                field(
                        "fullCommand",
                        "full command",
                        "The command that means full power",
                        s -> s.robot().drive().fullCommand(),
                        (s, v) -> with(s, d -> d.withFullCommand(v))),
                choice(
                        "mixing",
                        "steering changes",
                        "How a steering command reaches the wheels",
                        Mixing.values(),
                        m -> m == Mixing.DIFFERENCE ? "both wheels" : "the inner wheel",
                        s -> s.robot().drive().mixing(),
                        (s, v) -> with(s, d -> d.withMixing(v))));
    }

    private static double millis(double seconds) {
        return Math.round(seconds * 1e9) / 1e6;
    }

    private static Setup with(Setup setup, UnaryOperator<Drive> change) {
        return setup.withRobot(
                setup.robot().withDrive(change.apply(setup.robot().drive())));
    }

    private Node loop() {
        return group(
                "Loop",
                field(
                        "loopTime",
                        "loop time, ms",
                        "Sampling period of the control loop",
                        s -> millis(s.robot().loop().periodS()),
                        (s, v) -> s.withRobot(s.robot()
                                .withLoop(new Loop(v / 1000, s.robot().loop().delayS())))),
                field(
                        "delay",
                        "delay, ms",
                        "Dead time from reading to command",
                        s -> millis(s.robot().loop().delayS()),
                        (s, v) -> s.withRobot(
                                s.robot().withLoop(new Loop(s.robot().loop().periodS(), v / 1000)))));
    }

    /** Sensor of a pair; of an array, the first two. A lone sensor has no right neighbour to show. */
    private Node sensor(String words, int index) {
        Node group = group(
                "Sensor " + words,
                field(
                        words + "Lead",
                        "lead, mm",
                        "Distance ahead of the turning point",
                        s -> at(s, index).forwardMm(),
                        (s, v) -> with(
                                s, index, at(s, index).withPlace(v, at(s, index).leftMm()))),
                field(
                        words + "Place",
                        "to the left, mm",
                        "Lateral offset, left positive",
                        s -> at(s, index).leftMm(),
                        (s, v) -> with(
                                s, index, at(s, index).withPlace(at(s, index).forwardMm(), v))),
                field(
                        words + "Spot",
                        "spot, mm",
                        "Standard deviation of the Gaussian spot",
                        s -> at(s, index).spotSigmaMm(),
                        (s, v) -> with(s, index, at(s, index).withSpotSigmaMm(v))),
                field(
                        words + "Dark",
                        "dark",
                        "Reading on the dark surface",
                        s -> at(s, index).dark(),
                        (s, v) -> with(
                                s,
                                index,
                                at(s, index)
                                        .withSurfaces(
                                                v,
                                                at(s, index).light(),
                                                at(s, index).noise()))),
                field(
                        words + "Light",
                        "light",
                        "Reading on the light surface",
                        s -> at(s, index).light(),
                        (s, v) -> with(
                                s,
                                index,
                                at(s, index)
                                        .withSurfaces(
                                                at(s, index).dark(),
                                                v,
                                                at(s, index).noise()))));
        refreshers.add(() -> {
            boolean there = model.shownProperty().get().robot().sensors().size() > index;
            group.setVisible(there);
            group.setManaged(there);
        });
        return group;
    }

    private static Sensor at(Setup setup, int index) {
        return setup.robot()
                .sensors()
                .get(Math.min(index, setup.robot().sensors().size() - 1));
    }

    private static Setup with(Setup setup, int index, Sensor sensor) {
        return setup.withRobot(setup.robot().withSensor(index, sensor));
    }

    private Node line() {
        return group(
                "Line",
                field(
                        "lineWidth",
                        "width, mm",
                        "Width of the line",
                        s -> s.line().widthMm(),
                        (s, v) -> s.withLine(
                                new Line(v, s.line().polarity(), s.line().tightestRadiusMm()))),
                field(
                        "tightest",
                        "tightest bend, mm",
                        "Radius of the line's centre in the tightest bend",
                        s -> s.line().tightestRadiusMm(),
                        (s, v) ->
                                s.withLine(new Line(s.line().widthMm(), s.line().polarity(), v))),
                choice(
                        "polarity",
                        "the line is",
                        "Polarity of the line",
                        Polarity.values(),
                        p -> p == Polarity.DARK_ON_LIGHT ? "dark on light" : "light on dark",
                        s -> s.line().polarity(),
                        (s, v) -> s.withLine(
                                new Line(s.line().widthMm(), v, s.line().tightestRadiusMm()))));
    }

    private Node law() {
        return group(
                "Law",
                field(
                        "base",
                        "base command",
                        "Command of both wheels going straight",
                        s -> s.law().baseCommand(),
                        (s, v) -> s.withLaw(s.law().withBaseCommand(v))),
                choice(
                        "kind",
                        "it follows with",
                        "What is made into the error",
                        WITH_AN_ERROR,
                        RobotView::words,
                        s -> s.law().kind(),
                        (s, v) -> s.withLaw(s.law().withKind(v))),
                choice(
                        "side",
                        "edge",
                        "Edge of the line that is ridden",
                        Side.values(),
                        Side::word,
                        s -> s.law().side(),
                        (s, v) -> s.withLaw(s.law().withSide(v))),
                choice(
                        "scale",
                        "numbers of the program",
                        "Scale of the readings the law works in",
                        Scale.values(),
                        Scale::word,
                        s -> s.law().scale(),
                        (s, v) -> s.withLaw(s.law().withScale(v))),
                field(
                        "target",
                        "target (edge only)",
                        "Set point of the scaled reading",
                        s -> s.law().target(),
                        (s, v) -> s.withLaw(s.law().withTarget(v))));
    }

    private static String words(Law.Kind kind) {
        return switch (kind) {
            case EDGE -> "one sensor on an edge";
            case PAIR -> "a pair astride the line";
            case ARRAY_MEAN -> "a row, by its mean";
            case ARRAY_DIFFERENCE -> "a row, by its difference";
            case PATTERN -> "a row, by its pattern";
        };
    }
}
