package fahrbahn.core.twin;

import fahrbahn.core.law.Controller;
import fahrbahn.core.law.Program;
import fahrbahn.core.path.PathTracker;
import fahrbahn.core.path.Pose;
import fahrbahn.core.sensing.NormalDraws;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trace.TickSink;
import java.util.List;
import java.util.SplittableRandom;

/** One robot on one track for one run. A tick allocates nothing. */
public final class Twin {
    /** Lost: the law's point this far outside the line's edge. */
    private static final double LOST_MM = 60;

    /** Turned round: this far behind the furthest place reached. */
    private static final double BACKWARDS_MM = 150;

    private static final double MOST_TIMES_NOMINAL = 4;

    /** Turning round is noticed within this many ticks. */
    private static final int MOST_UNLOOKED = 64;

    /** An even stretch that ends this soon is not worth its own way of looking. */
    private static final double SHORT_MM = 20;

    /** A delay this close to a whole number of periods, in periods, counts as whole. */
    private static final double WHOLE = 1e-9;

    /** A tick is at least this share of the loop period, whatever the jitter. */
    private static final double LEAST_TICK = 0.2;

    /** All sensors see a strip a little before its edge is under their middle. */
    private static final double STOPS_EARLY_MM = 10;

    /** The wheels are given this many lags to come to rest in. */
    private static final double REST_LAGS = 40;

    private final Track track;
    private final Drive drive;
    private final Mixing mixing;
    private final double mostCommand;
    private final double leastCommand;
    private final double baseCommand;
    private final double periodS;
    private final double restS;
    private final double jitterShare;
    private final SplittableRandom random;
    private final SensorHead head;
    private final Controller controller;
    private final Body body;
    private final PathTracker tracker;
    private final boolean flat;
    private final Span rest = new Span();
    private final Span tail = new Span();
    private final CommandDelay delay;
    private final double mostStepMm;
    private final double mostTicks;
    private final double lostMm;
    private final CrossingWatch crossings;
    private final Now now;

    /** @param steerSign which way the program steers for a positive error */
    private Twin(Track track, Setup setup, double steerSign, Start start) {
        this.track = track;
        drive = setup.robot().drive();
        mixing = drive.mixing();
        mostCommand = drive.fullCommand();
        leastCommand = drive.leastCommand();
        baseCommand = setup.law().baseCommand();
        periodS = setup.robot().loop().periodS();
        double periods = setup.robot().loop().delayS() / periodS;
        int wholePeriods = (int) Math.floor(periods + WHOLE);
        restS = periods - wholePeriods < WHOLE ? 0 : (periods - wholePeriods) * periodS;
        jitterShare = start.variation().jitterShare();
        random = new SplittableRandom(start.seed());
        head = new SensorHead(track, setup, start.variation(), random);
        controller = new Controller(setup, steerSign);
        body = new Body(drive, start.variation());
        tracker = new PathTracker(track.path());
        flat = track.relief().flat();
        delay = new CommandDelay(wholePeriods, baseCommand);
        double fastest = 2 * drive.freeSpeedMmPerS();
        mostStepMm = (fastest + head.pointForwardMm() * fastest / drive.trackWidthMm()) * periodS * (1 + jitterShare);
        mostTicks = MOST_TIMES_NOMINAL * track.finishMm() / setup.speedMmPerS() / periodS;
        lostMm = setup.line().widthMm() / 2 + LOST_MM;
        crossings = setup.law()
                .options()
                .turnMarks()
                .map(marks -> new CrossingWatch(track.path().crossings(), marks.place(), controller.turns()))
                .orElse(null);
        now = new Now(drive, body, head, controller);
        usualTick();
        place(start);
    }

    /** One run from rolling at base speed. */
    public static RunResult run(Track track, Start start, TickSink sink) {
        Workload.check(track, 1);
        return new Twin(track, track.setup(), track.steerSign(), start).run(sink);
    }

    /** One run without a witness, of a setup that differs from the track's in gains, steps or speed only. */
    public static RunResult run(Track track, Setup setup, Start start) {
        return run(track, setup, start, TickSink.NONE);
    }

    /** The same with a witness. */
    public static RunResult run(Track track, Setup setup, Start start, TickSink sink) {
        track.checkSameSight(setup);
        return new Twin(track, setup, track.steerSign(), start).run(sink);
    }

    /**
     * One run of a robot that is the track's but has its program from elsewhere: law and gains, and what dark and light are for each
     * sensor, which may not be what it reads.
     *
     * @param program with the track's sensors in their places
     */
    public static RunResult asProgrammed(Track track, Setup program, Start start, TickSink sink) {
        track.checkSamePlaces(program);
        Workload.check(track, 1);
        Robot real = track.setup().robot();
        Setup programmed = program.withDrive(real.drive()).withLoop(real.loop());
        return new Twin(track, programmed, Program.steerSign(programmed), start).run(sink);
    }

    /** The same of a robot whose two sensors have each the other's plug: it steers away from the line. */
    public static RunResult withSensorsSwapped(Track track, Setup program, Start start, TickSink sink) {
        track.checkSamePlaces(program);
        Workload.check(track, 1);
        return new Twin(track, program, -Program.steerSign(program), start).run(sink);
    }

    private RunResult run(TickSink sink) {
        RunFigures figures = new RunFigures(drive.fullCommand());
        RunResult.End end = null;
        double furthestMm = Double.NEGATIVE_INFINITY;
        double jitteredS = 0;
        double tickS = periodS;
        double s = 0;
        int nextLook = 0;
        int tick = 0;
        boolean uneven = !flat;
        while (true) {
            if (uneven) {
                body.climb(track.relief().slope(s - head.pointForwardMm()));
            }
            head.look(body, uneven, s);
            tracker.moveTo(head.pointXMm(), head.pointYMm());
            double left = tracker.leftMm();
            double offset = left - track.rideOffsetMm();
            // The place along a bend costs an angle; between looks nothing can have come to pass that depends on it.
            boolean turning = crossings != null && controller.turns().turning()
                    || controller.round() != null && controller.round().driving();
            if ((tick >= nextLook || uneven) && !turning) {
                s = tracker.sMm();
                furthestMm = Math.max(furthestMm, s);
                body.aim();
                double evenMm = flat ? Double.POSITIVE_INFINITY : head.evenForMm(s);
                uneven = evenMm < SHORT_MM;
                nextLook = tick + ticksToNextLook(s, evenMm);
                if (!flat && !uneven) {
                    body.climb(0);
                }
            }
            controller.decide(head.scaled(), tickS);
            if (crossings != null && crossings.undecided()) {
                crossings.takeDown(tracker.sMm());
            }
            if (s >= track.settledFromMm() && !turning) {
                figures.add(offset, controller.steering());
            }
            if (sink != TickSink.NONE) {
                now.is(timeS(tick, jitteredS), offset, s);
                sink.tick(now);
            }
            end = turning ? endOnTheWay(tick) : end(s, furthestMm, left, tick);
            if (end != null) {
                break;
            }
            if (jitterShare > 0) {
                double drawn = 1 + jitterShare * NormalDraws.next(random);
                double share = drawn > LEAST_TICK ? drawn : LEAST_TICK;
                tickS = periodS * share;
                jitter(share);
                jitteredS += tickS;
            }
            actuate();
            tick++;
        }
        return result(figures, end, tick, timeS(tick, jitteredS), furthestMm);
    }

    private RunResult result(RunFigures figures, RunResult.End end, int ticks, double tS, double furthestMm) {
        double s = tracker.sMm();
        double left = tracker.leftMm();
        if (end == RunResult.End.FINISHED || end == RunResult.End.STOPPED) {
            comeToRest();
        }
        double acrossMm = end == RunResult.End.FINISHED ? tracker.leftMm() : left;
        return new RunResult(
                end,
                tS,
                figures.ride(track.usableBandMm(), ticks == 0 ? periodS : tS / ticks, s - track.settledFromMm()),
                s,
                tracker.sMm() - track.finishMm(),
                acrossMm - track.rideOffsetMm(),
                crossings == null ? List.of() : crossings.passes(furthestMm));
    }

    /** Not summed up unless it must be: a sum of thousands of periods drifts. */
    private double timeS(int tick, double jitteredS) {
        return jitterShare > 0 ? jitteredS : tick * periodS;
    }

    /** As many as it takes at least to where figures begin to count, to the finish, or to an uneven stretch. */
    private int ticksToNextLook(double s, double evenMm) {
        double toFigures = s < track.settledFromMm() ? track.settledFromMm() - s : track.finishMm() - s;
        double leftMm = Math.min(toFigures, evenMm);
        return Math.max(1, Math.min(MOST_UNLOOKED, (int) (leftMm / mostStepMm)));
    }

    private void place(Start start) {
        Pose onPath = track.path().at(0);
        double left = track.rideOffsetMm() + start.offsetMm() - head.pointLeftMm();
        body.startAt(onPath.offset(0, left).turned(start.headingRad()), baseCommand);
    }

    /** Through a crossing or round an obstacle: how far it is from the line says nothing then. */
    private RunResult.End endOnTheWay(int tick) {
        if (head.hit()) {
            return RunResult.End.HIT_OBSTACLE;
        }
        return tick >= mostTicks ? RunResult.End.TOO_SLOW : null;
    }

    private RunResult.End end(double s, double furthestMm, double left, int tick) {
        if (head.hit()) {
            return RunResult.End.HIT_OBSTACLE;
        }
        if (crossings != null && crossings.turnsRoundAtEnd()) {
            return RunResult.End.FINISHED;
        }
        if (s >= track.finishMm()) {
            return track.path().endsRound() ? RunResult.End.LEFT_THE_LINE : RunResult.End.FINISHED;
        }
        if (!(Math.abs(left) <= lostMm)) { // NaN is lost too
            return RunResult.End.LEFT_THE_LINE;
        }
        if (s < furthestMm - BACKWARDS_MM) {
            return RunResult.End.TURNED_ROUND;
        }
        if (controller.stopped()) {
            return s >= track.finishMm() - STOPS_EARLY_MM ? RunResult.End.FINISHED : RunResult.End.STOPPED;
        }
        return tick >= mostTicks ? RunResult.End.TOO_SLOW : null;
    }

    /** Ticks as long as the loop period. */
    private void usualTick() {
        rest.set(restS, body.lagS());
        tail.set(periodS - restS, body.lagS());
    }

    /** @param share length of the tick over the loop period; the delay stretches with it */
    private void jitter(double share) {
        if (restS > 0) {
            rest.jitterTo(share);
        }
        tail.jitterTo(share);
    }

    /** Sends a command on its way and drives one period with those that arrive in it. */
    private void actuate() {
        double base = controller.baseCommand();
        double steering = controller.steering();
        delay.send(clamped(mixing.leftCommand(base, steering)), clamped(mixing.leftCommand(base, -steering)));
        if (restS > 0) {
            body.drive(rest, delay.leftBefore(), delay.rightBefore());
        }
        body.drive(tail, delay.left(), delay.right());
    }

    /** Compared by hand: a branch that is foreseen costs a tick less than Math.max and Math.min. */
    private double clamped(double command) {
        return command > mostCommand ? mostCommand : command < leastCommand ? leastCommand : command;
    }

    /** The program stops both wheels in the tick that finished; the loop's delay and the wheels' lag carry the robot on. */
    private void comeToRest() {
        usualTick();
        delay.send(0, 0);
        for (int i = 0; i <= delay.wholePeriods(); i++) {
            if (restS > 0) {
                body.drive(rest, delay.leftBefore(), delay.rightBefore());
            }
            body.drive(tail, delay.left(), delay.right());
            delay.send(0, 0);
        }
        Span toRest = new Span();
        toRest.set(REST_LAGS * body.lagS(), body.lagS());
        if (body.lagS() > 0) {
            body.drive(toRest, 0, 0);
        }
        double x = body.xMm + head.pointForwardMm() * body.cos - head.pointLeftMm() * body.sin;
        double y = body.yMm + head.pointForwardMm() * body.sin + head.pointLeftMm() * body.cos;
        tracker.moveTo(x, y);
    }
}
