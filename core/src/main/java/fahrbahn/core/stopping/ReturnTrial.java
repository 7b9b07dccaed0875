package fahrbahn.core.stopping;

import fahrbahn.core.check.Check;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.BlindDrive;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * There and back again: out along the line until a rule stops it, back by every {@link WayBack} over the same distance, all with the battery, grip
 * and wheels of that one run. What a faster battery adds on the way out it adds on the way back, so the scatters do not add in squares; the heading it
 * stopped with is carried over the whole way back.
 *
 * @param homes by each way back, where runs came to rest
 * @param runs that were driven; those without a home never stopped, or lost the line on the way back
 */
public record ReturnTrial(Map<WayBack, Homes> homes, int runs) {
    public ReturnTrial {
        homes = Map.copyOf(homes);
    }

    /**
     * Where runs came home, about the place and heading they would have begun with.
     *
     * @param alongMm along the line, forward from the start
     * @param acrossMm left of the path to be ridden
     * @param headingRad to the left of how it began; for one that turned round, of the opposite
     */
    public record Homes(Sample alongMm, Sample acrossMm, Sample headingRad) {
        private static Homes of(List<Pose> poses) {
            return new Homes(
                    Sample.of(poses.stream().mapToDouble(Pose::xMm).toArray()),
                    Sample.of(poses.stream().mapToDouble(Pose::yMm).toArray()),
                    Sample.of(poses.stream().mapToDouble(Pose::headingRad).toArray()));
        }

        private int within(double windowMm) {
            double along = alongMm.mean();
            double across = acrossMm.mean();
            int inside = 0;
            for (int i = 0; i < alongMm.n(); i++) {
                boolean near = Math.abs(alongMm.values()[i] - along) <= windowMm
                        && Math.abs(acrossMm.values()[i] - across) <= windowMm;
                inside += near ? 1 : 0;
            }
            return inside;
        }
    }

    /** The chance to come home within a window about the mean home, along and across; a mean that is off is one number of the program. */
    public Completion within(WayBack way, double windowMm) {
        return Completion.of(homes.get(way).within(windowMm), runs);
    }

    /**
     * Drives them along a straight line.
     *
     * @param rule that stops it on the way out
     * @param runs 2 or more
     * @param seed the same seed gives the same runs on any number of threads
     */
    public static ReturnTrial of(
            Setup setup, Sensing sensing, Rule rule, Spread spread, int runs, long seed, Workers workers, Job job) {
        Check.require(runs >= 2, "runs", runs, "2 or more");
        Tracks tracks = Tracks.of(setup, sensing);
        Pose[][] homes = new Pose[runs][];
        workers.run(runs, i -> homes[i] = one(tracks, sensing, rule, spread.draw(0, seed, i)), job);
        Map<WayBack, Homes> byWay = new EnumMap<>(WayBack.class);
        for (WayBack way : WayBack.values()) {
            byWay.put(
                    way,
                    Homes.of(Arrays.stream(homes)
                            .map(run -> run[way.ordinal()])
                            .filter(Objects::nonNull)
                            .toList()));
        }
        return new ReturnTrial(byWay, runs);
    }

    /** The line on the way out, and the same seen from the other end: a lone sensor follows the same edge, which lies on its other side now. */
    private record Tracks(Track out, Track back) {
        static Tracks of(Setup setup, Sensing sensing) {
            double longMm = StopTrial.lengthMm(setup, sensing);
            Law law = setup.law();
            Side other = law.side() == Side.LEFT ? Side.RIGHT : Side.LEFT;
            Setup mirrored = setup.withLaw(law.withSide(other));
            return new Tracks(Track.straight(longMm, setup), Track.straight(longMm, mirrored));
        }
    }

    private static Pose[] one(Tracks tracks, Sensing sensing, Rule rule, Start start) {
        Pose[] homes = new Pose[WayBack.values().length];
        Trace trace = new Trace();
        Twin.run(tracks.out(), start, trace);
        Optional<Pose> stopped = new Decisions(tracks.out(), sensing, start, trace).rest(rule);
        if (stopped.isPresent()) {
            for (WayBack way : WayBack.values()) {
                homes[way.ordinal()] = way.turnsRound()
                        ? followed(tracks, sensing, way, start, stopped.get()).orElse(null)
                        : backed(tracks, sensing, way, start, stopped.get());
            }
        }
        return homes;
    }

    private static Pose backed(Tracks tracks, Sensing sensing, WayBack way, Start start, Pose stopped) {
        Pose home = new BlindDrive(tracks.out().setup(), start.variation(), sensing.wheelStepMm(), stopped)
                .back(sensing.wayMm(), way.until())
                .pose();
        return new Pose(home.xMm(), home.yMm() - riddenMm(tracks.out()), home.headingRad());
    }

    /** Where the turning point is, to the left of the line's middle, when the law's point rides its path and the robot looks along it. */
    private static double riddenMm(Track track) {
        return track.rideOffsetMm() - track.pointLeftMm();
    }

    /** Empty where it lost the line. */
    private static Optional<Pose> followed(Tracks tracks, Sensing sensing, WayBack way, Start start, Pose stopped) {
        Track back = tracks.back();
        Pose turned = new BlindDrive(back.setup(), start.variation(), sensing.wheelStepMm(), stopped)
                .turn(Math.PI, way.until())
                .pose();
        double heading = turned.headingRad() - Math.PI;
        if (!(Math.abs(heading) < Math.PI / 2)) {
            return Optional.empty();
        }
        Start again = new Start(-turned.yMm() - riddenMm(back), heading, start.variation(), start.seed() + 1);
        Trace trace = new Trace();
        boolean kept = Twin.run(back, again, trace).completed();
        return new Decisions(back, sensing, again, trace)
                .rest(way.rule())
                .filter(home -> kept)
                .map(home -> new Pose(turned.xMm() - home.xMm(), riddenMm(back) - home.yMm(), home.headingRad()));
    }
}
