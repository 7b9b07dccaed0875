package fahrbahn.core.loop;

import java.util.Optional;

/**
 * The proportional gain at which the loop first loses stability, and the period of the wiggle there.
 *
 * <p>On the edge of stability the loop has a pole {@code z = exp(i*angle)} with
 * {@code Kp*(1 + r*(1 - 1/z))*P(z) + Kd0*(1 - 1/z)*P(z) = -1}. Every angle at which the Kp that solves this is real and
 * positive is a candidate; the smallest counts if the loop is stable below it.
 *
 * @param kp gain per loop at the onset
 * @param periodS period of the wiggle there
 */
public record WiggleOnset(double kp, double periodS) {
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

    /** Empty when even small gains are unstable, or when no gain is. */
    public static Optional<WiggleOnset> along(SampledLoop loop, GainRay ray) {
        double smallestKp = Double.POSITIVE_INFINITY;
        double itsAngle = 0;
        double previous = gainAt(loop, ray, SMALLEST_ANGLE).im();
        for (int i = 1; i <= SCAN_POINTS; i++) {
            double here = gainAt(loop, ray, ANGLES[i]).im();
            if (previous * here <= 0) {
                double crossing = crossing(loop, ray, ANGLES[i - 1], ANGLES[i]);
                double kp = gainAt(loop, ray, crossing).re();
                if (kp > 0 && kp < smallestKp) {
                    smallestKp = kp;
                    itsAngle = crossing;
                }
            }
            previous = here;
        }
        // z = -1 is real whatever the gains, so the scan cannot see it as a crossing.
        double alternating = gainAt(loop, ray, Math.PI).re();
        if (alternating > 0 && alternating < smallestKp) {
            smallestKp = alternating;
            itsAngle = Math.PI;
        }
        if (smallestKp == Double.POSITIVE_INFINITY || !stableBelow(loop, ray, smallestKp)) {
            return Optional.empty();
        }
        return Optional.of(
                new WiggleOnset(smallestKp, 2 * Math.PI * loop.model().loop().periodS() / itsAngle));
    }

    private static boolean stableBelow(SampledLoop loop, GainRay ray, double kp) {
        double half = kp / 2;
        return loop.spectralRadius(half, 0, ray.kdAt(half)) < 1;
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
