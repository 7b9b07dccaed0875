package fahrbahn.core.twin;

import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.PathTracker;
import fahrbahn.core.table.Pose;
import java.util.Arrays;
import java.util.SplittableRandom;

/** One robot on one track. Runs may follow each other; not thread-safe, so one twin a thread. The tick loop allocates nothing. */
public final class Twin {
    /** Lost: the law's point this far outside the line's edge. */
    private static final double LOST_MM = 60;

    /** Turned round: this far behind the furthest place reached. */
    private static final double BACKWARDS_MM = 150;

    private static final double MOST_TIMES_NOMINAL = 4;

    private final Track track;
    private final Setup setup;
    private final Law law;
    private final Mixing mixing;
    private final Drive drive;
    private final SensorHead head;
    private final Body body;
    private final PathTracker tracker;
    private final double steerSign;
    private final double steeringLimit;
    private final double periodS;
    private final double restS;
    private final double mostTicks;
    /** Commands on their way to the wheels, a ring; the newest at {@code tick % length}. */
    private final double[] leftCommands;

    private final double[] rightCommands;
    private final int wholePeriods;

    public Twin(Track track) {
        this.track = track;
        this.setup = track.setup();
        this.law = setup.law();
        this.drive = setup.robot().drive();
        this.mixing = drive.mixing();
        this.head = new SensorHead(setup, track.seen());
        this.body = new Body(drive);
        this.tracker = new PathTracker(track.path());
        this.steerSign = -Math.signum(ErrorCurve.of(setup).slopePerMm());
        this.steeringLimit = mixing.steeringLimit(drive);
        this.periodS = setup.robot().loop().periodS();
        double periods = setup.robot().loop().delayS() / periodS;
        this.wholePeriods = (int) Math.floor(periods + 1e-9);
        this.restS = Math.max(0, periods - wholePeriods) < 1e-9 ? 0 : (periods - wholePeriods) * periodS;
        this.leftCommands = new double[wholePeriods + 2];
        this.rightCommands = new double[wholePeriods + 2];
        this.mostTicks = MOST_TIMES_NOMINAL * track.finishMm() / setup.speedMmPerS() / periodS;
    }

    /** One run from rolling at base speed, parallel to the path. */
    public RunResult run(Start start, TickSink sink) {
        RunFigures figures = new RunFigures(drive.fullCommand());
        SplittableRandom random = new SplittableRandom(start.seed());
        place(start);
        double restMissing = body.missingAfter(restS);
        double tailMissing = body.missingAfter(periodS - restS);
        double lostMm = setup.line().widthMm() / 2 + LOST_MM;
        double previousError = Double.NaN;
        double errorSum = 0;
        double furthestMm = Double.NEGATIVE_INFINITY;
        RunResult.End end = null;
        int tick = 0;
        double s = 0;

        while (end == null) {
            head.look(body.xMm, body.yMm, body.headingRad, start.calm() ? null : random);
            tracker.moveTo(head.pointXMm(), head.pointYMm());
            s = tracker.sMm();
            furthestMm = Math.max(furthestMm, s);
            double offset = tracker.leftMm() - track.rideOffsetMm();

            double error = head.error();
            errorSum += error;
            double change = tick == 0 ? 0 : error - previousError;
            previousError = error;
            double steering = steerSign * (law.kp() * error + law.ki() * errorSum + law.kd() * change);
            steering = Math.max(-steeringLimit, Math.min(steeringLimit, steering));

            if (s >= track.settledFromMm()) {
                figures.add(tick * periodS, offset, steering);
            }
            sink.tick(tick * periodS, body.xMm, body.yMm, body.headingRad, offset, error, steering);
            end = end(s, furthestMm, lostMm, tick);
            actuate(tick, steering, restMissing, tailMissing);
            tick++;
        }
        return new RunResult(
                end,
                (tick - 1) * periodS,
                figures.rmsMm(),
                figures.peakMm(),
                figures.wigglePeriodS(),
                figures.reversalsPerM(s - track.settledFromMm()),
                s);
    }

    private void place(Start start) {
        Pose onPath = track.path().at(0);
        double left = track.rideOffsetMm() + start.offsetMm() - head.pointLeftMm();
        body.startAt(onPath.offset(0, left), law.baseCommand());
        tracker.reset();
        Arrays.fill(leftCommands, law.baseCommand());
        Arrays.fill(rightCommands, law.baseCommand());
    }

    private RunResult.End end(double s, double furthestMm, double lostMm, int tick) {
        if (s >= track.finishMm()) {
            return RunResult.End.FINISHED;
        }
        if (!(Math.abs(tracker.leftMm()) <= lostMm)) { // NaN is lost too
            return RunResult.End.LEFT_THE_LINE;
        }
        if (s < furthestMm - BACKWARDS_MM) {
            return RunResult.End.TURNED_ROUND;
        }
        return tick >= mostTicks ? RunResult.End.TOO_SLOW : null;
    }

    /** Sends a command on its way and drives one period with those that arrive in it. */
    private void actuate(int tick, double steering, double restMissing, double tailMissing) {
        int ring = leftCommands.length;
        leftCommands[tick % ring] = drive.clamp(mixing.leftCommand(law.baseCommand(), steering));
        rightCommands[tick % ring] = drive.clamp(mixing.leftCommand(law.baseCommand(), -steering));
        int arriving = (tick + ring - wholePeriods) % ring;
        if (restS > 0) {
            int before = (arriving + ring - 1) % ring;
            body.drive(restS, restMissing, leftCommands[before], rightCommands[before]);
        }
        body.drive(periodS - restS, tailMissing, leftCommands[arriving], rightCommands[arriving]);
    }
}
