package fahrbahn.core.twin;

import fahrbahn.core.check.Check;
import fahrbahn.core.path.Pose;
import fahrbahn.core.sensing.Variation;
import fahrbahn.core.setup.Setup;

/**
 * A robot that drives without looking at the line: from rest, with constant commands, until a time or a number of wheel turns is up, then to rest
 * again. For one thread.
 */
public final class BlindDrive {
    /** The wheels are given this many lags to come to rest in. */
    private static final double REST_LAGS = 40;

    /** Wheels that the command does not move never get there: given up after so many times the usual. */
    private static final double LONGEST = 10;

    /** What ends a move. */
    public enum Until {
        /** A time that was set for the usual battery and grip. */
        TIME,
        /** What the encoders counted; slip is not in it. What the robot usually rolls on after the last count is taken off. */
        WHEEL_TURNS
    }

    private final Body body;
    private final double speedMmPerS;
    private final double command;
    private final double periodS;
    private final double delayS;
    private final double slipShare;
    private final double countMm;
    private final double carriesOnMm;
    private final double halfWidthMm;
    private final Span tick = new Span();

    /**
     * @param countMm way of one count of the wheel encoder; 0 for one that counts as fine as can be
     * @param from where it stands
     */
    public BlindDrive(Setup setup, Variation is, double countMm, Pose from) {
        Check.notNegative("countMm", countMm);
        this.body = new Body(setup.robot().drive(), is);
        this.speedMmPerS = setup.speedMmPerS();
        this.command = setup.law().baseCommand();
        this.periodS = setup.robot().loop().periodS();
        this.delayS = setup.robot().loop().delayS();
        this.slipShare = is.slipShare();
        this.countMm = countMm;
        this.carriesOnMm = speedMmPerS * (delayS + setup.robot().drive().lagS());
        this.halfWidthMm = setup.robot().drive().effectiveTrackWidthMm() / 2;
        body.startAt(from, 0);
        tick.set(periodS, body.lagS());
    }

    /** Backs off by a way with both wheels at the base command. @param wayMm above 0 */
    public BlindDrive back(double wayMm, Until until) {
        Check.positive("wayMm", wayMm);
        return move(-command, -command, wayMm, until);
    }

    /** Turns on the spot to the left with the wheels at the base command against each other. @param angleRad above 0 */
    public BlindDrive turn(double angleRad, Until until) {
        Check.positive("angleRad", angleRad);
        return move(-command, command, angleRad * halfWidthMm, until);
    }

    /** Where it stands. */
    public Pose pose() {
        return new Pose(body.xMm, body.yMm, body.headingRad);
    }

    private BlindDrive move(double left, double right, double wayMm, Until until) {
        double wheelsMm = 0;
        double timeS = wayMm / speedMmPerS;
        double enoughMm = Math.max(0, wayMm - carriesOnMm);
        for (int i = 0; until == Until.TIME ? i * periodS < timeS : counted(wheelsMm) < enoughMm; i++) {
            double before = wheelMm();
            body.drive(tick, left, right);
            wheelsMm += (before + wheelMm()) / 2 * periodS / (1 - slipShare);
            if (until == Until.WHEEL_TURNS && i * periodS > LONGEST * timeS) {
                break;
            }
        }
        if (until == Until.WHEEL_TURNS) {
            Span late = new Span();
            late.set(delayS, body.lagS());
            body.drive(late, left, right);
        }
        if (body.lagS() > 0) {
            Span toRest = new Span();
            toRest.set(REST_LAGS * body.lagS(), body.lagS());
            body.drive(toRest, 0, 0);
        }
        body.aim();
        return this;
    }

    private double counted(double wheelsMm) {
        return countMm == 0 ? wheelsMm : Math.floor(wheelsMm / countMm) * countMm;
    }

    /** How fast a wheel turns in the mean of both, whichever way. */
    private double wheelMm() {
        return (Math.abs(body.wheelMmPerS(-1)) + Math.abs(body.wheelMmPerS(1))) / 2;
    }
}
