package fahrbahn.core.measuring;

import fahrbahn.core.check.BadValueException;
import java.util.Arrays;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;

/**
 * Fits a slide by Levenberg and Marquardt. Standard errors are the larger of the usual ones and those that need no even scatter (HC3:
 * MacKinnon and White, J. Econometrics 29, 1985, p. 305), or that count with places as exact as their ruler: a place that is off moves a
 * reading at an edge and none beside it.
 */
final class SlideLeastSquares {
    private static final int MOST_STEPS = 200;
    private static final double MAD_TO_SIGMA = 1.4826;

    private SlideLeastSquares() {}

    /**
     * @param point ground, line, sigma, centre, width
     * @param errors standard errors of them
     * @param squares sum of the squared residuals
     */
    record Solved(SlideModel model, double[] point, double[] errors, double scatter, double squares) {}

    /** @param placeError standard deviation of the places @throws BadValueException when there is no fit */
    static Solved solve(SlideModel model, double[] x, double[] y, double[] from, double placeError) {
        // Each unknown in units of its own size, so that one tolerance fits all.
        double contrast = Math.abs(from[0] - from[1]);
        double[] unit = {contrast, contrast, from[2], from[2], Math.max(from[4], from[2])};
        RealVector start = new ArrayRealVector(from.length);
        for (int i = 0; i < from.length; i++) {
            start.setEntry(i, from[i] / unit[i]);
        }
        try {
            Optimum best = new LevenbergMarquardtOptimizer()
                    .optimize(new LeastSquaresBuilder()
                            .start(start)
                            .target(y)
                            .model(point -> model.valueAndJacobian(x, point.toArray(), unit))
                            .parameterValidator(SlideModel.validator())
                            .maxEvaluations(MOST_STEPS)
                            .maxIterations(MOST_STEPS)
                            .build());
            double[] point = best.getPoint().toArray();
            RealMatrix slopes = model.valueAndJacobian(x, point, unit).getSecond();
            double[] left = best.getResiduals().toArray();
            double squares = Arrays.stream(left).map(r -> r * r).sum();
            double scatter = Math.sqrt(squares / (y.length - point.length));
            double[] errors = errors(slopes, left, scatter, steep(model, x, point, unit), placeError);
            for (int i = 0; i < point.length; i++) {
                point[i] *= unit[i];
                errors[i] *= unit[i];
            }
            return new Solved(model, point, errors, scatter, squares);
        } catch (MathRuntimeException notFound) {
            throw new BadValueException(
                    "slide",
                    "no fit (" + notFound.getMessage() + ")",
                    "one smooth slide across one line and back to the ground");
        }
    }

    /** How much a reading moves with its place, per mm. */
    private static double[] steep(SlideModel model, double[] x, double[] scaled, double[] unit) {
        double[] p = new double[scaled.length];
        for (int i = 0; i < p.length; i++) {
            p[i] = scaled[i] * unit[i];
        }
        double aside = p[2] / 100;
        return Arrays.stream(x)
                .map(place -> (model.value(place + aside, p) - model.value(place - aside, p)) / (2 * aside))
                .toArray();
    }

    /** @param placeError standard deviation of the places, 0 where they are known */
    private static double[] errors(
            RealMatrix slopes, double[] left, double scatter, double[] steep, double placeError) {
        RealMatrix inverse = new LUDecomposition(slopes.transposeMultiply(slopes))
                .getSolver()
                .getInverse();
        int unknowns = inverse.getRowDimension();
        RealMatrix uneven = MatrixUtils.createRealMatrix(unknowns, unknowns);
        RealMatrix placed = MatrixUtils.createRealMatrix(unknowns, unknowns);
        double noise = MAD_TO_SIGMA * median(left);
        for (int i = 0; i < left.length; i++) {
            RealVector row = slopes.getRowVector(i);
            double leverage = Math.min(0.99, row.dotProduct(inverse.operate(row)));
            double alone = left[i] / (1 - leverage);
            RealMatrix square = row.outerProduct(row);
            uneven = uneven.add(square.scalarMultiply(alone * alone));
            double moved = steep[i] * placeError;
            placed = placed.add(square.scalarMultiply(noise * noise + moved * moved));
        }
        uneven = inverse.multiply(uneven).multiply(inverse);
        placed = inverse.multiply(placed).multiply(inverse);
        double[] errors = new double[unknowns];
        for (int i = 0; i < unknowns; i++) {
            double even = scatter * scatter * inverse.getEntry(i, i);
            errors[i] = Math.sqrt(Math.max(even, Math.max(uneven.getEntry(i, i), placed.getEntry(i, i))));
        }
        return errors;
    }

    private static double median(double[] left) {
        double[] sizes = Arrays.stream(left).map(Math::abs).sorted().toArray();
        return sizes[sizes.length / 2];
    }
}
