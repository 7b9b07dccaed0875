package fahrbahn.core.measuring;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import java.util.Arrays;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DiagonalMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;

/**
 * One sensor slid across one line: what it reads on ground and line, how large its spot is, where it met the line's middle, and how
 * wide the line is. Least squares by Levenberg and Marquardt; standard errors from the curvature at the minimum and the scatter
 * that is left.
 *
 * @param ground reading beside the line
 * @param line reading on it
 * @param sigmaMm standard deviation of the spot
 * @param centreMm place of the ruler at which the sensor was over the middle of the line
 * @param widthMm of the line
 * @param scatter standard deviation of the readings about the fit
 * @param leftOut readings left out as outliers
 */
public record SlideFit(
        Measured ground,
        Measured line,
        Measured sigmaMm,
        Measured centreMm,
        Measured widthMm,
        double scatter,
        int leftOut) {
    private static final int LEAST_READINGS = 15;

    /** As for captures: Iglewicz and Hoaglin. */
    private static final double OUTLIER_SIGMAS = 3.5 * 1.4826;

    private static final int MOST_STEPS = 200;

    /**
     * @param positionsMm along the ruler, across the line; finite
     * @param readings one for each, finite
     * @throws BadValueException when there are too few readings or no line to be seen among them
     */
    public static SlideFit of(double[] positionsMm, double[] readings) {
        Check.require(readings.length >= LEAST_READINGS, "readings", readings.length, "at least " + LEAST_READINGS);
        Check.require(positionsMm.length == readings.length, "positions", positionsMm.length, "one for each reading");
        for (int i = 0; i < readings.length; i++) {
            Check.finite("positionMm", positionsMm[i]);
            Check.finite("reading", readings[i]);
        }
        double[] first = fit(positionsMm, readings, SlideModel.guess(positionsMm, readings))
                .point();
        boolean[] kept = inliers(positionsMm, readings, first);
        double[] x = pick(positionsMm, kept);
        double[] y = pick(readings, kept);
        Check.require(y.length >= LEAST_READINGS, "readings that fit", y.length, "at least " + LEAST_READINGS);
        return result(fit(x, y, first), y.length, readings.length - y.length);
    }

    /**
     * The same when nobody knows the place but the robot was slid steadily: the line's width is the ruler.
     *
     * @param timesS of the readings
     * @param lineWidthMm by the ruler, above 0
     */
    public static SlideFit timed(double[] timesS, double[] readings, double lineWidthMm) {
        Check.positive("lineWidthMm", lineWidthMm);
        SlideFit inSeconds = of(timesS, readings);
        double mmPerS = lineWidthMm / inSeconds.widthMm.value();
        double share = inSeconds.widthMm.standardError() / inSeconds.widthMm.value();
        Measured sigma = inSeconds.sigmaMm;
        double sigmaMm = sigma.value() * mmPerS;
        double sigmaError = Math.hypot(sigma.standardError() * mmPerS, sigmaMm * share);
        Measured centre = inSeconds.centreMm;
        return new SlideFit(
                inSeconds.ground,
                inSeconds.line,
                new Measured(sigmaMm, sigmaError, sigma.entries()),
                new Measured(centre.value() * mmPerS, centre.standardError() * mmPerS, centre.entries()),
                new Measured(lineWidthMm, 0, sigma.entries()),
                inSeconds.scatter,
                inSeconds.leftOut);
    }

    /** Reading of the fitted curve at a place. */
    public double at(double positionMm) {
        return SlideModel.value(
                positionMm,
                new double[] {ground.value(), line.value(), sigmaMm.value(), centreMm.value(), widthMm.value()});
    }

    private record Fit(double[] point, double[] errors, double scatter) {}

    private static Fit fit(double[] x, double[] y, double[] from) {
        // Each unknown in units of its own size, so that one tolerance fits all.
        double[] unit = {
            Math.abs(from[0] - from[1]), Math.abs(from[0] - from[1]), from[2], from[2], Math.max(from[4], from[2])
        };
        RealVector start = new ArrayRealVector(from.length);
        for (int i = 0; i < from.length; i++) {
            start.setEntry(i, from[i] / unit[i]);
        }
        try {
            Optimum best = new LevenbergMarquardtOptimizer()
                    .optimize(new LeastSquaresBuilder()
                            .start(start)
                            .target(y)
                            .weight(new DiagonalMatrix(ones(y.length)))
                            .model(point -> SlideModel.valueAndJacobian(x, point.toArray(), unit))
                            .parameterValidator(SlideModel.validator())
                            .maxEvaluations(MOST_STEPS)
                            .maxIterations(MOST_STEPS)
                            .build());
            double[] point = best.getPoint().toArray();
            double scatter = best.getRMS() * Math.sqrt(y.length / (double) (y.length - point.length));
            double[] errors = best.getSigma(1e-14).mapMultiply(scatter).toArray();
            for (int i = 0; i < point.length; i++) {
                point[i] *= unit[i];
                errors[i] *= unit[i];
            }
            return new Fit(point, errors, scatter);
        } catch (MathRuntimeException notFound) {
            throw new BadValueException(
                    "slide",
                    "no fit (" + notFound.getMessage() + ")",
                    "one smooth slide across one line and back to the ground");
        }
    }

    private static double[] ones(int n) {
        double[] ones = new double[n];
        Arrays.fill(ones, 1);
        return ones;
    }

    private static SlideFit result(Fit fit, int entries, int leftOut) {
        double[] p = fit.point();
        double[] e = fit.errors();
        return new SlideFit(
                new Measured(p[0], e[0], entries),
                new Measured(p[1], e[1], entries),
                new Measured(p[2], e[2], entries),
                new Measured(p[3], e[3], entries),
                new Measured(p[4], e[4], entries),
                fit.scatter(),
                leftOut);
    }

    private static boolean[] inliers(double[] x, double[] y, double[] point) {
        double[] far = new double[y.length];
        for (int i = 0; i < far.length; i++) {
            far[i] = Math.abs(y[i] - SlideModel.value(x[i], point));
        }
        double[] sorted = far.clone();
        Arrays.sort(sorted);
        double limit = OUTLIER_SIGMAS * Math.max(sorted[sorted.length / 2], 1e-3 * Math.abs(point[0] - point[1]));
        boolean[] kept = new boolean[y.length];
        for (int i = 0; i < far.length; i++) {
            kept[i] = far[i] <= limit;
        }
        return kept;
    }

    private static double[] pick(double[] values, boolean[] kept) {
        double[] picked = new double[values.length];
        int n = 0;
        for (int i = 0; i < values.length; i++) {
            if (kept[i]) {
                picked[n++] = values[i];
            }
        }
        return Arrays.copyOf(picked, n);
    }
}
