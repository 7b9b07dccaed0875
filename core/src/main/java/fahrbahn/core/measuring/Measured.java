package fahrbahn.core.measuring;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * A measured value.
 *
 * @param value mean of the entries, or the fitted value
 * @param standardError of the value, 0 or more
 * @param entries how many measurements it rests on, at least 1
 */
public record Measured(double value, double standardError, int entries) {
    public Measured {
        Check.finite("value", value);
        Check.notNegative("standardError", standardError);
        Check.require(entries >= 1, "entries", entries, "at least 1");
    }

    /**
     * The mean of repeated entries. Its standard error is their scatter over the root of their number, and never less than what
     * reading the instrument leaves open.
     *
     * @param readingError standard error of a single reading of ruler or watch; 0 or more
     */
    public static Measured mean(double[] entries, double readingError) {
        if (entries.length == 0) {
            throw new BadValueException("entries", 0, "at least 1");
        }
        Check.notNegative("readingError", readingError);
        double sum = 0;
        for (double entry : entries) {
            sum += Check.finite("entry", entry);
        }
        double mean = sum / entries.length;
        double squares = 0;
        for (double entry : entries) {
            squares += (entry - mean) * (entry - mean);
        }
        double scatter = entries.length > 1 ? Math.sqrt(squares / (entries.length - 1)) : 0;
        double error = Math.max(scatter, readingError) / Math.sqrt(entries.length);
        return new Measured(mean, error, entries.length);
    }

    /** Half the width of the 95 % interval: Student's t for a mean of few, which widens it honestly. */
    public double plusMinus() {
        return entries == 1 ? 1.96 * standardError : students(entries - 1) * standardError;
    }

    private static double students(int freedom) {
        return new TDistribution(freedom).inverseCumulativeProbability(0.975);
    }

    /** The same through a function, its error by the function's slope (first order). */
    public Measured through(DoubleUnaryOperator function) {
        double step = Math.max(standardError, Math.abs(value) * 1e-6);
        double at = function.applyAsDouble(value);
        double slope = step == 0 ? 0 : (function.applyAsDouble(value + step) - at) / step;
        return new Measured(at, Math.abs(slope) * standardError, entries);
    }
}
