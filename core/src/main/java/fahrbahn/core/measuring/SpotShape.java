package fahrbahn.core.measuring;

import fahrbahn.core.response.Spot;
import org.hipparchus.special.Beta;

/**
 * How a spot of standard deviation 1 is spread across an edge, by one number, its flatness: 0 for a Gaussian, 1/4 for an even disc, 1/2 for
 * a thin ring. Between Gaussian and disc the family {@code (1 - (z/w)^2)^m} (Pearson's type II, {@code m = (1/flatness - 3)/2}), between
 * disc and ring a disc with a hole that grows.
 */
final class SpotShape {
    static final double RING = 0.5;

    private static final double DISC = 0.25;
    private static final int CELLS = 1200;

    /** Flatter than this it is a Gaussian to more digits than any reading has. */
    private static final double LEAST = 1e-3;

    /** Of the radius; a ring without a width has no density. */
    private static final double LARGEST_HOLE = 0.98;

    private static final double NEAR = 0.25;
    private static final double GAUSSIAN_NEAR = 1 - 2 * Spot.upperTail(NEAR);

    static final SpotShape GAUSSIAN = new SpotShape(0);

    private final double hole;
    private final double radius;
    private final double[] below;

    private SpotShape(double flatness) {
        hole = flatness <= DISC ? 0 : LARGEST_HOLE * (flatness - DISC) / (RING - DISC);
        boolean gaussian = flatness < LEAST;
        radius = gaussian
                ? Double.POSITIVE_INFINITY
                : flatness <= DISC ? 1 / Math.sqrt(flatness) : 2 / Math.sqrt(1 + hole * hole);
        below = gaussian ? null : new double[CELLS + 1];
        for (int i = 0; below != null && i <= CELLS; i++) {
            double share = (double) i / CELLS;
            below[i] = flatness <= DISC
                    ? Beta.regularizedBeta(share, power(flatness) + 1, power(flatness) + 1)
                    : ofRing((2 * share - 1) * radius);
        }
    }

    /** @param flatness 0 to {@link #RING} */
    static SpotShape of(double flatness) {
        return flatness < LEAST ? GAUSSIAN : new SpotShape(Math.min(RING, flatness));
    }

    private static double power(double flatness) {
        return (1 / flatness - 3) / 2;
    }

    private double ofRing(double z) {
        double inner = hole * radius;
        return (segment(z, radius) - segment(z, inner)) / (Math.PI * (radius * radius - inner * inner));
    }

    /** Area of a disc to the left of z. */
    private static double segment(double z, double radius) {
        double at = Math.max(-radius, Math.min(radius, z));
        return radius == 0
                ? 0
                : radius * radius * (Math.PI / 2 + Math.asin(at / radius)) + at * Math.sqrt(radius * radius - at * at);
    }

    /** Share of the spot below z. */
    double below(double z) {
        if (below == null) {
            return 1 - Spot.upperTail(z);
        }
        double at = (z / radius + 1) / 2 * CELLS;
        if (at <= 0 || at >= CELLS) {
            return at <= 0 ? 0 : 1;
        }
        int cell = (int) at;
        return below[cell] + (at - cell) * (below[cell + 1] - below[cell]);
    }

    /** Density at z, over the cell of the table it lies in. */
    double density(double z) {
        if (below == null) {
            return Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI);
        }
        double at = (z / radius + 1) / 2 * CELLS;
        if (at <= 0 || at >= CELLS) {
            return 0;
        }
        int cell = (int) at;
        return (below[cell + 1] - below[cell]) * CELLS / (2 * radius);
    }

    /**
     * In the middle, over a quarter of a standard deviation to each side as far as it is other than a Gaussian's there: a hole too small to be
     * seen in any slide halves the very middle, and no robot rides that exactly.
     */
    double middleDensity() {
        double gaussian = 1 / Math.sqrt(2 * Math.PI);
        double share = below == null ? 1 : (below(NEAR) - below(-NEAR)) / GAUSSIAN_NEAR;
        return share * gaussian;
    }
}
