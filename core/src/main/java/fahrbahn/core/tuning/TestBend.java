package fahrbahn.core.tuning;

import fahrbahn.core.path.Part;
import fahrbahn.core.path.PathTracker;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.table.Course;
import fahrbahn.core.trace.TickSink;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.List;

/** A straight, half a circle at the tightest radius the setup declares, a straight: to the left and to the right. */
public final class TestBend {
    private static final double STRAIGHT_MM = 300;
    private static final double MARGIN_MM = 200;

    /** Of the bend: there it has settled to what the bend asks. */
    private static final double LAST_SHARE = 0.2;

    private final Track left;
    private final Track right;

    private TestBend(Track left, Track right) {
        this.left = left;
        this.right = right;
    }

    /** Paints both; takes some hundredths of a second. */
    public static TestBend of(Setup setup) {
        return new TestBend(track(setup, 1), track(setup, -1));
    }

    private static Track track(Setup setup, int way) {
        double radius = setup.line().tightestRadiusMm();
        double width = STRAIGHT_MM + radius + 2 * MARGIN_MM;
        double height = 2 * radius + 2 * MARGIN_MM;
        Pose start = new Pose(MARGIN_MM, way > 0 ? MARGIN_MM : height - MARGIN_MM, 0);
        List<Part> parts = List.of(
                new Part.Straight(STRAIGHT_MM), new Part.Bend(radius, way * Math.PI), new Part.Straight(STRAIGHT_MM));
        return Track.of(new Course("bend", width, height, start, parts, false, Palette.USUAL), setup);
    }

    /** The setup as it is, with its sensors' noise alone. @param way 1 for the bend to the left, -1 to the right */
    RunResult noisy(int way, long seed) {
        return Twin.run(way > 0 ? left : right, Start.noisy(0, seed), TickSink.NONE);
    }

    /** The setup as it is, without noise. @param way 1 for the bend to the left, -1 to the right */
    RunResult calm(int way, TickSink sink) {
        return Twin.run(way > 0 ? left : right, Start.calm(0), sink);
    }

    /** Another setting of the same robot on the bend to the left, without noise. */
    Left left(Setup setup) {
        Trace trace = new Trace();
        boolean round = Twin.run(left, setup, Start.calm(0), trace).completed();
        PathTracker tracker = new PathTracker(left.path());
        double aside = setup.lawSensors().stream()
                .mapToDouble(Sensor::leftMm)
                .average()
                .orElseThrow();
        double endsMm = STRAIGHT_MM + setup.line().tightestRadiusMm() * Math.PI;
        double lastFromMm = endsMm - LAST_SHARE * (endsMm - STRAIGHT_MM);
        double last = 0;
        int ticks = 0;
        double after = 0;
        for (int i = 0; i < trace.size(); i++) {
            Pose robot = new Pose(trace.xMm(i), trace.yMm(i), trace.headingRad(i));
            Pose point = robot.ahead(setup.leadMm()).offset(0, aside);
            tracker.moveTo(point.xMm(), point.yMm());
            double s = tracker.sMm();
            if (s > lastFromMm && s <= endsMm) {
                last += trace.offsetMm(i);
                ticks++;
            } else if (s > endsMm) {
                after = Math.max(after, trace.offsetMm(i));
            }
        }
        return new Left(round, ticks == 0 ? Double.NaN : Math.abs(last / ticks), after);
    }

    /**
     * A way through the bend to the left.
     *
     * @param lastMm how far beside its path it rode over the last fifth of the bend
     * @param afterMm how far it goes on turning, to the left of its path, after it
     */
    record Left(boolean round, double lastMm, double afterMm) {}

    /**
     * Drives a pair.
     *
     * @param first number of the first run; the same numbers are the same starts for every pair
     */
    Tried drive(double kp, double kd, int first, int runs, long seed) {
        Law law = left.setup().law();
        return drive(law.withGains(kp, law.ki(), kd), first, runs, seed);
    }

    /** The same with an integral gain too. @param law the setup's but for gains and base command */
    Tried drive(Law law, int first, int runs, long seed) {
        int completed = 0;
        double squares = 0;
        for (int i = first; i < first + runs; i++) {
            Track track = i % 2 == 0 ? left : right;
            Setup setup = track.setup();
            Start start = Spread.TYPICAL.draw(0, seed, i);
            RunResult result = Twin.run(track, setup.withLaw(law), start);
            if (result.completed()) {
                completed++;
                squares += result.rmsMm() * result.rmsMm();
            }
        }
        return new Tried(completed, runs, squares);
    }

    /**
     * What became of some runs.
     *
     * @param squares sum of the squares of their RMS, mm2, over those that came round
     */
    record Tried(int completed, int runs, double squares) {
        Tried and(Tried more) {
            return new Tried(completed + more.completed, runs + more.runs, squares + more.squares);
        }

        double share() {
            return (double) completed / runs;
        }

        double rmsMm() {
            return Math.sqrt(squares / completed);
        }

        Completion chance() {
            return Completion.of(completed, runs);
        }
    }
}
