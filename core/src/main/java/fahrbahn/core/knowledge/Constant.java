package fahrbahn.core.knowledge;

import fahrbahn.core.difference.Aspect;
import fahrbahn.core.difference.SetupField;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.SpeedCurve;
import java.util.List;
import java.util.Set;
import java.util.function.ToDoubleFunction;

/** A number of the robot that everything after it is computed from, and that can be measured. In mm, s and commands. */
public enum Constant {
    FREE_SPEED("free speed", "free speed", 0.15, Set.of(Aspect.BATTERY, Aspect.WHEELS), SetupField.FREE_SPEED),
    TRACK_WIDTH(
            "turning width",
            "turning width",
            0.08,
            Set.of(Aspect.WHEELS),
            s -> s.robot().drive().effectiveTrackWidthMm(),
            (s, v) -> SetupField.SCRUB.with(s, v / s.robot().drive().trackWidthMm())),
    DEAD_ZONE("dead zone", "dead band", 0.5, Set.of(Aspect.BATTERY, Aspect.WHEELS), SetupField.DEAD_ZONE),
    SAG("sag", "speed loss under load", 0, Set.of(Aspect.BATTERY, Aspect.WHEELS), SetupField.SAG),
    BREAKAWAY("breakaway", "start-up power", 0.5, Set.of(Aspect.BATTERY, Aspect.WHEELS), SetupField.BREAKAWAY),
    HOLDING("holding command", "stops-below power", 0.5, Set.of(Aspect.BATTERY, Aspect.WHEELS), SetupField.HOLDING),
    LAG("lag", "motor lag", 0.4, Set.of(Aspect.BATTERY, Aspect.WHEELS, Aspect.LOOP), SetupField.LAG),
    LOOP_TIME("loop time", "loop time", 0.3, Set.of(), SetupField.LOOP_TIME),
    DELAY("delay", "reading delay", 0.5, Set.of(), SetupField.DELAY),
    SPOT(
            "spot",
            "spot size",
            0.3,
            Set.of(Aspect.HEIGHT),
            s -> s.lawSensors().stream()
                    .mapToDouble(Sensor::spotSigmaMm)
                    .average()
                    .orElseThrow(),
            Constant::withSpot);

    /** Most robots' speeds bend by no more than this, as a share: our reckoning. */
    private static final double USUAL_SAG = 0.2;

    /** A threshold nobody has looked for is most often a twentieth of full command or less. */
    private static final double UNSEEN_SHARE = 0.05;

    private interface Change {
        Setup apply(Setup setup, double value);
    }

    private final String id;
    private final String word;
    private final double guessShare;
    private final Set<Aspect> dependsOn;
    private final ToDoubleFunction<Setup> value;
    private final Change change;

    Constant(
            String id,
            String word,
            double guessShare,
            Set<Aspect> dependsOn,
            ToDoubleFunction<Setup> value,
            Change change) {
        this.id = id;
        this.word = word;
        this.guessShare = guessShare;
        this.dependsOn = dependsOn;
        this.value = value;
        this.change = change;
    }

    Constant(String id, String word, double guessShare, Set<Aspect> dependsOn, SetupField field) {
        this(id, word, guessShare, dependsOn, field::number, field::with);
    }

    /** Its name in a season file, which does not change. */
    public String id() {
        return id;
    }

    /** What a coach calls it. */
    public String word() {
        return word;
    }

    /** How far off a guess of it usually is, as a share: our reckoning from robots of the usual build. */
    public double guessShare() {
        return guessShare;
    }

    /** How far off the value of a setup usually is when it is a guess, in the constant's own units. */
    public double guessedWithin(Setup setup) {
        double value = of(setup);
        return switch (this) {
            case SAG -> USUAL_SAG;
            case DEAD_ZONE, BREAKAWAY, HOLDING ->
                value == 0 ? UNSEEN_SHARE * setup.robot().drive().fullCommand() : guessShare * value;
            default -> guessShare * value;
        };
    }

    /** Whether small swings depend on it; what starts and holds a wheel matters to wide ones only. */
    public boolean ofTheLoop() {
        return this != BREAKAWAY && this != HOLDING;
    }

    /** The least it can be. */
    public double least() {
        return this == SAG ? -SpeedCurve.MOST_SAG : 0;
    }

    /** What changes it, or what it was told by: the wiggle clock tells the lag by the loop time. */
    public Set<Aspect> dependsOn() {
        return dependsOn;
    }

    public double of(Setup setup) {
        return value.applyAsDouble(setup);
    }

    /** @throws fahrbahn.core.check.BadValueException when the setup cannot have this value */
    public Setup with(Setup setup, double newValue) {
        return change.apply(setup, newValue);
    }

    /** Every spot larger or smaller in the same proportion, so that their mean has the value. */
    private static Setup withSpot(Setup setup, double mean) {
        double factor = mean / SPOT.of(setup);
        List<Sensor> sensors = setup.robot().sensors().stream()
                .map(s -> s.withSpotSigmaMm(s.spotSigmaMm() * factor))
                .toList();
        return setup.withRobot(setup.robot().withSensors(sensors));
    }
}
