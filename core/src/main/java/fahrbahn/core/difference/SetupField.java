package fahrbahn.core.difference;

import fahrbahn.core.setup.Chassis;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.SpeedCurve;
import fahrbahn.core.setup.Traits;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * Every plain value of a setup: where it stands in its file, what it is called, its unit, what it belongs to, and how it is read and changed.
 * Files, differences, forms, constants and refusals go through this one list; sensors and a law's {@link Options} are lists of their own.
 */
public enum SetupField {
    TRACK_WIDTH(
            "robot.drive.trackWidthMm",
            "track width",
            Unit.MM,
            Aspect.DRIVE,
            drive(Drive::trackWidthMm),
            inDrive(Drive::withTrackWidthMm)),
    FREE_SPEED(
            "robot.drive.freeSpeedMmPerS",
            "free speed",
            Unit.MM_PER_S,
            Aspect.DRIVE,
            drive(Drive::freeSpeedMmPerS),
            inDrive(Drive::withFreeSpeedMmPerS)),
    LAG("robot.drive.lagS", "motor lag", Unit.S, Aspect.DRIVE, drive(Drive::lagS), inDrive(Drive::withLagS)),
    MIXING(
            "robot.drive.mixing",
            "mixing",
            Aspect.DRIVE,
            s -> s.robot().drive().mixing().word()),
    FULL_COMMAND(
            "robot.drive.fullCommand",
            "max motor value",
            Unit.NUMBER,
            Aspect.DRIVE,
            drive(Drive::fullCommand),
            inDrive(Drive::withFullCommand)),
    MAY_REVERSE("robot.drive.mayReverse", "reversing", Aspect.DRIVE, traits(Traits::mayReverse)),
    BATTERY("robot.drive.batteryShare", "battery", Unit.SHARE, Aspect.DRIVE, traits(Traits::batteryShare)),
    DEAD_ZONE(
            "robot.drive.deadZoneCommand",
            "dead band",
            Unit.NUMBER,
            Aspect.DRIVE,
            curve(SpeedCurve::deadZoneCommand),
            inCurve(SpeedCurve::withDeadZoneCommand)),
    SAG(
            "robot.drive.sagShare",
            "speed loss under load",
            Unit.SHARE,
            Aspect.DRIVE,
            curve(SpeedCurve::sagShare),
            inCurve(SpeedCurve::withSagShare)),
    BREAKAWAY(
            "robot.drive.breakawayCommand",
            "start-up power",
            Unit.NUMBER,
            Aspect.DRIVE,
            curve(SpeedCurve::breakawayCommand),
            inCurve(SpeedCurve::withBreakawayCommand)),
    HOLDING(
            "robot.drive.holdingCommand",
            "stops below",
            Unit.NUMBER,
            Aspect.DRIVE,
            curve(SpeedCurve::holdingCommand),
            inCurve(SpeedCurve::withHoldingCommand)),
    MISMATCH(
            "robot.drive.mismatchShare",
            "wheel mismatch",
            Unit.SHARE,
            Aspect.DRIVE,
            traits(Traits::mismatchShare),
            inTraits(Traits::withMismatchShare)),
    SLIP("robot.drive.slipShare", "slip", Unit.SHARE, Aspect.DRIVE, traits(Traits::slipShare)),
    SCRUB(
            "robot.drive.scrub",
            "turning drag",
            Unit.NUMBER,
            Aspect.DRIVE,
            traits(Traits::scrub),
            inTraits(Traits::withScrub)),
    SUPPORT(
            "robot.chassis.supportForwardMm",
            "caster distance",
            Unit.MM,
            Aspect.LAYOUT,
            chassis(Chassis::supportForwardMm),
            inChassis(Chassis::withSupportForwardMm)),
    SENSOR_HEIGHT(
            "robot.chassis.sensorHeightMm",
            "sensor height",
            Unit.MM,
            Aspect.HEIGHT,
            chassis(Chassis::sensorHeightMm),
            inChassis(Chassis::withSensorHeightMm)),
    WHEEL_RADIUS(
            "robot.chassis.wheelRadiusMm",
            "wheel radius",
            Unit.MM,
            Aspect.WHEELS,
            chassis(Chassis::wheelRadiusMm),
            inChassis(Chassis::withWheelRadiusMm)),
    TRACKS("robot.chassis.tracks", "tracks", Aspect.WHEELS, chassis(Chassis::tracks)),
    LOOP_TIME(
            "robot.loop.periodS",
            "loop time",
            Unit.S,
            Aspect.LOOP,
            s -> s.robot().loop().periodS(),
            (s, v) -> s.withLoop(new Loop(v, s.robot().loop().delayS()))),
    DELAY(
            "robot.loop.delayS",
            "reading delay",
            Unit.S,
            Aspect.LOOP,
            s -> s.robot().loop().delayS(),
            (s, v) -> s.withLoop(new Loop(s.robot().loop().periodS(), v))),
    LINE_WIDTH(
            "line.widthMm",
            "line width",
            Unit.MM,
            Aspect.LINE,
            s -> s.line().widthMm(),
            (s, v) -> s.withLine(new Line(v, s.line().polarity(), s.line().tightestRadiusMm()))),
    POLARITY("line.polarity", "line", Aspect.LINE, s -> s.line().polarity().word()),
    TIGHTEST_BEND(
            "line.tightestRadiusMm",
            "tightest bend",
            Unit.MM,
            Aspect.BEND,
            s -> s.line().tightestRadiusMm(),
            (s, v) -> s.withLine(new Line(s.line().widthMm(), s.line().polarity(), v))),
    SIGNAL("law.kind", "control", Aspect.LAW, s -> s.law().signal().word()),
    SIDE("law.side", "edge", Aspect.LAW, s -> s.law().side().word()),
    SCALE("law.scale", "scale", Aspect.LAW, s -> s.law().scale().word()),
    TARGET("law.target", "target", Unit.NUMBER, Aspect.LAW, law(Law::target), inLaw(Law::withTarget)),
    BASE_COMMAND(
            "law.baseCommand",
            "base speed",
            Unit.NUMBER,
            Aspect.LAW,
            law(Law::baseCommand),
            inLaw(Law::withBaseCommand)),
    KP("law.kp", "Kp", Unit.NUMBER, Aspect.GAINS, law(Law::kp), inLaw((l, v) -> l.withGains(v, l.ki(), l.kd()))),
    KI("law.ki", "Ki", Unit.NUMBER, Aspect.GAINS, law(Law::ki), inLaw((l, v) -> l.withGains(l.kp(), v, l.kd()))),
    KD("law.kd", "Kd", Unit.NUMBER, Aspect.GAINS, law(Law::kd), inLaw((l, v) -> l.withGains(l.kp(), l.ki(), v)));

    /** What a number is in, in files and computations, and as a coach types it. */
    public enum Unit {
        NUMBER("", "", 1),
        MM("mm", "mm", 1),
        MM_PER_S("mm/s", "mm/s", 1),
        S("s", "ms", 1000),
        SHARE("share", "%", 100);

        private final String symbol;
        private final String typed;
        private final double factor;

        Unit(String symbol, String typed, double factor) {
            this.symbol = symbol;
            this.typed = typed;
            this.factor = factor;
        }
    }

    private final String path;
    private final String word;
    private final Unit unit;
    private final Aspect aspect;
    private final Function<Setup, Object> get;
    private final BiFunction<Setup, Double, Setup> with;

    SetupField(
            String path,
            String word,
            Unit unit,
            Aspect aspect,
            Function<Setup, Object> get,
            BiFunction<Setup, Double, Setup> with) {
        this.path = path;
        this.word = word;
        this.unit = unit;
        this.aspect = aspect;
        this.get = get;
        this.with = with;
    }

    /** A number that comes with the conditions of a run and is not typed. */
    SetupField(String path, String word, Unit unit, Aspect aspect, Function<Setup, Object> get) {
        this(path, word, unit, aspect, get, (setup, value) -> {
            throw new IllegalArgumentException(word + " is not typed");
        });
    }

    /** A choice, or a yes and no. */
    SetupField(String path, String word, Aspect aspect, Function<Setup, Object> get) {
        this(path, word, Unit.NUMBER, aspect, get);
    }

    /** Objects and field in a setup file, with points between them. */
    public String path() {
        return path;
    }

    /** What it is called, without its unit. */
    public String word() {
        return word;
    }

    /** The same with the unit that it is kept in. */
    public String wordWithUnit() {
        return unit.symbol.isEmpty() ? word : word + " (" + unit.symbol + ")";
    }

    /** The same with the unit that it is typed in. */
    public String typedWord() {
        return unit.typed.isEmpty() ? word : word + ", " + unit.typed;
    }

    /** The unit that it is kept in, to stand after a number; nothing for shares and plain numbers. */
    public String symbol() {
        return unit == Unit.SHARE || unit.symbol.isEmpty() ? "" : " " + unit.symbol;
    }

    public Aspect aspect() {
        return aspect;
    }

    /** A {@code Double}, a {@code Boolean} or, of a choice, its word in files. */
    public Object of(Setup setup) {
        return get.apply(setup);
    }

    /** In the unit that it is kept in. */
    public double number(Setup setup) {
        return (Double) of(setup);
    }

    /** As a coach types it, without the digits that a change of unit makes up. */
    public double typed(Setup setup) {
        return unit.factor == 1 ? number(setup) : Math.round(number(setup) * unit.factor * 1e6) / 1e6;
    }

    /** @throws fahrbahn.core.check.BadValueException when the setup cannot have this value */
    public Setup with(Setup setup, double value) {
        return with.apply(setup, value);
    }

    /** The same as a coach types it. */
    public Setup withTyped(Setup setup, double value) {
        return with(setup, value / unit.factor);
    }

    private static Function<Setup, Object> drive(Function<Drive, Object> get) {
        return setup -> get.apply(setup.robot().drive());
    }

    private static BiFunction<Setup, Double, Setup> inDrive(BiFunction<Drive, Double, Drive> with) {
        return (setup, value) -> setup.withDrive(with.apply(setup.robot().drive(), value));
    }

    private static Function<Setup, Object> traits(Function<Traits, Object> get) {
        return drive(drive -> get.apply(drive.traits()));
    }

    private static BiFunction<Setup, Double, Setup> inTraits(BiFunction<Traits, Double, Traits> with) {
        return inDrive((drive, value) -> drive.withTraits(with.apply(drive.traits(), value)));
    }

    private static Function<Setup, Object> curve(Function<SpeedCurve, Object> get) {
        return traits(traits -> get.apply(traits.curve()));
    }

    private static BiFunction<Setup, Double, Setup> inCurve(BiFunction<SpeedCurve, Double, SpeedCurve> with) {
        return inTraits((traits, value) -> traits.withCurve(with.apply(traits.curve(), value)));
    }

    private static Function<Setup, Object> chassis(Function<Chassis, Object> get) {
        return setup -> get.apply(setup.robot().chassis());
    }

    private static BiFunction<Setup, Double, Setup> inChassis(BiFunction<Chassis, Double, Chassis> with) {
        return (setup, value) -> setup.withRobot(
                setup.robot().withChassis(with.apply(setup.robot().chassis(), value)));
    }

    private static Function<Setup, Object> law(Function<Law, Object> get) {
        return setup -> get.apply(setup.law());
    }

    private static BiFunction<Setup, Double, Setup> inLaw(BiFunction<Law, Double, Law> with) {
        return (setup, value) -> setup.withLaw(with.apply(setup.law(), value));
    }
}
