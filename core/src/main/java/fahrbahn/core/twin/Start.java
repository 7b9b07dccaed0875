package fahrbahn.core.twin;

import fahrbahn.core.check.Check;
import fahrbahn.core.sensing.Variation;

/**
 * How a run begins and what is different in it.
 *
 * @param offsetMm place of the law's point to the left of the path it should ride
 * @param headingRad away from the path's direction, to the left; less than a quarter turn
 * @param seed of the noise; the same seed gives the same run
 */
public record Start(double offsetMm, double headingRad, Variation variation, long seed) {
    public Start {
        Check.finite("offsetMm", offsetMm);
        Check.between("headingRad", headingRad, -Math.PI / 2, Math.PI / 2);
    }

    /** Parallel to the path, without noise, rounding or variation. */
    public static Start calm(double offsetMm) {
        return new Start(offsetMm, 0, Variation.CALM, 0);
    }

    /** Parallel to the path, with the sensors' noise and rounding and nothing else. */
    public static Start noisy(double offsetMm, long seed) {
        return new Start(offsetMm, 0, Variation.NOISE_ONLY, seed);
    }

    /** The same seen in a mirror: the other side, the other way, the other wheel. */
    public Start mirrored() {
        return new Start(-offsetMm, -headingRad, variation.mirrored(), seed);
    }
}
