package fahrbahn.core.response;

import org.apache.commons.numbers.gamma.ErfDifference;
import org.apache.commons.numbers.gamma.Erfc;

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
        double perMm = 1 / (sigmaMm * SQRT_2);
        // On the one side of the line the difference keeps its digits however far away it is; the other side is the
        // same.
        return 0.5 * ErfDifference.value((Math.abs(offsetMm) - half) * perMm, (Math.abs(offsetMm) + half) * perMm);
    }

    /** Upper tail Q of the standard normal distribution. */
    public static double upperTail(double z) {
        return 0.5 * Erfc.value(z / SQRT_2);
    }
}
