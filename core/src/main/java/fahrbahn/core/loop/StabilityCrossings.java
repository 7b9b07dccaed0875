package fahrbahn.core.loop;

import java.util.ArrayList;
import java.util.List;

/**
 * Every proportional gain along a ray at which a pole of the loop lies on the unit circle: between two of them stability does not change.
 *
 * <p>There the loop has a pole {@code z = exp(i*angle)} with {@code Kp*(1 + r*(1 - 1/z))*P(z) + Kd0*(1 - 1/z)*P(z) = -1}. Every angle
 * at which the Kp that solves this is real and positive is one.
 */
final class StabilityCrossings {
    /** Angles looked at between {@link #SMALLEST_ANGLE} and pi, evenly spread in their logarithm. */
    private static final int SCAN_POINTS = 320;

    /** A wiggle a hundred thousand times slower than the loop is not one a table is long enough to show. */
    private static final double SMALLEST_ANGLE = 2 * Math.PI * 1e-5;

    private static final double[] ANGLES = new double[SCAN_POINTS + 1];

    static {
        for (int i = 0; i <= SCAN_POINTS; i++) {
            ANGLES[i] = SMALLEST_ANGLE * Math.pow(Math.PI / SMALLEST_ANGLE, (double) i / SCAN_POINTS);
        }
    }

    private static final int BISECTIONS = 60;

    private StabilityCrossings() {}

    /** In no order; with the period of the wiggle at each. */
    static List<WiggleOnset> along(SampledLoop loop, GainRay ray) {
        List<WiggleOnset> crossings = new ArrayList<>(4);
        double previous = gainAt(loop, ray, SMALLEST_ANGLE).im();
        for (int i = 1; i <= SCAN_POINTS; i++) {
            double here = gainAt(loop, ray, ANGLES[i]).im();
            if (previous * here <= 0) {
                double angle = crossing(loop, ray, ANGLES[i - 1], ANGLES[i]);
                add(crossings, loop, gainAt(loop, ray, angle).re(), angle);
            }
            previous = here;
        }
        // z = -1 is real whatever the gains, so the scan cannot see it as a crossing.
        add(crossings, loop, gainAt(loop, ray, Math.PI).re(), Math.PI);
        return crossings;
    }

    private static void add(List<WiggleOnset> crossings, SampledLoop loop, double kp, double angle) {
        if (kp > 0 && kp < Double.POSITIVE_INFINITY) {
            crossings.add(new WiggleOnset(kp, 2 * Math.PI * loop.model().loop().periodS() / angle));
        }
    }

    /** The Kp, in general complex, that puts a pole at this angle on the unit circle. */
    private static Phasor gainAt(SampledLoop loop, GainRay ray, double angle) {
        Phasor z = Phasor.at(angle);
        double half = Math.sin(angle / 2);
        Phasor less1 = new Phasor(-2 * half * half, z.im());
        Phasor difference = new Phasor(-less1.re(), z.im()); // 1 - 1/z
        Phasor needed = new Phasor(-1, 0).over(loop.response(angle, z, less1)).plus(difference.times(-ray.fixedKd()));
        return needed.over(difference.times(ray.kdPerKp()).plus(1));
    }

    private static double crossing(SampledLoop loop, GainRay ray, double fromAngle, double toAngle) {
        double low = fromAngle;
        double high = toAngle;
        double atLow = gainAt(loop, ray, low).im();
        for (int i = 0; i < BISECTIONS; i++) {
            double middle = (low + high) / 2;
            double atMiddle = gainAt(loop, ray, middle).im();
            if (atLow * atMiddle <= 0) {
                high = middle;
            } else {
                low = middle;
                atLow = atMiddle;
            }
        }
        return (low + high) / 2;
    }
}
