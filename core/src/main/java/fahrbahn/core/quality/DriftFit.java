package fahrbahn.core.quality;

import fahrbahn.core.check.BadValueException;
import java.util.List;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * How fast readings wander: the least-squares slope of the means of some twenty blocks, with its t interval. Means of blocks, so that
 * readings that resemble their neighbours do not make it look surer than it is, and so that rounded readings dither.
 *
 * <p>Readings that scatter by less than half a step do not dither: rounding, half a step up in one half of the time and half a step down
 * in the other, may then make or hide a slope of 3/2 step / span, and the interval is no narrower than that to either side. With more scatter the rounding error averages out
 * (below 1 % of a step in a mean from a standard deviation of half a step on: Widrow and Kollar, Quantization Noise, 2008, ch. 4).
 *
 * @param perS slope, per second
 * @param lowPerS lower end of its interval
 * @param highPerS upper end
 * @param spanS over which the readings were taken
 */
public record DriftFit(double perS, double lowPerS, double highPerS, double spanS) {
    /** Enough for a t quantile within a twelfth of the normal one, few enough for long blocks. */
    private static final int BLOCKS = 20;

    private static final int LEAST_READINGS = 4;

    /** 12/span^3 times the integral of |t - span/2|, times half a step. */
    private static final double ROUNDING = 1.5;

    /**
     * @param timesS increasing
     * @param leftOut places of readings that do not count, in order
     * @param step smallest change the sensor can report, 0 or more
     * @param share of such intervals that hold the truth, between 0 and 1
     * @throws BadValueException when there are fewer than 4 readings that count, or all are of one time
     */
    public static DriftFit of(double[] timesS, double[] values, List<Integer> leftOut, double step, double share) {
        int kept = values.length - leftOut.size();
        if (kept < LEAST_READINGS) {
            throw new BadValueException("readings", kept, "at least " + LEAST_READINGS + " to tell a slope");
        }
        double[] t = new double[kept];
        double[] y = new double[kept];
        int next = 0;
        int count = 0;
        for (int i = 0; i < values.length; i++) {
            if (next < leftOut.size() && leftOut.get(next) == i) {
                next++;
            } else {
                t[count] = timesS[i];
                y[count++] = values[i];
            }
        }
        double spanS = t[kept - 1] - t[0];
        if (!(spanS > 0)) {
            throw new BadValueException("tS", t[0], "different for different readings");
        }
        int blocks = Math.min(BLOCKS, kept);
        Line line = Line.through(means(t, blocks), means(y, blocks));
        double half = new TDistribution(blocks - 2.0).inverseCumulativeProbability((1 + share) / 2) * line.slopeError;
        if (line.scatter(t, y) < step / 2) {
            half = Math.max(half, ROUNDING * step / spanS);
        }
        return new DriftFit(line.slope, line.slope - half, line.slope + half, spanS);
    }

    /** Blocks as equal in number of readings as they can be. */
    private static double[] means(double[] values, int blocks) {
        double[] means = new double[blocks];
        for (int block = 0; block < blocks; block++) {
            int from = (int) ((long) block * values.length / blocks);
            int to = (int) ((block + 1L) * values.length / blocks);
            for (int i = from; i < to; i++) {
                means[block] += values[i] / (to - from);
            }
        }
        return means;
    }

    /** @param slopeError standard error of the slope */
    private record Line(double middleT, double middleY, double slope, double slopeError) {
        static Line through(double[] t, double[] y) {
            double middleT = mean(t);
            double middleY = mean(y);
            double tt = 0;
            double ty = 0;
            for (int i = 0; i < t.length; i++) {
                tt += (t[i] - middleT) * (t[i] - middleT);
                ty += (t[i] - middleT) * (y[i] - middleY);
            }
            double slope = ty / tt;
            Line line = new Line(middleT, middleY, slope, 0);
            return new Line(middleT, middleY, slope, line.scatter(t, y) / Math.sqrt(tt));
        }

        /** Standard deviation of points from the line. */
        double scatter(double[] t, double[] y) {
            double squares = 0;
            for (int i = 0; i < t.length; i++) {
                double off = y[i] - middleY - slope * (t[i] - middleT);
                squares += off * off;
            }
            return Math.sqrt(squares / (t.length - 2));
        }

        private static double mean(double[] values) {
            double sum = 0;
            for (double value : values) {
                sum += value / values.length;
            }
            return sum;
        }
    }
}
