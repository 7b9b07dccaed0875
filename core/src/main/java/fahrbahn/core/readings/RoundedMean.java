package fahrbahn.core.readings;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import java.util.Map;
import java.util.TreeMap;
import org.apache.commons.numbers.gamma.ErfDifference;

/**
 * The mean of a few rounded readings, as read off a display, with the interval it lies in at 95 %.
 *
 * <p>Three readings of 88, 88 and 88 have no scatter, and still the mean may be anywhere between 87.5 and 88.5. So what is asked is how
 * likely the readings are for each mean and each scatter: a reading r stands for all from r - step/2 to r + step/2, and its chance is
 * that of a normal reading to fall there. Weighed with the usual prior for an unknown mean and scatter, 1/sd (Jeffreys), that gives the
 * interval of Student's t when the step is fine, and a cell of rounding when it is coarse. Both unknowns are summed over a grid.
 *
 * @param mean of the readings
 * @param low lower end of the interval
 * @param high upper end
 */
public record RoundedMean(double mean, double low, double high) {
    private static final double TAIL = 0.025;
    private static final int MOST_DIGITS = 6;

    /** Who needs more than this is to shield the sensor, not to type. */
    private static final int MOST_MORE = 99;

    private static final int MEANS = 121;
    private static final int SCATTERS = 24;

    /** A scatter below this share of a step shows in no reading. */
    private static final double LEAST_SCATTER_SHARE = 0.03;

    /** With two readings the tails are long: beyond so many scatters of the mean lies less than a thousandth. */
    private static final double REACH = 60;

    /**
     * @param readings at least two, finite
     * @param step smallest change the display shows, above 0
     */
    public static RoundedMean of(double[] readings, double step) {
        Check.positive("step", step);
        if (readings.length < 2) {
            throw new BadValueException("readings", readings.length, "at least 2 to tell a scatter");
        }
        TreeMap<Double, Integer> counts = new TreeMap<>();
        double sum = 0;
        for (double reading : readings) {
            counts.merge(Check.finite("reading", reading), 1, Integer::sum);
            sum += reading;
        }
        double mean = sum / readings.length;
        double squares = 0;
        for (double reading : readings) {
            squares += (reading - mean) * (reading - mean);
        }
        double sd = Math.max(Math.sqrt(squares / (readings.length - 1)), step / 3);
        double reach = step + Math.min(REACH, 8 + 130 / Math.pow(readings.length, 2)) * sd / Math.sqrt(readings.length);
        return quantiles(mean, reach, weights(counts, mean, reach, sd, step));
    }

    /** How likely each mean of the grid is, whatever the scatter. */
    private static double[] weights(Map<Double, Integer> counts, double mean, double reach, double sd, double step) {
        double[] logs = new double[MEANS * SCATTERS];
        double most = Double.NEGATIVE_INFINITY;
        double least = LEAST_SCATTER_SHARE * step;
        double ratio = Math.pow(40 * Math.max(sd, step) / least, 1.0 / (SCATTERS - 1));
        for (int s = 0; s < SCATTERS; s++) {
            double scatter = least * Math.pow(ratio, s); // even in its logarithm: the prior 1/sd
            for (int m = 0; m < MEANS; m++) {
                double log = logLikelihood(counts, at(mean, reach, m), scatter, step);
                logs[s * MEANS + m] = log;
                most = Math.max(most, log);
            }
        }
        double[] weights = new double[MEANS];
        for (int i = 0; i < logs.length; i++) {
            weights[i % MEANS] += Math.exp(logs[i] - most);
        }
        return weights;
    }

    /** Closer together in the middle, where most of it lies. */
    private static double at(double mean, double reach, int m) {
        double share = 2.0 * m / (MEANS - 1) - 1;
        return mean + reach * share * Math.abs(share);
    }

    private static double logLikelihood(Map<Double, Integer> counts, double mean, double scatter, double step) {
        double log = 0;
        for (Map.Entry<Double, Integer> entry : counts.entrySet()) {
            double low = (entry.getKey() - step / 2 - mean) / (scatter * Math.sqrt(2));
            double high = (entry.getKey() + step / 2 - mean) / (scatter * Math.sqrt(2));
            log += entry.getValue() * Math.log(Math.max(1e-300, ErfDifference.value(low, high) / 2));
        }
        return log;
    }

    private static RoundedMean quantiles(double mean, double reach, double[] weights) {
        double[] sums = new double[MEANS];
        for (int m = 1; m < MEANS; m++) {
            double width = at(mean, reach, m) - at(mean, reach, m - 1);
            sums[m] = sums[m - 1] + width * (weights[m] + weights[m - 1]) / 2;
        }
        return new RoundedMean(
                mean,
                quantile(mean, reach, sums, TAIL * sums[MEANS - 1]),
                quantile(mean, reach, sums, (1 - TAIL) * sums[MEANS - 1]));
    }

    private static double quantile(double mean, double reach, double[] sums, double wanted) {
        int m = 1;
        while (m < MEANS - 1 && sums[m] < wanted) {
            m++;
        }
        double share = (wanted - sums[m - 1]) / (sums[m] - sums[m - 1]);
        return at(mean, reach, m - 1) + share * (at(mean, reach, m) - at(mean, reach, m - 1));
    }

    /** The last digit that a display shows: the largest of 1, 0.1, 0.01 ... that all readings are whole numbers of. */
    public static double displayStep(double[] readings) {
        for (int digits = 0; digits < MOST_DIGITS; digits++) {
            double scale = Math.pow(10, digits);
            boolean whole = true;
            for (double reading : readings) {
                whole &= Math.abs(reading * scale - Math.rint(reading * scale)) < 1e-6 * scale;
            }
            if (whole) {
                return 1 / scale;
            }
        }
        return Math.pow(10, -MOST_DIGITS);
    }

    /** How many readings more would bring the interval to this half width; 0 when it is as narrow. */
    public int moreFor(double wantedPlusMinus, int readings) {
        Check.positive("wantedPlusMinus", wantedPlusMinus);
        double ratio = plusMinus() / wantedPlusMinus;
        return ratio <= 1 ? 0 : (int) Math.min(MOST_MORE, Math.ceil(readings * (ratio * ratio - 1)));
    }

    /** Half the width of the interval. */
    public double plusMinus() {
        return (high - low) / 2;
    }
}
