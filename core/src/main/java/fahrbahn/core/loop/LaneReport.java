package fahrbahn.core.loop;

import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.Optional;

/**
 * Where a setup stands in its lane: everything the loop theory says about one robot at one speed.
 *
 * @param rideOffsetMm distance of the riding point from the line's centre, towards the ridden side
 * @param readingSlopePerMm scale units per mm where it rides, without sign
 * @param turnRatePerCommand rad/s per unit of steering
 * @param wiggle onset with proportional gain alone; empty when no gain is stable
 * @param wiggleWithKdTwiceKp onset with Kd, per loop, kept at twice Kp
 * @param bendKp least Kp for the tightest bend; infinite when none holds it
 * @param spectralRadius of the loop with the gains as set
 * @param calm gains with which it does not wiggle, Kd in the ratio to Kp that is set; by rising gain
 */
public record LaneReport(
        double speedMmPerS,
        double rideOffsetMm,
        double readingSlopePerMm,
        double turnRatePerCommand,
        Optional<WiggleOnset> wiggle,
        Optional<WiggleOnset> wiggleWithKdTwiceKp,
        double bendKp,
        double leastLeadMm,
        double spectralRadius,
        List<StableSpan> calm) {
    public LaneReport {
        calm = List.copyOf(calm);
    }

    public static LaneReport of(Setup setup) {
        ErrorCurve curve = ErrorCurve.of(setup);
        Law law = setup.law();
        LoopModel model = LoopModel.of(setup, curve);
        SampledLoop loop = new SampledLoop(model);
        return new LaneReport(
                model.speedMmPerS(),
                law.signal().tracksEdge() ? Math.abs(curve.rideOffsetMm()) : curve.rideOffsetMm(),
                model.slopePerMm(),
                model.turnRatePerCommand(),
                WiggleOnset.along(loop, GainRay.PROPORTIONAL),
                WiggleOnset.along(loop, GainRay.ratio(2)),
                BendFloor.of(setup, curve).kp(setup.robot().drive(), law.baseCommand()),
                model.leastLeadMm(),
                loop.spectralRadius(law.kp(), law.ki(), law.kd()),
                StableSpan.along(loop, law.kp() > 0 ? GainRay.ratio(law.kd() / law.kp()) : GainRay.PROPORTIONAL));
    }
}
