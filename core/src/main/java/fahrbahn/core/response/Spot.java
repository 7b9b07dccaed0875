package fahrbahn.core.response;

import org.hipparchus.special.Erf;

/** A Gaussian spot over a straight line: closed form of how much of it the line fills. */
public final class Spot {
    private static final double SQRT_2 = Math.sqrt(2);

    private Spot() {}

    /**
     * Share of the spot that lies on the line, 0 to 1.
     *
     * @param offsetMm distance of the spot's centre from the line's centre, either side
     */
    public static double coverage(double offsetMm, double lineWidthMm, double sigmaMm) {
        double half = lineWidthMm / 2;
        // Phi(b) - Phi(a) as a difference of two upper tails keeps its digits on both sides of the line.
        double near = upperTail((Math.abs(offsetMm) - half) / sigmaMm);
        double far = upperTail((Math.abs(offsetMm) + half) / sigmaMm);
        return near - far;
    }

    /** Upper tail Q of the standard normal distribution. */
    public static double upperTail(double z) {
        return 0.5 * Erf.erfc(z / SQRT_2);
    }
}
