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
                                "Track width: from the middle of one wheel's contact to the other's, by ruler; Spin ten turns measures what turning shows.")
                        .asks(Questions.TRACK_WIDTH),
                fields.number(
                                SetupField.FREE_SPEED,
                                "freeSpeed",
                                "Free speed: how fast it rolls at full command once settled; Roll a metre measures it.")
                        .asks(Questions.FREE_SPEED),
                fields.number(
                                SetupField.LAG,
                                "lag",
                                "Lag, the time constant of the wheels: how long they take for most of a change of speed; the Wiggle clock measures it.")
                        .asks(Questions.typical(20, 150, "ms")),
                fields.number(
                        SetupField.FULL_COMMAND,
                        "fullCommand",
                        "Full command: the number in its program that means full power, as 100 or 255."),
                fields.number(
                        SetupField.DEAD_ZONE,
                        "deadZone",
                        "Dead zone: the command at which its speed, followed down, comes to nothing; rolls at two commands measure it."),
                fields.number(
                        SetupField.SAG,
                        "sag",
                        "Sag, how far the slope of its speed over the command falls below the mean at full command; rolls at three commands measure it."),
                fields.number(
                        SetupField.BREAKAWAY,
                        "breakaway",
                        "Breakaway, the threshold from rest: a standing wheel starts above this command; Creep measures it. 0: as the dead zone."),
                fields.number(
                        SetupField.HOLDING,
                        "holding",
                        "Holding command, the lower threshold: a rolling wheel stops below it; Creep measures it. 0: as the dead zone."),
                fields.number(
                        SetupField.SCRUB,
                        "scrub",
                        "Scrub: effective over measured track width, 1 for wheels and more for tracks; Spin ten turns measures it."),
                fields.choice(
                        "mixing",
                        "steering changes",
                        "Mixing: whether its program adds steering to one wheel and takes it from the other, or slows the inner wheel alone.",
                        Mixing.values(),
                        m -> m == Mixing.DIFFERENCE ? "both wheels" : "the inner wheel",
                        s -> s.robot().drive().mixing(),
                        (s, v) -> with(s, d -> d.withMixing(v))),
                fields.choice(
                        "reverse",
                        "inner wheel may reverse",
                        "Whether its program ever commands a wheel backwards in a sharp bend.",
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
                                "Loop time, the sampling period: how long its program takes from one reading to the next; Count loops measures it.")
                        .asks(Questions.LOOP_TIME),
                fields.number(
                                SetupField.DELAY,
                                "delay",
                                "Delay, the dead time from a reading to the command made of it: reading slow sensors or a slow motor link.")
                        .asks(Questions.typical(1, 30, "ms")));
    }

    private Region chassis() {
        return SetupFields.group(
                "Stand",
                fields.choice(
                        "tracks",
                        "it runs on",
                        "What it runs on: tracks turn as if they were wider apart than they are.",
                        new Boolean[] {false, true},
                        tracks -> tracks ? "tracks" : "wheels",
                        s -> s.robot().chassis().tracks(),
                        (s, v) -> chassis(s, c -> c.withTracks(v))),
                fields.number(
                                SetupField.WHEEL_RADIUS,
                                "wheelRadius",
                                "Radius of the driven wheels, or of the front of its tracks, by ruler: it says what bump it climbs.")
                        .asks(Questions.typical(15, 50, "mm")),
                fields.number(
                                SetupField.SENSOR_HEIGHT,
                                "sensorHeight",
                                "How high its sensors are above a flat table, by ruler or a stack of cards: higher sees a larger spot.")
                        .asks(Questions.SENSOR_HEIGHT),
                fields.number(
                        SetupField.SUPPORT,
                        "support",
                        "Where its ball or skid touches, ahead of the turning point, by ruler; negative behind it."));
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
                                "Radius of the middle of the line in its tightest bend; Table finds it from a course or a mat.")
                        .asks(Questions.typical(40, 500, "mm")),
                fields.choice(
                        "polarity",
                        "the line is",
                        "Polarity: whether the line is darker or lighter than the ground beside it.",
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
                        SetupField.BASE_COMMAND,
                        "base",
                        "Base command: what its program gives both wheels when it goes straight."),
                fields.choice(
                        "kind",
                        "it follows with",
                        "What its program makes the error of: one sensor on an edge, two astride the line, or a whole row.",
                        WITH_AN_ERROR,
                        LawWords::kind,
                        s -> s.law().signal(),
                        (s, v) -> s.withLaw(s.law().withSignal(v))),
                fields.choice(
                        "side",
                        "edge",
                        "Which edge of the line it rides, looking ahead.",
                        Side.values(),
                        Side::word,
                        s -> s.law().side(),
                        (s, v) -> s.withLaw(s.law().withSide(v))),
                fields.choiceOf(
                        "scale",
                        "numbers of the program",
                        "Scale its law works in: readings as percent, shares of one, up to any number, or as they come.",
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
                        "Any other scale: what light becomes in the program, such as 10; empty for the sensor's own numbers.",
                        s -> s.law().scale().top(),
                        (s, v) -> inScale(s, new Scale(v))),
                fields.number(
                        SetupField.TARGET,
                        "target",
                        "Target, the set point: the scaled reading it should see on the edge, 50 for the middle in percent."));
    }

    /** In other numbers: the target goes with them, so that it rides where it did; gains are what was typed. */
    private static Setup inScale(Setup setup, Scale to) {
        Law law = setup.law();
        Law moved = GainUnits.rescaled(law, to, setup.lawSensors().get(0));
        return setup.withLaw(moved.withGains(law.kp(), law.ki(), law.kd()));
    }
}
