package fahrbahn.core.quality;

import fahrbahn.core.check.BadValueException;
import java.util.Arrays;

/**
 * A slope that outliers do not move: the median of the slopes of all pairs (Theil 1950), with the interval of Sen, Estimates of the
 * Regression Coefficient Based on Kendall's Tau, J. Am. Stat. Assoc. 63 (1968), 1379-1389.
 *
 * @param perS slope, per second
 * @param lowPerS lower end of its interval
 * @param highPerS upper end
 */
public record TheilSen(double perS, double lowPerS, double highPerS) {
    /** Pairs grow with the square; means of neighbours stand for readings beyond so many. */
    private static final int MOST_POINTS = 400;

    /**
     * @param timesS increasing
     * @param z of the interval: 1.96 for 95 %, 3.09 for 99.8 %
     * @throws BadValueException when there are fewer than 3 readings, or all at one time
     */
    public static TheilSen of(double[] timesS, double[] values, double z) {
        if (values.length < 3) {
            throw new BadValueException("readings", values.length, "at least 3 to tell a slope");
        }
        int block = (values.length + MOST_POINTS - 1) / MOST_POINTS;
        double[] t = means(timesS, block);
        double[] y = means(values, block);
        int n = y.length;
        double[] slopes = new double[n * (n - 1) / 2];
        int count = 0;
        for (int i = 0; i < n; i++) {
            for (int j = i + 1; j < n; j++) {
                if (t[j] != t[i]) {
                    slopes[count++] = (y[j] - y[i]) / (t[j] - t[i]);
                }
            }
        }
        if (count == 0) {
            throw new BadValueException("tS", t[0], "different for different readings");
        }
        double[] sorted = Arrays.copyOf(slopes, count);
        Arrays.sort(sorted);
        double spread = z * Math.sqrt(n * (n - 1.0) * (2.0 * n + 5) / 18);
        return new TheilSen(
                (sorted[(count - 1) / 2] + sorted[count / 2]) / 2,
                sorted[within((count - spread) / 2, count)],
                sorted[within((count + spread) / 2, count)]);
    }

    private static int within(double place, int count) {
        return Math.max(0, Math.min(count - 1, (int) Math.round(place)));
    }

    private static double[] means(double[] values, int block) {
        double[] means = new double[values.length / block];
        for (int i = 0; i < means.length; i++) {
            for (int j = 0; j < block; j++) {
                means[i] += values[i * block + j] / block;
            }
        }
        return means;
    }
}
