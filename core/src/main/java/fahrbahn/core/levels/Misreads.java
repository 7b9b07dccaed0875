package fahrbahn.core.levels;

import fahrbahn.core.check.Check;
import org.hipparchus.distribution.continuous.BetaDistribution;

/**
 * How often readings fell on the wrong side of a level, and what that proves: the exact interval of the chance (Clopper and Pearson,
 * Biometrika 26, 1934, p. 404), one-sided at 95 % when none did, two-sided at 95 % otherwise. A normal tail is not known from some
 * eighty readings: it ranks levels, it is no claim.
 *
 * @param seen readings on the wrong side
 * @param of readings in all
 * @param low end of the interval; 0 when none was seen
 * @param high end of the interval; 1 when there are no readings
 */
public record Misreads(int seen, int of, double low, double high) {
    private static final double CONFIDENCE = 0.95;

    /** A model that promises less than this share of one misread in all readings promises what they cannot show. */
    private static final double LEAST_CLAIM = 0.1;

    public static Misreads of(int seen, int of) {
        Check.between("seen", seen, 0, of);
        if (of == 0) {
            return new Misreads(0, 0, 0, 1);
        }
        double tail = seen == 0 ? 1 - CONFIDENCE : (1 - CONFIDENCE) / 2;
        double low = seen == 0 ? 0 : new BetaDistribution(seen, of - seen + 1).inverseCumulativeProbability(tail);
        double high = seen == of ? 1 : new BetaDistribution(seen + 1, of - seen).inverseCumulativeProbability(1 - tail);
        return new Misreads(seen, of, low, high);
    }

    /** Counts every reading, also those left out of the means: the robot is shown them too. @param lightHigh light reads high */
    static Misreads count(double[] dark, double[] light, double level, boolean lightHigh) {
        int seen = 0;
        for (double reading : dark) {
            seen += (lightHigh ? reading > level : reading < level) ? 1 : 0;
        }
        for (double reading : light) {
            seen += (lightHigh ? reading < level : reading > level) ? 1 : 0;
        }
        return of(seen, dark.length + light.length);
    }

    /**
     * The chance to claim, a single number: one more misread than was seen in two more readings, the mean of what they leave open (Laplace's rule
     * of succession). The true one is more than three times as large in one set of readings of twenty at most.
     */
    public double chance() {
        return (seen + 1.0) / (of + 2.0);
    }

    /** The least chance that so many readings can show, and so the least to claim. */
    public static double leastClaim(int readings) {
        return LEAST_CLAIM / readings;
    }
}
