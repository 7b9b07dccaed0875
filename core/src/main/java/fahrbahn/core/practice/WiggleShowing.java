package fahrbahn.core.practice;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.loop.GainRay;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.loop.SampledLoop;
import fahrbahn.core.loop.WiggleOnset;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;

/** Rides a straight line with P alone, at a gain just above where it begins to wiggle: a run of the twin. */
public final class WiggleShowing implements Showing {
    /** Above wiggle onset: enough that it grows in some wiggles, little enough that its period is that of onset. */
    private static final double ABOVE_ONSET = 1.15;

    /** Half of what the sensors of most robots see of a line to one side: it soon wiggles as much as it will. */
    private static final double START_MM = 4;

    private final Trace trace = new Trace();

    /**
     * @param seconds to be seen
     * @throws BadValueException when this robot has no gain that it wiggles just above of
     */
    public WiggleShowing(Setup real, double seconds) {
        double kp = WiggleOnset.along(new SampledLoop(LoopModel.of(real)), GainRay.PROPORTIONAL)
                .map(WiggleOnset::kp)
                .orElseThrow(() -> new BadValueException(
                        "lead",
                        real.leadMm() + " mm",
                        "more: this robot wiggles at any gain without D, so it has no steady clock"));
        Setup wiggling = real.withLaw(real.law().withGains(ABOVE_ONSET * kp, 0, 0));
        Track straight = Track.straight(seconds * real.speedMmPerS(), wiggling);
        Twin.run(straight, Start.calm(START_MM), trace);
    }

    @Override
    public Pose at(double tS) {
        int low = trace.indexAt(tS);
        int next = Math.min(low + 1, trace.size() - 1);
        double span = trace.tS(next) - trace.tS(low);
        double share = span > 0 ? Math.max(0, Math.min(1, (tS - trace.tS(low)) / span)) : 0;
        return new Pose(
                between(trace.xMm(low), trace.xMm(next), share),
                between(trace.yMm(low), trace.yMm(next), share),
                between(trace.headingRad(low), trace.headingRad(next), share));
    }

    private static double between(double a, double b, double share) {
        return a + share * (b - a);
    }

    @Override
    public double endS() {
        return trace.tS(trace.size() - 1);
    }

    @Override
    public String reading(double tS) {
        return "";
    }
}
