package fahrbahn.core.readings;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What one sensor reported on one surface, outliers left out.
 *
 * <p>A reading is left out when {@code |r - median| > 3.5 * 1.4826 * (MAD + step/2)}: the modified z-score of Iglewicz and Hoaglin,
 * How to Detect and Handle Outliers (1993), with the half step by which the MAD of rounded readings can be short.
 *
 * @param n readings given
 * @param leftOut places, from 0, of the readings left out, in order
 * @param median of all readings
 * @param mean of the readings kept
 * @param sd sample standard deviation (n - 1) of the readings kept, never below {@code step/sqrt(12)}, the scatter of rounding; where
 *     no step is known and all readings kept are alike, the step is one unit of their last digit
 */
public record SurfaceStats(int n, List<Integer> leftOut, double median, double mean, double sd) {
    private static final double OUTLIER_SIGMAS = 3.5;
    private static final double MAD_TO_SIGMA = 1.4826;

    public SurfaceStats {
        leftOut = List.copyOf(leftOut);
    }

    /**
     * @param readings at least two, finite
     * @param step smallest change the sensor can report; 0 or more
     */
    public static SurfaceStats of(double[] readings, double step) {
        Check.notNegative("step", step);
        if (readings.length < 2) {
            throw new BadValueException("readings", readings.length, "at least 2 to tell a scatter");
        }
        for (double reading : readings) {
            Check.finite("reading", reading);
        }
        double median = Median.of(readings);
        double[] departures =
                Arrays.stream(readings).map(r -> Math.abs(r - median)).toArray();
        double limit = OUTLIER_SIGMAS * MAD_TO_SIGMA * (Median.of(departures) + step / 2);

        List<Integer> leftOut = new ArrayList<>();
        int kept = 0;
        double mean = 0;
        double squares = 0; // Welford's update: no cancellation for large readings
        for (int i = 0; i < readings.length; i++) {
            if (departures[i] > limit) {
                leftOut.add(i);
                continue;
            }
            kept++;
            double change = readings[i] - mean;
            mean += change / kept;
            squares += change * (readings[i] - mean);
        }
        double sd = kept > 1 ? Math.sqrt(squares / (kept - 1)) : 0;
        double resolution = step == 0 && sd == 0 ? RoundedMean.displayStep(readings) : step;
        return new SurfaceStats(readings.length, leftOut, median, mean, Math.max(sd, resolution / Math.sqrt(12)));
    }

    /**
     * Smallest difference between two different readings of one surface; 0 when all are alike. A stand-in for a step nobody has told.
     * Never across surfaces: the difference of two means is no step.
     */
    public static double smallestStep(double[]... surfaces) {
        double smallest = Double.POSITIVE_INFINITY;
        for (double[] readings : surfaces) {
            double[] sorted = readings.clone();
            Arrays.sort(sorted);
            for (int i = 1; i < sorted.length; i++) {
                double gap = sorted[i] - sorted[i - 1];
                if (gap > 0) {
                    smallest = Math.min(smallest, gap);
                }
            }
        }
        return smallest == Double.POSITIVE_INFINITY ? 0 : smallest;
    }
}
