package fahrbahn.core.measuring;

import fahrbahn.core.check.BadValueException;
import java.util.Arrays;
import java.util.Comparator;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.ParameterValidator;
import org.hipparchus.util.Pair;

/**
 * {@code ground + (line - ground) * coverage^exponent} with its derivatives, coverage by a spot of some shape at
 * {@code x*(1 + warp*x)} from the middle of the line. Unknowns in this order: ground, line, sigma, centre, width.
 *
 * @param shape of the spot
 * @param exponent of the reading, 1 for a sensor that reads in proportion
 * @param warp per mm: how the hand got faster on its way; 0 where places are known
 */
record SlideModel(SpotShape shape, double exponent, double warp) {
    static final SlideModel PLAIN = new SlideModel(SpotShape.GAUSSIAN, 1, 0);

    private static final int SIGMA = 2;
    private static final int WIDTH = 4;

    /** Smallest spot and width the search may try, in units of the first guess. */
    private static final double LEAST = 0.02;

    /** A line must stand out by this many times the scatter of the ground to be seen. */
    private static final double SEEN = 6;

    /** So little of a line has no power of its own. */
    private static final double LEAST_COVERAGE = 1e-6;

    SlideModel with(SpotShape newShape) {
        return new SlideModel(newShape, exponent, warp);
    }

    SlideModel withExponent(double newExponent) {
        return new SlideModel(shape, newExponent, warp);
    }

    SlideModel withWarp(double newWarp) {
        return new SlideModel(shape, exponent, newWarp);
    }

    double value(double x, double[] p) {
        double e = x - p[3];
        double at = e * (1 + warp * e);
        double coverage = shape.below((p[4] / 2 - at) / p[2]) - shape.below((-p[4] / 2 - at) / p[2]);
        return p[0] + (p[1] - p[0]) * (exponent == 1 ? coverage : Math.pow(Math.max(0, coverage), exponent));
    }

    Pair<RealVector, RealMatrix> valueAndJacobian(double[] x, double[] scaled, double[] unit) {
        double[] p = new double[scaled.length];
        for (int i = 0; i < p.length; i++) {
            p[i] = scaled[i] * unit[i];
        }
        double[] values = new double[x.length];
        double[][] slopes = new double[x.length][p.length];
        for (int i = 0; i < x.length; i++) {
            double e = x[i] - p[3];
            double at = e * (1 + warp * e);
            double a = (p[4] / 2 - at) / p[2];
            double b = (-p[4] / 2 - at) / p[2];
            double coverage = shape.below(a) - shape.below(b);
            double seen = exponent == 1 ? coverage : Math.pow(Math.max(0, coverage), exponent);
            double contrast = p[1] - p[0];
            double steep = exponent == 1
                    ? contrast
                    : contrast * exponent * Math.pow(Math.max(LEAST_COVERAGE, coverage), exponent - 1);
            double densityA = shape.density(a);
            double densityB = shape.density(b);
            values[i] = p[0] + contrast * seen;
            slopes[i][0] = (1 - seen) * unit[0];
            slopes[i][1] = seen * unit[1];
            slopes[i][2] = -steep * (a * densityA - b * densityB) / p[2] * unit[2];
            slopes[i][3] = steep * (densityA - densityB) / p[2] * (1 + 2 * warp * e) * unit[3];
            slopes[i][4] = steep * (densityA + densityB) / (2 * p[2]) * unit[4];
        }
        return new Pair<>(new ArrayRealVector(values, false), new Array2DRowRealMatrix(slopes, false));
    }

    /**
     * The standard deviation of the Gaussian spot that is as steep as this one where a wide line's edge reads half: what the loop needs
     * to know of it.
     */
    double steepness(double sigma) {
        double half = Math.pow(0.5, 1 / exponent);
        double low = -10;
        double high = 10;
        while (exponent != 1 && high - low > 1e-9) {
            double middle = (low + high) / 2;
            if (shape.below(middle) < half) {
                low = middle;
            } else {
                high = middle;
            }
        }
        double density = exponent == 1 ? shape.middleDensity() : shape.density((low + high) / 2);
        double slope = exponent * Math.pow(half, exponent - 1) * density / sigma;
        return 1 / (slope * Math.sqrt(2 * Math.PI));
    }

    /** Keeps spot and width above 0 while the search feels its way. */
    static ParameterValidator validator() {
        return point -> {
            RealVector held = point.copy();
            held.setEntry(SIGMA, Math.max(LEAST, Math.abs(point.getEntry(SIGMA))));
            held.setEntry(WIDTH, Math.max(LEAST, Math.abs(point.getEntry(WIDTH))));
            return held;
        };
    }

    /**
     * Where to begin: the ground from both ends of the slide, the line from the readings furthest from it, its middle and width
     * from the area between.
     */
    static double[] guess(double[] x, double[] y) {
        Integer[] order = new Integer[x.length];
        Arrays.setAll(order, i -> i);
        Arrays.sort(order, Comparator.comparingDouble(i -> x[i]));
        int n = x.length;
        int end = Math.max(3, n / 6);
        double[] ends = new double[2 * end];
        for (int i = 0; i < end; i++) {
            ends[i] = y[order[i]];
            ends[end + i] = y[order[n - 1 - i]];
        }
        Arrays.sort(ends);
        double ground = ends[end];
        double groundScatter = (ends[(int) (0.84 * 2 * end)] - ends[(int) (0.16 * 2 * end)]) / 2;
        double[] far = Arrays.stream(y).map(v -> Math.abs(v - ground)).sorted().toArray();
        double height = far[n - 1 - n / 50];
        if (!(height > SEEN * groundScatter) || height == 0) {
            throw new BadValueException(
                    "slide", "no line among the readings", "from ground across one line and on to ground again");
        }
        double area = 0;
        double moment = 0;
        double sign = 0;
        for (int k = 1; k < n; k++) {
            double from = x[order[k - 1]];
            double to = x[order[k]];
            double excess = (y[order[k]] + y[order[k - 1]]) / 2 - ground;
            double part = Math.abs(excess) > 3 * groundScatter ? Math.abs(excess) * (to - from) : 0;
            area += part;
            moment += part * (from + to) / 2;
            sign += excess * (to - from);
        }
        double span = x[order[n - 1]] - x[order[0]];
        if (!(area > 0 && span > 0)) {
            throw new BadValueException("slide", "all readings at one place", "readings all along the slide");
        }
        double width = Math.min(span, area / height);
        return new double[] {ground, ground + Math.copySign(height, sign), width / 6, moment / area, width};
    }
}
