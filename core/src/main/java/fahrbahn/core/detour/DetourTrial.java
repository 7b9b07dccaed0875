package fahrbahn.core.detour;

import fahrbahn.core.check.Check;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Completion;
import fahrbahn.core.trials.Sample;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.TickSink;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import fahrbahn.core.twin.Variation;
import java.util.Arrays;

/**
 * A detour driven many times with what differs from run to run: wheels that are uneven make the arc wider or narrower, battery and slip the turn
 * before it, which lasts a time that was set; both wheels have the same lag, so that an arc from rest is a circle from its first mm. Where the
 * sensor meets the line the law takes over, on the twin.
 *
 * @param alongMm where the sensor met the line, behind the obstacle's middle; of the runs that met it
 * @param headingRad then
 * @param met how many met the line at all
 * @param kept how many of all were on the line again a metre further on
 */
public record DetourTrial(Sample alongMm, Sample headingRad, Completion met, Completion kept) {
    /** The law has found the line again when it follows it so far. */
    private static final double FOLLOWS_MM = 1000;

    /** The twin starts with less than a quarter turn. */
    private static final double MOST_RAD = Math.PI / 2 - 1e-6;

    /**
     * @param frontMm from the turning point to the robot's front
     * @param radiusMm of the arc as set, more than half the track width
     * @param runs 2 or more
     * @param seed the same seed gives the same runs on any number of threads
     */
    public static DetourTrial of(
            Setup setup,
            Detour detour,
            double frontMm,
            double radiusMm,
            Spread spread,
            int runs,
            long seed,
            Workers workers,
            Job job) {
        Check.require(runs >= 2, "runs", runs, "2 or more");
        Check.require(
                radiusMm > setup.robot().drive().effectiveTrackWidthMm() / 2,
                "radiusMm",
                radiusMm,
                "more than half the turning width");
        Track track = Track.straight(FOLLOWS_MM, setup);
        double[] along = new double[runs];
        double[] heading = new double[runs];
        boolean[] kept = new boolean[runs];
        workers.run(
                runs,
                i -> {
                    Start start = spread.draw(0, seed, i);
                    Variation is = start.variation();
                    double turned = Math.min(Math.PI / 2, detour.turnRad() * is.batteryShare() * (1 - is.slipShare()));
                    Detour driven =
                            new Detour(detour.obstacleRadiusMm(), detour.clearanceMm(), detour.standOffMm(), turned);
                    double radius = drivenRadiusMm(setup.robot().drive(), radiusMm, is.mismatchShare());
                    heading[i] = driven.meetsAtRad(
                            radius, setup.leadMm(), setup.line().widthMm());
                    along[i] = driven.meetsAtMm(frontMm, radius, setup.leadMm(), heading[i]);
                    if (Math.abs(heading[i]) < MOST_RAD) {
                        double off = setup.line().widthMm() / 2 - track.rideOffsetMm();
                        Start taken = new Start(off, heading[i], is, start.seed());
                        kept[i] = Twin.run(track, taken, TickSink.NONE).completed();
                    }
                },
                job);
        double[] metAlong = Arrays.stream(along).filter(Double::isFinite).toArray();
        int followed = 0;
        for (boolean one : kept) {
            followed += one ? 1 : 0;
        }
        return new DetourTrial(
                Sample.of(metAlong),
                Sample.of(Arrays.stream(heading).filter(Double::isFinite).toArray()),
                Completion.of(metAlong.length, runs),
                Completion.of(followed, runs));
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
