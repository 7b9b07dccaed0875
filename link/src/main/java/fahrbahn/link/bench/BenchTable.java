package fahrbahn.link.bench;

import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.TableTop;
import fahrbahn.core.sensing.Lookout;
import fahrbahn.core.sensing.Variation;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.List;
import java.util.Optional;

/**
 * A table the bench robot can be put on, and the program it drives by.
 *
 * @param top a course or a mat; one whose line is known can be driven along
 * @param real the robot as it truly is
 * @param program law and gains, and what the program has for each sensor's dark and light
 */
public record BenchTable(TableTop top, Setup real, Setup program) {
    /** A real start is neither exactly on the line nor exactly straight. */
    private static final double START_OFFSET_MM = 2;

    private static final Variation LIVELY = new Variation(1, 1, 0, 0, 1, 1, 1, 0.02);

    /** A way driven: where it was when, and how it ended. */
    record Ride(Trace trace, RunResult result) {
        Pose at(int tick) {
            return new Pose(trace.xMm(tick), trace.yMm(tick), trace.headingRad(tick));
        }
    }

    /** How the sensors of the real robot see it; painting may take a moment. */
    Lookout lookout() {
        return Lookout.on(top, real);
    }

    /** Whether its sensors see the same from the same place. */
    boolean looksLike(BenchTable other) {
        return real.line().equals(other.real.line()) && places().equals(other.places()) && top.equals(other.top);
    }

    private List<Sensor> places() {
        return real.robot().sensors().stream()
                .map(s -> s.withSurfaces(0, 1, 0).withStep(0))
                .toList();
    }

    /** The start of the line; the middle of a table whose line nobody knows. */
    Pose start() {
        return ground().map(g -> g.path().at(0)).orElseGet(() -> new Pose(top.widthMm() / 2, top.heightMm() / 2, 0));
    }

    private Optional<Ground> ground() {
        return top instanceof Ground known ? Optional.of(known) : Optional.empty();
    }

    /**
     * From the start of the line to where it stops or is lost.
     *
     * @return empty when nobody knows where the line goes
     * @throws fahrbahn.core.check.BadValueException when this robot cannot drive there, with the reason
     */
    Optional<Ride> ride(long seed) {
        return ground().map(g -> {
            Trace trace = new Trace();
            Start start = new Start(START_OFFSET_MM, 0, LIVELY, seed);
            return new Ride(trace, Twin.asProgrammed(Track.of(g, real), program, start, trace));
        });
    }
}
