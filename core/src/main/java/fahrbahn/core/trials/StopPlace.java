package fahrbahn.core.trials;

import fahrbahn.core.check.Check;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Sample;
import java.util.Arrays;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * Where a robot stops along or across the line, from runs in their order.
 *
 * @param places mm from the place it should stop at
 */
public record StopPlace(Sample places) {
    private static final double TAIL = 0.025;

    /**
     * How one run stands to the rest.
     *
     * @param awayMm from the mean of the rest
     * @param p chance of a run at least as far away, were it one of them; NaN with fewer than three others
     */
    public record Apart(double awayMm, double p) {}

    /**
     * A straight trend.
     *
     * @param low of the 95 % interval of the slope
     * @param p chance of a slope at least as steep when there is none
     */
    public record Trend(double slope, double low, double high, double p) {}

    /** Runs that stopped inside a window, with the exact interval of the chance to do so. */
    public Completion inside(double lowMm, double highMm) {
        checkWindow(lowMm, highMm);
        int hits = (int) Arrays.stream(places.values())
                .filter(p -> p >= lowMm && p <= highMm)
                .count();
        return Completion.of(hits, places.n());
    }

    private static void checkWindow(double lowMm, double highMm) {
        Check.finite("window.lowMm", lowMm);
        Check.require(highMm > lowMm, "window.highMm", highMm, "above the low end, " + lowMm + " mm");
    }

    /** The first run against the rest: the robot set down by hand, cold motors. Prediction of one more value, Student's t. */
    public Apart firstRun() {
        double[] all = places.values();
        Sample rest = new Sample(Arrays.copyOfRange(all, Math.min(1, all.length), all.length));
        if (rest.n() < 3 || !(rest.sd() > 0)) {
            return new Apart(all.length < 2 ? Double.NaN : all[0] - rest.mean(), Double.NaN);
        }
        double away = all[0] - rest.mean();
        double t = Math.abs(away) / (rest.sd() * Math.sqrt(1 + 1.0 / rest.n()));
        return new Apart(away, 2 * (1 - new TDistribution(rest.n() - 1).cumulativeProbability(t)));
    }

    /** Trend in mm per run, over the order of the runs. */
    public Trend overRuns() {
        double[] order = new double[places.n()];
        Arrays.setAll(order, i -> i + 1);
        return over(order);
    }

    /**
     * Trend over something noted with each run, battery volts for one; least squares.
     *
     * @param noted one value a run, in the same order
     */
    public Trend over(double[] noted) {
        Check.require(noted.length == places.n(), "noted", noted.length, "one for each of the " + places.n() + " runs");
        SimpleRegression line = new SimpleRegression();
        double[] all = places.values();
        for (int i = 0; i < all.length; i++) {
            line.addData(noted[i], all[i]);
        }
        if (all.length < 3 || !(line.getXSumSquares() > 0)) {
            return new Trend(Double.NaN, Double.NaN, Double.NaN, Double.NaN);
        }
        double half = line.getSlopeConfidenceInterval(2 * TAIL);
        return new Trend(line.getSlope(), line.getSlope() - half, line.getSlope() + half, line.getSignificance());
    }
}
