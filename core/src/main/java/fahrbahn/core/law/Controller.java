package fahrbahn.core.law;

import fahrbahn.core.check.Check;
import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.response.ErrorRule;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Setup;

/**
 * A law at work: from scaled readings to steering, tick by tick, in the order of operations of the team's own program. Keeps
 * what such a program keeps (previous error, sum, side last seen). Not thread-safe; allocates nothing after it is made.
 */
public final class Controller {
    /** What drives at a tick. */
    public enum Doing {
        /** The law by its error. */
        FOLLOWING,
        /** Straight on, while a crossing is waited out. */
        BLANKED,
        /** The steering of an emergency sensor that is on the line. */
        EMERGENCY,
        /** The rule for a lost line: no sensor of the law sees it. */
        LOST_RULE,
        /** Nothing any more: all sensors saw the line, and the robot stays where that stopped it. */
        STOPPED,
        /** On the way round an obstacle. */
        AROUND_OBSTACLE,
        /** On the way through a crossing: looking for marks behind it, ahead to where it turns, or straight on. */
        CROSSING,
        /** Turning at a crossing. */
        TURNING
    }

    /** What an emergency sensor met, or a pattern steered to, was lost on its side and over no gap, whatever counts as one. */
    private static final double FAR = Double.MAX_VALUE;

    private final ErrorRule rule;
    private final PatternTable patterns;
    private final LineWatch watch;
    private final Options.Limits limits;
    private final Options.LostLine lost;
    private final double outerSteering;
    private final double fullBase;
    private final double slowDown;
    private final Staircase staircase;
    private final double sign;
    private final double steeringLimit;
    private final boolean reflexes;
    private final MarkTurns turns;
    private final int marksFrom;
    private final ObstacleRound round;
    private final int feelerAt;
    private boolean turnDrives;
    private double kp;
    private double ki;
    private double kd;
    private Doing doing = Doing.FOLLOWING;
    private double error;
    private double errorSum;
    private double change;
    private double stepped;
    private boolean first;
    private double steering;
    private double lastSeenError;
    private double blankLeftS;
    private boolean stopped;

    /** @param steerSign 1 or -1: which way to steer for a positive error, as {@code ErrorCurve.steerSign} says; any for patterns */
    public Controller(Setup setup, double steerSign) {
        Check.require(Math.abs(steerSign) == 1, "steerSign", steerSign, "1 or -1");
        Law law = setup.law();
        Options options = law.options();
        boolean pattern = law.steering() == Law.Steering.TABLE;
        rule = pattern ? null : ErrorRule.of(setup);
        patterns = pattern ? new PatternTable(setup) : null;
        limits = options.limits();
        fullBase = law.baseCommand();
        slowDown = limits.slowDown();
        lost = options.lost();
        outerSteering = options.outer().map(Options.Outer::steering).orElse(0.0);
        staircase = law.steering() == Law.Steering.STEPS ? new Staircase(options.steps(), options.hysteresis()) : null;
        sign = steerSign;
        Drive drive = setup.robot().drive();
        steeringLimit = Math.min(limits.steering(), drive.mixing().steeringLimit(drive));
        reflexes = outerSteering > 0
                || lost.action() != Options.LostLine.Action.NONE
                || limits.blankS() > 0
                || limits.stopsOnAll();
        watch = reflexes ? new LineWatch(setup) : null;
        turns = options.turnMarks().map(marks -> new MarkTurns(setup, marks)).orElse(null);
        round = options.obstacle().map(move -> new ObstacleRound(setup, move)).orElse(null);
        marksFrom = setup.lawSensors().size() + setup.outerSensors().size();
        feelerAt = marksFrom + (turns == null ? 0 : 2 * ColourSpace.CHANNELS);
        setGains(law.kp(), law.ki(), law.kd());
        reset();
    }

    /** Per loop; from the next tick on. */
    public void setGains(double newKp, double newKi, double newKd) {
        kp = newKp;
        ki = newKi;
        kd = newKd;
    }

    /** Back to the state before the first tick. */
    public void reset() {
        error = 0;
        errorSum = 0;
        change = 0;
        doing = Doing.FOLLOWING;
        first = true;
        steering = 0;
        lastSeenError = 0;
        blankLeftS = 0;
        stopped = false;
        if (staircase != null) {
            staircase.reset();
        }
        if (watch != null) {
            watch.reset();
        }
        turnDrives = false;
        if (round != null) {
            round.reset();
        }
        if (turns != null) {
            turns.reset();
        }
    }

    /**
     * One tick.
     *
     * @param scaled scaled readings of {@link Setup#lawSensors}, then of {@link Setup#outerSensors}, then the scaled channels, red, green and
     *     blue, of each of {@link Setup#markSensors}, then the raw reading of what finds an obstacle
     * @param sinceLastS time since the tick before
     */
    public void decide(double[] scaled, double sinceLastS) {
        if (round != null && round.drives(scaled, scaled[feelerAt], sinceLastS)) {
            turnDrives = false;
            steering = round.steering();
            doing = Doing.AROUND_OBSTACLE;
            return;
        }
        if (turns != null) {
            turnDrives = turns.drives(scaled, marksFrom, sinceLastS);
            if (turnDrives) {
                steering = turns.steering();
                doing = turns.onTheSpot() ? Doing.TURNING : Doing.CROSSING;
                return;
            }
        }
        doing = Doing.FOLLOWING;
        double wanted = patterns == null ? fromError(scaled) : fromPattern(scaled);
        if (reflexes) {
            wanted = reflex(scaled, wanted, sinceLastS);
        }
        if (stopped) {
            doing = Doing.STOPPED;
            steering = 0;
            return;
        }
        steering = wanted > steeringLimit ? steeringLimit : wanted < -steeringLimit ? -steeringLimit : wanted;
    }

    private double fromPattern(double[] scaled) {
        stepped = patterns.steering(scaled, steering);
        return stepped;
    }

    private double fromError(double[] scaled) {
        double previous = error;
        error = rule.error(scaled, previous);
        errorSum += error;
        if (staircase != null) {
            stepped = sign * staircase.steering(error);
            return stepped;
        }
        change = first ? 0 : error - previous;
        first = false;
        return sign * (kp * error + ki * errorSum + kd * change);
    }

    /** What goes before the law: a crossing that is waited out, an emergency sensor on the line, a line that is lost. */
    private double reflex(double[] scaled, double wanted, double sinceLastS) {
        watch.look(scaled);
        stopped = stopped || limits.stopsOnAll() && (patterns == null ? watch.crossing() : patterns.allOnLine());
        blankLeftS -= sinceLastS;
        if (limits.blankS() > 0 && watch.crossing()) {
            blankLeftS = limits.blankS();
        }
        if (blankLeftS > 0) {
            doing = Doing.BLANKED;
            return 0;
        }
        int side = watch.outerSide();
        if (side != 0) {
            doing = Doing.EMERGENCY;
            lastSeenError = side * sign * FAR; // and the line lies on that side, should it be lost now
            return side * outerSteering;
        }
        if (watch.seen() || lost.action() == Options.LostLine.Action.NONE) {
            lastSeenError = patterns == null ? error : wanted == 0 ? 0 : Math.signum(wanted) * sign * FAR;
            return wanted;
        }
        doing = Doing.LOST_RULE;
        return switch (lost.action()) {
            case STRAIGHT -> 0;
            case BY_LOSS ->
                Math.abs(lastSeenError) <= lost.gapError() ? 0 : sign * Math.signum(lastSeenError) * lost.steering();
            case LAST_SIDE, NONE -> sign * Math.signum(lastSeenError) * lost.steering();
        };
    }

    /** What it does about marks at crossings; null when it does not look for them. */
    public MarkTurns turns() {
        return turns;
    }

    /** What it does about an obstacle; null when it runs into it. */
    public ObstacleRound round() {
        return round;
    }

    /** Error of the latest tick, scale units; 0 for patterns. */
    public double error() {
        return error;
    }

    /** What the law's gain on the error gives at the latest tick, command units, left positive; all of it of a law in steps. */
    public double proportional() {
        return inSteps() ? stepped : sign * kp * error;
    }

    /** What its gain on the sum of errors gives. */
    public double integral() {
        return inSteps() ? 0 : sign * ki * errorSum;
    }

    /** What its gain on the change of the error gives. */
    public double derivative() {
        return inSteps() ? 0 : sign * kd * change;
    }

    private boolean inSteps() {
        return patterns != null || staircase != null;
    }

    /** Whether it has stopped for good. */
    public boolean stopped() {
        return stopped;
    }

    /** What drove at the latest tick. */
    public Doing doing() {
        return doing;
    }

    /** Steering of the latest tick, command units, left positive, inside its limit. */
    public double steering() {
        return steering;
    }

    /** Base command of the latest tick: less than the law's while it slows down for its own steering, another while it turns at a mark. */
    public double baseCommand() {
        if (round != null && round.driving()) {
            return round.baseCommand();
        }
        if (turnDrives) {
            return turns.baseCommand();
        }
        if (stopped) {
            return 0;
        }
        return slowDown == 0 ? fullBase : fullBase * (1 - slowDown * Math.abs(steering) / steeringLimit);
    }
}
