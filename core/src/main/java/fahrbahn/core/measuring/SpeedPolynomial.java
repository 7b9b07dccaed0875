package fahrbahn.core.measuring;

import java.util.Map;
import java.util.SortedMap;
import java.util.function.ToDoubleFunction;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Speed as a polynomial in the command, by least squares weighted with the errors of the speeds (Draper & Smith, Applied Regression
 * Analysis, 3rd ed., ch. 5), and what follows from its coefficients with their errors.
 */
final class SpeedPolynomial {
    private static final int STEPS = 200;
    private static final int BISECTIONS = 50;

    private final int lowest;
    private final double fullCommand;
    private final double[] coefficients;
    private final RealMatrix covariance;

    private SpeedPolynomial(int lowest, double fullCommand, double[] coefficients, RealMatrix covariance) {
        this.lowest = lowest;
        this.fullCommand = fullCommand;
        this.coefficients = coefficients;
        this.covariance = covariance;
    }

    /**
     * @param speeds at each command; as many as there are coefficients, or more
     * @param lowest power of the command: 0, or 1 for a curve through zero
     * @param degree highest power
     */
    static SpeedPolynomial of(SortedMap<Double, Measured> speeds, double fullCommand, int lowest, int degree) {
        int terms = degree - lowest + 1;
        RealMatrix normal = MatrixUtils.createRealMatrix(terms, terms);
        RealVector moments = MatrixUtils.createRealVector(new double[terms]);
        for (Map.Entry<Double, Measured> at : speeds.entrySet()) {
            RealVector row = MatrixUtils.createRealVector(powers(at.getKey() / fullCommand, lowest, terms));
            double error = at.getValue().standardError();
            double weight = 1 / (error * error);
            normal = normal.add(row.outerProduct(row).scalarMultiply(weight));
            moments = moments.add(row.mapMultiply(weight * at.getValue().value()));
        }
        RealMatrix covariance = new LUDecomposition(normal).getSolver().getInverse();
        return new SpeedPolynomial(
                lowest, fullCommand, covariance.operate(moments).toArray(), covariance);
    }

    private static double[] powers(double x, int lowest, int terms) {
        double[] powers = new double[terms];
        for (int k = 0; k < terms; k++) {
            powers[k] = Math.pow(x, lowest + k);
        }
        return powers;
    }

    private SpeedPolynomial with(double[] others) {
        return new SpeedPolynomial(lowest, fullCommand, others, covariance);
    }

    /** Speed at a command, mm/s. */
    double at(double command) {
        double x = command / fullCommand;
        double sum = 0;
        for (int k = coefficients.length - 1; k >= 0; k--) {
            sum = sum * x + coefficients[k];
        }
        return sum * Math.pow(x, lowest);
    }

    double slopeAt(double command) {
        double x = command / fullCommand;
        double sum = 0;
        for (int k = 0; k < coefficients.length; k++) {
            int power = lowest + k;
            sum += power == 0 ? 0 : power * coefficients[k] * Math.pow(x, power - 1);
        }
        return sum / fullCommand;
    }

    /** Standard error of the speed at a command. */
    double errorAt(double command) {
        RealVector row = MatrixUtils.createRealVector(powers(command / fullCommand, lowest, coefficients.length));
        return Math.sqrt(Math.max(0, row.dotProduct(covariance.operate(row))));
    }

    /**
     * Where it meets zero on the way down from a command at which it is above zero, below 0 too; where it turns round before, there.
     *
     * @param command at which it rises
     */
    double zeroBelow(double command) {
        double low = command;
        double step = fullCommand / STEPS;
        while (low > -fullCommand && at(low - step) > 0 && slopeAt(low - step) > 0) {
            low -= step;
        }
        double high = low;
        low -= step;
        for (int i = 0; i < BISECTIONS; i++) {
            double middle = (low + high) / 2;
            if (at(middle) > 0 && slopeAt(middle) > 0) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return lowest > 0 ? Math.max(0, high) : high;
    }

    /**
     * Standard error of what is worked out from the curve, from a standard error along each axis of the coefficients' ellipsoid, both ways
     * (sigma points: Julier & Uhlmann, Proc. SPIE 3068 (1997), 182-193).
     */
    double errorOf(ToDoubleFunction<SpeedPolynomial> figure) {
        EigenDecompositionSymmetric axes = new EigenDecompositionSymmetric(covariance);
        double variance = 0;
        for (int k = 0; k < coefficients.length; k++) {
            RealVector step = axes.getEigenvector(k).mapMultiply(Math.sqrt(Math.max(0, axes.getEigenvalue(k))));
            double half = (figure.applyAsDouble(with(plus(step, 1))) - figure.applyAsDouble(with(plus(step, -1)))) / 2;
            variance += half * half;
        }
        return Math.sqrt(variance);
    }

    private double[] plus(RealVector step, int sign) {
        return MatrixUtils.createRealVector(coefficients).combine(1, sign, step).toArray();
    }
}
