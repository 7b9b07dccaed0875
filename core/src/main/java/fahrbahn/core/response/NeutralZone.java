package fahrbahn.core.response;

import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.Optional;

/**
 * Where a law steers neither way: the straight zone of steps, the blind band of sensors that sit wide of the line, the offsets at which a
 * pattern's steering is none.
 *
 * @param units error up to which it holds; NaN for patterns
 * @param mm offsets of the law's point from the line's middle, left positive
 */
public record NeutralZone(double units, CurveFeatures.Range mm) {
    private static final double STEP_MM = 0.05;

    /** Empty for a law that steers at once. */
    public static Optional<NeutralZone> of(Setup setup) {
        if (!setup.law().signal().hasError()) {
            return ofPatterns(setup);
        }
        ErrorCurve curve = ErrorCurve.of(setup);
        List<Options.Step> steps = setup.law().options().steps();
        if (!steps.isEmpty()) {
            double zone = steps.get(0).aboveError();
            return zone == 0 ? Optional.empty() : Optional.of(new NeutralZone(zone, within(curve, zone)));
        }
        CurveFeatures features = CurveFeatures.of(curve);
        if (!features.hasBlindBand()) {
            return Optional.empty();
        }
        double units = Math.max(
                Math.abs(curve.errorAt(features.blind().lowMm())),
                Math.abs(curve.errorAt(features.blind().highMm())));
        return Optional.of(new NeutralZone(units, features.blind()));
    }

    private static CurveFeatures.Range within(ErrorCurve curve, double zone) {
        double ride = curve.rideOffsetMm();
        double out = curve.outMm() + Math.abs(ride);
        double low = ride;
        double high = ride;
        while (high - ride < out && Math.abs(curve.errorAt(high + STEP_MM)) <= zone) {
            high += STEP_MM;
        }
        while (ride - low < out && Math.abs(curve.errorAt(low - STEP_MM)) <= zone) {
            low -= STEP_MM;
        }
        return new CurveFeatures.Range(low, high);
    }

    private static Optional<NeutralZone> ofPatterns(Setup setup) {
        double reach = setup.line().widthMm();
        double low = Double.NaN;
        double high = Double.NaN;
        for (double offset = -reach; offset <= reach; offset += STEP_MM) {
            String code = LineCodes.straight(setup, offset);
            boolean none = setup.law().options().patterns().stream()
                    .anyMatch(p -> p.bits().equals(code) && p.steering() == 0);
            if (none && code.indexOf('1') >= 0) {
                low = Double.isNaN(low) ? offset : low;
                high = offset;
            }
        }
        return Double.isNaN(low)
                ? Optional.empty()
                : Optional.of(new NeutralZone(Double.NaN, new CurveFeatures.Range(low, high)));
    }
}
