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
    /** What a ruler's or a thumb's error is known to beforehand, as degrees of freedom: to a fifth, 1/sqrt(2*12). */
    static final int KNOWN_BEFOREHAND = 12;

    public Measured {
        Check.finite("value", value);
        Check.notNegative("standardError", standardError);
        Check.require(entries >= 1, "entries", entries, "at least 1");
    }

    /**
     * The mean of repeated entries. What is known beforehand of the error of one reading and the entries' own scatter are pooled, each
     * with its degrees of freedom, as with a scaled inverse chi-squared prior (Gelman et al., Bayesian Data Analysis, 3rd ed., ch. 3.2):
     * so one entry has an honest interval, agreeing ones shrink it, and scattering ones widen it.
     *
     * @param readingError standard error of a single reading of ruler or watch, above 0
     */
    public static Measured mean(double[] entries, double readingError) {
        if (entries.length == 0) {
            throw new BadValueException("entries", 0, "at least 1");
        }
        Check.positive("readingError", readingError);
        double sum = 0;
        for (double entry : entries) {
            sum += Check.finite("entry", entry);
        }
        double mean = sum / entries.length;
        double squares = 0;
        for (double entry : entries) {
            squares += (entry - mean) * (entry - mean);
        }
        double error = pooled(squares, entries.length - 1, readingError) / Math.sqrt(entries.length);
        return new Measured(mean, error, entries.length);
    }

    /** Standard error of one reading. @param squares sum of squared departures with so many degrees of freedom */
    static double pooled(double squares, int freedom, double readingError) {
        return Math.sqrt((KNOWN_BEFOREHAND * readingError * readingError + squares) / (KNOWN_BEFOREHAND + freedom));
    }

    /** Half the width of the 95 % interval: Student's t for a scatter known by few. */
    public double plusMinus() {
        return students(KNOWN_BEFOREHAND + entries - 1) * standardError;
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
