package fahrbahn.core.stopping;

import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import java.util.DoubleSummaryStatistics;
import java.util.Optional;
import java.util.SplittableRandom;

/** What the rules make of one run: where it comes to rest by each. */
final class Decisions {
    private final Setup setup;
    private final Sensing sensing;
    private final Trace trace;
    private final double lineMm;
    private final double slipShare;
    /** From a decision on, the robot rolls on for so long at the speed it had. */
    private final double restS;

    private final double halfSpanMm;
    private final SplittableRandom random;

    Decisions(Track track, Sensing sensing, Start start, Trace trace) {
        this.setup = track.setup();
        this.lineMm = track.path().at(0).yMm();
        this.sensing = sensing;
        this.trace = trace;
        this.slipShare = start.variation().slipShare();
        this.restS = setup.robot().loop().delayS()
                + setup.robot().drive().lagS() * start.variation().lagShare();
        this.random = new SplittableRandom(start.seed() + 1);
        DoubleSummaryStatistics left =
                setup.lawSensors().stream().mapToDouble(Sensor::leftMm).summaryStatistics();
        this.halfSpanMm = (left.getMax() - left.getMin()) / 2;
    }

    /** Where it comes to rest along the line, mm from where it began; NaN when it never decided. */
    double placeMm(Rule rule) {
        return rest(rule).map(Pose::xMm).orElse(Double.NaN);
    }

    /**
     * The turning point at rest, x along the line from where the run began, y to the left of the line's middle: delay and lag carry both wheels on at the speeds they had. Empty when it
     * never decided.
     */
    Optional<Pose> rest(Rule rule) {
        double first = random.nextGaussian();
        double second = random.nextGaussian();
        for (int i = 0; i < trace.size(); i++) {
            if (decides(rule, i, first, second)) {
                double v = (trace.leftMmPerS(i) + trace.rightMmPerS(i)) / 2;
                double turn = (trace.rightMmPerS(i) - trace.leftMmPerS(i))
                        / setup.robot().drive().effectiveTrackWidthMm();
                double mean = trace.headingRad(i) + turn * restS / 2;
                return Optional.of(new Pose(
                        gone(i) + v * restS,
                        trace.yMm(i) - lineMm + v * restS * Math.sin(mean),
                        trace.headingRad(i) + turn * restS));
            }
        }
        return Optional.empty();
    }

    private double gone(int tick) {
        return trace.xMm(tick) - trace.xMm(0);
    }

    private boolean decides(Rule rule, int tick, double first, double second) {
        double way = sensing.wayMm();
        return switch (rule) {
            case TIMER -> trace.tS(tick) >= way / setup.speedMmPerS();
            case WHEEL_TURNS -> counted(gone(tick) / (1 - slipShare)) >= way;
            case MARK -> gone(tick) >= way + sensing.markNoiseMm() * first;
            case BOTH_DARK -> {
                double late = halfSpanMm * Math.abs(Math.tan(trace.headingRad(tick)));
                yield gone(tick) >= way + late + sensing.markNoiseMm() * Math.max(first, second);
            }
            case DISTANCE ->
                random.nextDouble() >= sensing.missShare()
                        && gone(tick) + sensing.distanceNoiseMm() * random.nextGaussian() >= way;
        };
    }

    private double counted(double turnedMm) {
        return sensing.wheelStepMm() == 0
                ? turnedMm
                : Math.floor(turnedMm / sensing.wheelStepMm()) * sensing.wheelStepMm();
    }
}
