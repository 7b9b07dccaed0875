package fahrbahn.app.robot;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.app.kit.field.Questions;
import fahrbahn.app.kit.field.SetupFields;
import fahrbahn.core.difference.SetupField;
import fahrbahn.core.law.GainUnits;
import fahrbahn.core.setup.Chassis;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.setup.Traits;
import fahrbahn.words.LawWords;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The numbers of the robot, its line and its law, to type. */
final class RobotForm {
    /** A pattern law has no gains and so no lane; it is set up in the file. */
    private static final ErrorSignal[] WITH_AN_ERROR = {
        ErrorSignal.EDGE, ErrorSignal.PAIR, ErrorSignal.ARRAY_MEAN, ErrorSignal.ARRAY_DIFFERENCE
    };

    private final RobotModel model;
    private final SetupFields fields;

    RobotForm(RobotModel model) {
        this.model = model;
        this.fields = new SetupFields(model);
    }

    Pages.Page page() {
        VBox all = Nodes.column(
                drive(),
                new SideBySide(loop(), chassis(), 0.4, 60),
                law(),
                new SideBySide(line(), new SensorRow().build(model), 0.4, 60));
        model.shownProperty().addListener(o -> fields.refresh());
        fields.refresh();
        return new Pages.Page(all, List.of());
    }

    private Node drive() {
        return SetupFields.group(
                "Drive",
                fields.number(
                                SetupField.TRACK_WIDTH,
                                "trackWidth",
                                "Track width: between the middles of the wheels' contacts, by ruler.")
                        .asks(Questions.TRACK_WIDTH),
                fields.number(
                                SetupField.FREE_SPEED,
                                "freeSpeed",
                                "Free speed: its steady speed at max power; Roll a metre measures it.")
                        .asks(Questions.FREE_SPEED),
                fields.number(
                                SetupField.LAG,
                                "lag",
                                "Motor lag: how long the wheels take for most of a speed change; Wiggle timing measures it.")
                        .asks(Questions.typical(20, 150, "ms")),
                fields.number(
                        SetupField.FULL_COMMAND,
                        "fullCommand",
                        "Max motor value: the number in the program that means full power, like 100 or 255."),
                fields.number(
                        SetupField.DEAD_ZONE,
                        "deadZone",
                        "Dead band: the power at which a line through its speeds reaches zero; rolls at two powers measure it."),
                fields.number(
                        SetupField.SAG,
                        "sag",
                        "Speed loss under load: how much less each step of power adds at max power; rolls at three powers measure it."),
                fields.number(
                        SetupField.BREAKAWAY,
                        "breakaway",
                        "Start-up power: a standing wheel starts above it; Creep measures it. 0: same as the dead band."),
                fields.number(
                        SetupField.HOLDING,
                        "holding",
                        "Stops below: a rolling wheel stops below this power; Creep measures it. 0: same as the dead band."),
                fields.number(
                        SetupField.SCRUB,
                        "scrub",
                        "Turning drag: effective over measured track width, 1 for wheels, more for tracks; Spin ten turns measures it."),
                fields.choice(
                        "mixing",
                        "steering changes",
                        "Whether the program speeds up one wheel and slows the other, or slows the inner wheel alone.",
                        Mixing.values(),
                        m -> m == Mixing.DIFFERENCE ? "both wheels" : "the inner wheel",
                        s -> s.robot().drive().mixing(),
                        (s, v) -> with(s, d -> d.withMixing(v))),
                fields.choice(
                        "reverse",
                        "inner wheel may reverse",
                        "Whether the program ever runs a wheel backwards in a sharp bend.",
                        new Boolean[] {true, false},
                        yes -> yes ? "yes" : "no",
                        s -> s.robot().drive().traits().mayReverse(),
                        (s, v) -> traits(s, t -> t.withMayReverse(v))));
    }

    private static Setup with(Setup setup, UnaryOperator<Drive> change) {
        return setup.withDrive(change.apply(setup.robot().drive()));
    }

    private static Setup traits(Setup setup, UnaryOperator<Traits> change) {
        return with(setup, d -> d.withTraits(change.apply(d.traits())));
    }

    private Region loop() {
        return SetupFields.group(
                "Loop",
                fields.number(
                                SetupField.LOOP_TIME,
                                "loopTime",
                                "Loop time: from one reading to the next; Count loops measures it.")
                        .asks(Questions.LOOP_TIME),
                fields.number(
                                SetupField.DELAY,
                                "delay",
                                "Reading delay: from a reading to the motor power set from it; slow sensors or a slow motor link add to it.")
                        .asks(Questions.typical(1, 30, "ms")));
    }

    private Region chassis() {
        return SetupFields.group(
                "Stand",
                fields.choice(
                        "tracks",
                        "it runs on",
                        "Wheels or tracks: tracks turn as if they were wider apart.",
                        new Boolean[] {false, true},
                        tracks -> tracks ? "tracks" : "wheels",
                        s -> s.robot().chassis().tracks(),
                        (s, v) -> chassis(s, c -> c.withTracks(v))),
                fields.number(
                                SetupField.WHEEL_RADIUS,
                                "wheelRadius",
                                "Radius of the driven wheels, or of the front of the tracks, by ruler.")
                        .asks(Questions.typical(15, 50, "mm")),
                fields.number(
                                SetupField.SENSOR_HEIGHT,
                                "sensorHeight",
                                "Height of the sensors above a flat table, by ruler or a stack of cards. Higher: a larger spot.")
                        .asks(Questions.SENSOR_HEIGHT),
                fields.number(
                        SetupField.SUPPORT,
                        "support",
                        "Where the caster or skid touches, ahead of the axle, by ruler; negative behind it."));
    }

    private static Setup chassis(Setup setup, UnaryOperator<Chassis> change) {
        return setup.withRobot(
                setup.robot().withChassis(change.apply(setup.robot().chassis())));
    }

    private Region line() {
        return SetupFields.group(
                "Line",
                fields.number(
                                SetupField.LINE_WIDTH,
                                "lineWidth",
                                "Width of the line's tape or print, by ruler across it.")
                        .asks(Questions.typical(15, 30, "mm")),
                fields.number(
                                SetupField.TIGHTEST_BEND,
                                "tightest",
                                "Radius of the line's middle in its tightest bend; Table finds it.")
                        .asks(Questions.typical(40, 500, "mm")),
                fields.choice(
                        "polarity",
                        "the line is",
                        "Whether the line is darker or lighter than the background.",
                        Polarity.values(),
                        p -> p == Polarity.DARK_ON_LIGHT ? "dark on light" : "light on dark",
                        s -> s.line().polarity(),
                        (s, v) -> s.withLine(
                                new Line(s.line().widthMm(), v, s.line().tightestRadiusMm()))));
    }

    private Node law() {
        return SetupFields.group(
                "Law",
                fields.number(
                        SetupField.BASE_COMMAND, "base", "Base speed: the power of both wheels when it goes straight."),
                fields.choice(
                        "kind",
                        "it follows with",
                        "What the error is made from: one sensor on an edge, two beside the line, or a whole row.",
                        WITH_AN_ERROR,
                        LawWords::kind,
                        s -> s.law().signal(),
                        (s, v) -> s.withLaw(s.law().withSignal(v))),
                fields.choice(
                        "side",
                        "edge",
                        "Which edge of the line it follows, looking ahead.",
                        Side.values(),
                        Side::word,
                        s -> s.law().side(),
                        (s, v) -> s.withLaw(s.law().withSide(v))),
                fields.choiceOf(
                        "scale",
                        "sensor scale in the program",
                        "Scale of the readings in the program: 0-100, 0-1, up to any number, or raw.",
                        s -> Stream.concat(
                                        Scale.NAMED.stream(), Stream.of(s.law().scale()))
                                .distinct()
                                .toList(),
                        Scale[]::new,
                        Scale::word,
                        s -> s.law().scale(),
                        RobotForm::inScale),
                fields.numberOrNothing(
                        "scaleTop",
                        "light is (dark is 0)",
                        "Another scale: what light becomes in the program, like 10; empty for raw readings.",
                        s -> s.law().scale().top(),
                        (s, v) -> inScale(s, new Scale(v))),
                fields.number(
                        SetupField.TARGET,
                        "target",
                        "Target: the scaled reading on the edge, 50 for the middle in percent."));
    }

    /** In other numbers: the target goes with them, so that it rides where it did; gains are what was typed. */
    private static Setup inScale(Setup setup, Scale to) {
        Law law = setup.law();
        Law moved = GainUnits.rescaled(law, to, setup.lawSensors().get(0));
        return setup.withLaw(moved.withGains(law.kp(), law.ki(), law.kd()));
    }
}
