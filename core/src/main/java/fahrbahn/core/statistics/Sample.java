package fahrbahn.core.statistics;

import java.util.Arrays;

/**
 * Measured values of one kind, in the order they were taken.
 *
 * @param values finite
 */
public record Sample(double[] values) {
    public Sample {
        values = values.clone();
    }

    /** Those of the values that were measured. */
    public static Sample of(double[] values) {
        return new Sample(Arrays.stream(values).filter(Double::isFinite).toArray());
    }

    @Override
    public double[] values() {
        return values.clone();
    }

    public int n() {
        return values.length;
    }

    /** NaN of no values. */
    public double mean() {
        return Arrays.stream(values).average().orElse(Double.NaN);
    }

    /** Sample standard deviation (n - 1); NaN of fewer than two values. */
    public double sd() {
        if (values.length < 2) {
            return Double.NaN;
        }
        double mean = mean();
        return Math.sqrt(Arrays.stream(values).map(v -> (v - mean) * (v - mean)).sum() / (values.length - 1));
    }

    /** NaN of no values. */
    public double median() {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        int n = sorted.length;
        return n == 0 ? Double.NaN : (sorted[(n - 1) / 2] + sorted[n / 2]) / 2;
    }

    /** Largest less smallest; NaN of no values. */
    public double range() {
        return Arrays.stream(values).max().orElse(Double.NaN)
                - Arrays.stream(values).min().orElse(Double.NaN);
    }

    /** Distance of each value from the median. */
    public double[] distancesFromMedian() {
        double median = median();
        return Arrays.stream(values).map(v -> Math.abs(v - median)).toArray();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Sample that && Arrays.equals(values, that.values);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(values);
    }

    @Override
    public String toString() {
        return Arrays.toString(values);
    }
}
