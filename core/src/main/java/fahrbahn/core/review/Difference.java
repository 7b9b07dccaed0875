package fahrbahn.core.review;

import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * How much one of two differs from the other over the same starts, with its 95 % interval.
 *
 * @param a mean of the first
 * @param b mean of the second
 * @param size b less a
 * @param low end of the interval
 * @param high end of the interval
 * @param pairs of runs that tell of it
 */
public record Difference(double a, double b, double size, double low, double high, int pairs) {
    private static final double LEVEL = 0.95;

    private static final int BISECTIONS = 60;

    /** With fewer pairs nothing is told of their spread. */
    private static final int LEAST_PAIRS = 3;

    /** Whether the interval leaves 0 out. */
    public boolean shown() {
        return low > 0 || high < 0;
    }

    /** Whether there is an interval at all. */
    public boolean told() {
        return !Double.isNaN(low);
    }

    /** Of chances, by pairs: the score interval of T. Tango, Statistics in Medicine 17 (1998), 891, which holds for few pairs that differ too. */
    static Difference ofChances(boolean[] a, boolean[] b) {
        int n = a.length;
        int onlyA = 0;
        int onlyB = 0;
        int inA = 0;
        for (int i = 0; i < n; i++) {
            inA += a[i] ? 1 : 0;
            onlyA += a[i] && !b[i] ? 1 : 0;
            onlyB += b[i] && !a[i] ? 1 : 0;
        }
        double shareA = (double) inA / n;
        double shareB = (double) (inA - onlyA + onlyB) / n;
        double size = (double) (onlyB - onlyA) / n;
        double z = new NormalDistribution().inverseCumulativeProbability((1 + LEVEL) / 2);
        double low = whereScore(z, -1, size, onlyB, onlyA, n);
        double high = whereScore(-z, size, 1, onlyB, onlyA, n);
        return new Difference(shareA, shareB, size, low, high, n);
    }

    /** The difference at which the score, which falls as it grows, is so much. */
    private static double whereScore(double wanted, double from, double to, int onlyB, int onlyA, int n) {
        double low = from;
        double high = to;
        for (int i = 0; i < BISECTIONS; i++) {
            double middle = (low + high) / 2;
            if (score(middle, onlyB, onlyA, n) > wanted) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    /** How far the pairs are from a difference, in its own standard errors; Tango's equations 5 to 9. */
    private static double score(double difference, int onlyB, int onlyA, int n) {
        double linear = -onlyB - onlyA + (2.0 * n - onlyB + onlyA) * difference;
        double constant = -onlyA * difference * (1 - difference);
        double likeliestOnlyA = (Math.sqrt(Math.max(0, linear * linear - 8 * n * constant)) - linear) / (4 * n);
        double variance = n * (2 * likeliestOnlyA + difference * (1 - difference));
        double away = onlyB - onlyA - n * difference;
        return variance > 0 ? away / Math.sqrt(variance) : Math.signum(away) * Double.MAX_VALUE;
    }

    /** Of means, by pairs: Student's interval of the mean of the pairs' own differences. NaN ends with fewer than three. */
    static Difference ofMeans(double[] a, double[] b) {
        int n = a.length;
        double[] apart = new double[n];
        for (int i = 0; i < n; i++) {
            apart[i] = b[i] - a[i];
        }
        double size = mean(apart);
        if (n < LEAST_PAIRS) {
            return new Difference(mean(a), mean(b), size, Double.NaN, Double.NaN, n);
        }
        double squares = 0;
        for (double one : apart) {
            squares += (one - size) * (one - size);
        }
        double t = new TDistribution(n - 1).inverseCumulativeProbability((1 + LEVEL) / 2);
        double reach = t * Math.sqrt(squares / (n - 1) / n);
        return new Difference(mean(a), mean(b), size, size - reach, size + reach, n);
    }

    private static double mean(double[] values) {
        double sum = 0;
        for (double value : values) {
            sum += value;
        }
        return values.length == 0 ? Double.NaN : sum / values.length;
    }
}
