package fahrbahn.core.detour;

import fahrbahn.core.check.Check;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.sensing.Variation;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.trace.TickSink;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.Stream;

/**
 * A detour driven many times with what differs from run to run: where the robot stands when it turns by how it found the obstacle, the turn
 * by battery and slip, for it lasts a time that was set, the arc by wheels that are uneven; both wheels have the same lag, so that an arc from rest
 * is a circle from its first mm. Where the sensor meets the line the robot drives straight on until it stands over it, turns back along it, both
 * for times that were set, and the law takes over, on the twin.
 *
 * @param turnRad as planned
 * @param radiusMm of the arc as planned; infinite when no arc keeps clear, and then nothing was driven
 * @param onMm how far it drives straight on when the sensor meets the line, as planned
 * @param backRad by how much it turns back then, as planned
 * @param alongMm where the sensor met the line, behind the obstacle's middle; of the runs that met it
 * @param headingRad then
 * @param ends how many runs came to each end
 */
public record DetourTrial(
        double turnRad,
        double radiusMm,
        double onMm,
        double backRad,
        Sample alongMm,
        Sample headingRad,
        Map<End, Integer> ends) {
    /** The law has found the line again when it follows it so far. */
    private static final double FOLLOWS_MM = 1000;

    /** The twin starts with less than a quarter turn. */
    private static final double MOST_RAD = Math.PI / 2 - 1e-6;

    /** What becomes of a run. */
    public enum End {
        /** It did not find the obstacle in time and ran into it. */
        RAN_INTO_IT,
        /** It touched the obstacle as it turned or went round. */
        TOUCHED_IT,
        /** It came round without meeting the line. */
        MISSED_THE_LINE,
        /** It met the line and did not keep it. */
        LOST_THE_LINE,
        /** It was on the line again a metre further on. */
        KEPT_THE_LINE
    }

    public DetourTrial {
        ends = Map.copyOf(ends);
    }

    /** Chance to be on the line again. */
    public Completion kept() {
        return Completion.of(count(End.KEPT_THE_LINE), runs());
    }

    public int count(End end) {
        return ends.getOrDefault(end, 0);
    }

    public int runs() {
        return ends.values().stream().mapToInt(Integer::intValue).sum();
    }

    private record Outcome(End end, double alongMm, double headingRad) {
        static Outcome of(End end) {
            return new Outcome(end, Double.NaN, Double.NaN);
        }
    }

    /**
     * @param turnRad above 0, at most a quarter turn
     * @param runs 2 or more
     * @param seed the same seed gives the same runs on any number of threads
     */
    public static DetourTrial of(
            Setup setup,
            Task task,
            Approach approach,
            double turnRad,
            Spread spread,
            int runs,
            long seed,
            Workers workers,
            Job job) {
        Check.require(runs >= 2, "runs", runs, "2 or more");
        double usualMm = approach.usualStandOffMm(setup);
        double radius = usualMm >= 0
                ? task.detour(setup, approach, turnRad).leastRadiusMm(task.frontMm(), task.widthMm())
                : Double.POSITIVE_INFINITY;
        // The inner wheel is not to turn backwards.
        double radiusMm = Math.max(radius, setup.robot().drive().effectiveTrackWidthMm() / 2 + 1);
        if (Double.isInfinite(radiusMm)) {
            return new DetourTrial(
                    turnRad, radiusMm, 0, 0, new Sample(new double[0]), new Sample(new double[0]), Map.of());
        }
        double lineMm = setup.line().widthMm();
        double meets = task.detour(setup, approach, turnRad).meetsAtRad(radiusMm, setup.leadMm(), lineMm);
        double onMm = Detour.driveOnMm(meets, setup.leadMm(), lineMm);
        Way way = new Way(task, approach, turnRad, radiusMm, onMm, Math.abs(meets));
        Track track = Track.straight(FOLLOWS_MM, setup);
        Outcome[] outcomes = new Outcome[runs];
        workers.run(runs, i -> outcomes[i] = one(track, way, spread.draw(0, seed, i)), job);
        Map<End, Integer> ends = new EnumMap<>(End.class);
        Stream.of(outcomes).forEach(o -> ends.merge(o.end(), 1, Integer::sum));
        return new DetourTrial(
                turnRad,
                radiusMm,
                onMm,
                Math.abs(meets),
                Sample.of(Arrays.stream(outcomes).mapToDouble(Outcome::alongMm).toArray()),
                Sample.of(
                        Arrays.stream(outcomes).mapToDouble(Outcome::headingRad).toArray()),
                ends);
    }

    /** As planned. */
    private record Way(Task task, Approach approach, double turnRad, double radiusMm, double onMm, double backRad) {}

    private static Outcome one(Track track, Way way, Start start) {
        Setup setup = track.setup();
        Task task = way.task();
        Variation is = start.variation();
        double standOffMm = way.approach().standOffMm(setup, is, new SplittableRandom(start.seed() + 1));
        if (!(standOffMm >= 0)) {
            return Outcome.of(End.RAN_INTO_IT);
        }
        // What is set in time goes as far as battery and grip let it.
        double far = is.batteryShare() * (1 - is.slipShare());
        double turned = Math.min(Math.PI / 2, way.turnRad() * far);
        Detour driven = new Detour(task.obstacleRadiusMm(), task.clearanceMm(), standOffMm, turned);
        double radius = drivenRadiusMm(setup.robot().drive(), way.radiusMm(), is.mismatchShare());
        boolean turnsFree = standOffMm >= task.turnsFromMm() - task.clearanceMm();
        if (!turnsFree || driven.staysClearMm(task.frontMm(), task.widthMm(), radius) < 0) {
            return Outcome.of(End.TOUCHED_IT);
        }
        double heading = driven.meetsAtRad(radius, setup.leadMm(), setup.line().widthMm());
        double along = driven.meetsAtMm(task.frontMm(), radius, setup.leadMm(), heading);
        if (!(Math.abs(heading) < MOST_RAD)) { // NaN never met it
            return new Outcome(End.MISSED_THE_LINE, along, heading);
        }
        double leftMm =
                setup.line().widthMm() / 2 - setup.leadMm() * Math.sin(heading) + way.onMm() * far * Math.sin(heading);
        double offMm = leftMm - track.rideOffsetMm() + track.pointLeftMm();
        Start taken = new Start(offMm, heading + way.backRad() * far, is, start.seed());
        boolean kept = Twin.run(track, taken, TickSink.NONE).completed();
        return new Outcome(kept ? End.KEPT_THE_LINE : End.LOST_THE_LINE, along, heading);
    }

    /**
     * The arc that comes of the commands for another: with wheels uneven by m the left one runs (1 - m/2) times as fast, the right one
     * (1 + m/2), and R = b/2 (l + r)/(l - r). Infinite where it goes straight.
     */
    static double drivenRadiusMm(Drive drive, double radiusMm, double mismatchShare) {
        double half = drive.effectiveTrackWidthMm() / 2;
        double left = 1 - mismatchShare / 2;
        double right = (radiusMm - half) / (radiusMm + half) * (1 + mismatchShare / 2);
        return left > right ? half * (left + right) / (left - right) : 1e6;
    }
}
