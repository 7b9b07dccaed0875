package fahrbahn.core.loop;

import java.util.Optional;

/**
 * The proportional gain at which the loop first loses stability, and the period of the wiggle there.
 *
 * <p>It is the smallest of all {@link StabilityCrossings}, if the loop is stable below it. Where it is not, a window of larger gains may be:
 * {@link StableSpan}.
 *
 * @param kp gain per loop at the onset
 * @param periodS period of the wiggle there
 */
public record WiggleOnset(double kp, double periodS) {
    /** Empty when even small gains are unstable, or when no gain is. */
    public static Optional<WiggleOnset> along(SampledLoop loop, GainRay ray) {
        WiggleOnset first = null;
        for (WiggleOnset crossing : StabilityCrossings.along(loop, ray)) {
            first = first == null || crossing.kp < first.kp ? crossing : first;
        }
        return first == null || !stableBelow(loop, ray, first.kp) ? Optional.empty() : Optional.of(first);
    }

    private static boolean stableBelow(SampledLoop loop, GainRay ray, double kp) {
        double half = kp / 2;
        return loop.spectralRadius(half, 0, ray.kdAt(half)) < 1;
    }
}
