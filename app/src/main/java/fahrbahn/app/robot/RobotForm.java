package fahrbahn.app.robot;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.Questions;
import fahrbahn.app.kit.SetupFields;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.core.law.GainUnits;
import fahrbahn.core.setup.Chassis;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.setup.SpeedCurve;
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
                                "trackWidth",
                                "track width, mm",
                                "Track width: from the middle of one wheel's contact to the other's, by ruler; Spin ten turns measures what turning shows.",
                                s -> s.robot().drive().trackWidthMm(),
                                (s, v) -> with(s, d -> d.withTrackWidthMm(v)))
                        .asks(Questions.TRACK_WIDTH),
                fields.number(
                                "freeSpeed",
                                "free speed, mm/s",
                                "Free speed: how fast it rolls at full command once settled; Roll a metre measures it.",
                                s -> s.robot().drive().freeSpeedMmPerS(),
                                (s, v) -> with(s, d -> d.withFreeSpeedMmPerS(v)))
                        .asks(Questions.FREE_SPEED),
                fields.number(
                                "lag",
                                "lag, ms",
                                "Lag, the time constant of the wheels: how long they take for most of a change of speed; the Wiggle clock measures it.",
                                s -> millis(s.robot().drive().lagS()),
                                (s, v) -> with(s, d -> d.withLagS(v / 1000)))
                        .asks(Questions.typical(20, 150, "ms")),
                fields.number(
                        "fullCommand",
                        "full command",
                        "Full command: the number in its program that means full power, as 100 or 255.",
                        s -> s.robot().drive().fullCommand(),
                        (s, v) -> with(s, d -> d.withFullCommand(v))),
                fields.number(
                        "deadZone",
                        "dead zone",
                        "Dead zone: the command at which its speed, followed down, comes to nothing; rolls at two commands measure it.",
                        s -> curve(s).deadZoneCommand(),
                        (s, v) -> with(s, d -> d.withCurve(curve(s).withDeadZoneCommand(v)))),
                fields.number(
                        "sag",
                        "sag, %",
                        "Sag, how far the slope of its speed over the command falls below the mean at full command; rolls at three commands measure it.",
                        s -> percent(curve(s).sagShare()),
                        (s, v) -> with(s, d -> d.withCurve(curve(s).withSagShare(v / 100)))),
                fields.number(
                        "breakaway",
                        "breakaway",
                        "Breakaway, the threshold from rest: a standing wheel starts above this command; Creep measures it. 0: as the dead zone.",
                        s -> curve(s).breakawayCommand(),
                        (s, v) -> with(s, d -> d.withCurve(curve(s).withBreakawayCommand(v)))),
                fields.number(
                        "holding",
                        "holding",
                        "Holding command, the lower threshold: a rolling wheel stops below it; Creep measures it. 0: as the dead zone.",
                        s -> curve(s).holdingCommand(),
                        (s, v) -> with(s, d -> d.withCurve(curve(s).withHoldingCommand(v)))),
                fields.number(
                        "scrub",
                        "scrub",
                        "Scrub: effective over measured track width, 1 for wheels and more for tracks; Spin ten turns measures it.",
                        s -> s.robot().drive().traits().scrub(),
                        (s, v) -> traits(s, t -> t.withScrub(v))),
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

    private static SpeedCurve curve(Setup setup) {
        return setup.robot().drive().traits().curve();
    }

    private static double percent(double share) {
        return Math.round(share * 1e6) / 1e4;
    }

    private static double millis(double seconds) {
        return Math.round(seconds * 1e9) / 1e6;
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
                                "loopTime",
                                "loop time, ms",
                                "Loop time, the sampling period: how long its program takes from one reading to the next; Count loops measures it.",
                                s -> millis(s.robot().loop().periodS()),
                                (s, v) -> s.withLoop(
                                        new Loop(v / 1000, s.robot().loop().delayS())))
                        .asks(Questions.LOOP_TIME),
                fields.number(
                                "delay",
                                "delay, ms",
                                "Delay, the dead time from a reading to the command made of it: reading slow sensors or a slow motor link.",
                                s -> millis(s.robot().loop().delayS()),
                                (s, v) -> s.withLoop(new Loop(s.robot().loop().periodS(), v / 1000)))
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
                                "wheelRadius",
                                "wheel radius, mm",
                                "Radius of the driven wheels, or of the front of its tracks, by ruler: it says what bump it climbs.",
                                s -> s.robot().chassis().wheelRadiusMm(),
                                (s, v) -> chassis(s, c -> c.withWheelRadiusMm(v)))
                        .asks(Questions.typical(15, 50, "mm")),
                fields.number(
                                "sensorHeight",
                                "sensors up, mm",
                                "How high its sensors are above a flat table, by ruler or a stack of cards: higher sees a larger spot.",
                                s -> s.robot().chassis().sensorHeightMm(),
                                (s, v) -> chassis(s, c -> c.withSensorHeightMm(v)))
                        .asks(Questions.SENSOR_HEIGHT),
                fields.number(
                        "support",
                        "third support, mm",
                        "Where its ball or skid touches, ahead of the turning point, by ruler; negative behind it.",
                        s -> s.robot().chassis().supportForwardMm(),
                        (s, v) -> chassis(s, c -> c.withSupportForwardMm(v))));
    }

    private static Setup chassis(Setup setup, UnaryOperator<Chassis> change) {
        return setup.withRobot(
                setup.robot().withChassis(change.apply(setup.robot().chassis())));
    }

    private Region line() {
        return SetupFields.group(
                "Line",
                fields.number(
                                "lineWidth",
                                "width, mm",
                                "Width of the line's tape or print, by ruler across it.",
                                s -> s.line().widthMm(),
                                (s, v) -> s.withLine(new Line(
                                        v, s.line().polarity(), s.line().tightestRadiusMm())))
                        .asks(Questions.typical(15, 30, "mm")),
                fields.number(
                                "tightest",
                                "tightest bend, mm",
                                "Radius of the middle of the line in its tightest bend; Table finds it from a course or a mat.",
                                s -> s.line().tightestRadiusMm(),
                                (s, v) -> s.withLine(
                                        new Line(s.line().widthMm(), s.line().polarity(), v)))
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
                        "base",
                        "base command",
                        "Base command: what its program gives both wheels when it goes straight.",
                        s -> s.law().baseCommand(),
                        (s, v) -> s.withLaw(s.law().withBaseCommand(v))),
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
                        "target",
                        "target (edge only)",
                        "Target, the set point: the scaled reading it should see on the edge, 50 for the middle in percent.",
                        s -> s.law().target(),
                        (s, v) -> s.withLaw(s.law().withTarget(v))));
    }

    /** In other numbers: the target goes with them, so that it rides where it did; gains are what was typed. */
    private static Setup inScale(Setup setup, Scale to) {
        Law law = setup.law();
        Law moved = GainUnits.rescaled(law, to, setup.lawSensors().get(0));
        return setup.withLaw(moved.withGains(law.kp(), law.ki(), law.kd()));
    }
}
