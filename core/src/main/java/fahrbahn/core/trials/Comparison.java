package fahrbahn.core.trials;

import java.util.List;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.distribution.discrete.HypergeometricDistribution;
import org.hipparchus.stat.inference.OneWayAnova;
import org.hipparchus.stat.inference.TTest;

/**
 * Two settings compared.
 *
 * @param completion difference of the shares of completed runs; Fisher's exact test, two-sided; interval of Newcombe (Statistics
 *     in Medicine 17, 1998, p. 873, method 10)
 * @param timeS difference of the mean times; Welch's test (Biometrika 34, 1947, p. 28) and its interval
 * @param alongSpread ratio of the spreads of the stop places along the line, as mean distances from the median; test of Brown and
 *     Forsythe (J. Am. Stat. Assoc. 69, 1974, p. 364), interval of Bonett and Seier (J. Educ. Behav. Stat. 28, 2003, p. 349)
 */
public record Comparison(String a, String b, Effect completion, Effect timeS, Effect alongSpread) {
    private static final double TAIL = 0.025;
    private static final double Z = new NormalDistribution().inverseCumulativeProbability(1 - TAIL);

    /** Power of four in five, as usual when runs are planned. */
    private static final double POWER_Z = new NormalDistribution().inverseCumulativeProbability(0.8);

    /** Two tables this nearly as likely count as equally likely in Fisher's sum. */
    private static final double AS_LIKELY = 1 + 1e-7;

    public static Comparison of(Group a, Group b) {
        return new Comparison(
                a.setting(),
                b.setting(),
                completion(a, b),
                time(a.timeS(), b.timeS()),
                spread(a.alongMm(), b.alongMm()));
    }

    private static Effect completion(Group a, Group b) {
        Completion first = a.completion();
        Completion second = b.completion();
        double shareA = (double) first.completed() / first.runs();
        double shareB = (double) second.completed() / second.runs();
        double[] wilsonA = wilson(first);
        double[] wilsonB = wilson(second);
        double size = shareB - shareA;
        double p = fisher(first.completed(), first.runs(), second.completed(), second.runs());
        // Arcsine difference: Cohen, Statistical Power Analysis, 2nd ed. 1988, p. 181.
        double angle = 2 * Math.asin(Math.sqrt(shareB)) - 2 * Math.asin(Math.sqrt(shareA));
        double needed = 2 * Math.pow((Z + POWER_Z) / angle, 2);
        return new Effect(
                size,
                size - Math.hypot(shareB - wilsonB[0], wilsonA[1] - shareA),
                size + Math.hypot(wilsonB[1] - shareB, shareA - wilsonA[0]),
                p,
                more(p, needed, Math.min(first.runs(), second.runs())));
    }

    private static double[] wilson(Completion c) {
        double n = c.runs();
        double share = c.completed() / n;
        double middle = (share + Z * Z / (2 * n)) / (1 + Z * Z / n);
        double half = Z / (1 + Z * Z / n) * Math.sqrt(share * (1 - share) / n + Z * Z / (4 * n * n));
        return new double[] {middle - half, middle + half};
    }

    /** Two-sided: the chance of all tables no more likely than the one seen, its margins given. */
    static double fisher(int completedA, int runsA, int completedB, int runsB) {
        HypergeometricDistribution tables =
                new HypergeometricDistribution(runsA + runsB, completedA + completedB, runsA);
        double seen = tables.probability(completedA) * AS_LIKELY;
        double sum = 0;
        for (int k = tables.getSupportLowerBound(); k <= tables.getSupportUpperBound(); k++) {
            double chance = tables.probability(k);
            sum += chance <= seen ? chance : 0;
        }
        return Math.min(1, sum);
    }

    private static Effect time(Sample a, Sample b) {
        double size = b.mean() - a.mean();
        double varianceA = a.sd() * a.sd() / a.n();
        double varianceB = b.sd() * b.sd() / b.n();
        double variance = varianceA + varianceB;
        if (!(variance > 0)) { // too few values, or all alike
            return new Effect(size, Double.NaN, Double.NaN, Double.NaN, -1);
        }
        double freedom =
                variance * variance / (varianceA * varianceA / (a.n() - 1) + varianceB * varianceB / (b.n() - 1));
        double half = new TDistribution(freedom).inverseCumulativeProbability(1 - TAIL) * Math.sqrt(variance);
        double p = new TTest().tTest(a.values(), b.values());
        double needed = (a.sd() * a.sd() + b.sd() * b.sd()) * Math.pow((Z + POWER_Z) / size, 2);
        return new Effect(size, size - half, size + half, p, more(p, needed, Math.min(a.n(), b.n())));
    }

    private static Effect spread(Sample a, Sample b) {
        if (a.n() < 3 || b.n() < 3 || a.sd() == 0 || b.sd() == 0) {
            return new Effect(Double.NaN, Double.NaN, Double.NaN, Double.NaN, -1);
        }
        double p = new OneWayAnova().anovaPValue(List.of(a.distancesFromMedian(), b.distancesFromMedian()));
        double logRatio = Math.log(meanDistance(b) / meanDistance(a));
        double variance = logVariance(a) + logVariance(b);
        double half = Z * Math.sqrt(variance);
        int runs = Math.min(a.n(), b.n());
        double needed = variance * runs * Math.pow((Z + POWER_Z) / logRatio, 2);
        return new Effect(
                Math.exp(logRatio), Math.exp(logRatio - half), Math.exp(logRatio + half), p, more(p, needed, runs));
    }

    /** Mean distance from the median, with the small-sample factor n/(n - 1) of Bonett and Seier. */
    private static double meanDistance(Sample sample) {
        return new Sample(sample.distancesFromMedian()).mean() * sample.n() / (sample.n() - 1);
    }

    private static double logVariance(Sample sample) {
        double distance = new Sample(sample.distancesFromMedian()).mean();
        double skew = (sample.mean() - sample.median()) / distance;
        double peak = sample.sd() * sample.sd() / (distance * distance);
        return (peak + skew * skew - 1) / sample.n();
    }

    private static int more(double p, double neededEach, int haveEach) {
        if (p < Effect.SHOWN) {
            return 0;
        }
        return Double.isFinite(neededEach)
                ? (int) Math.max(1, Math.min(100_000, Math.ceil(neededEach) - haveEach))
                : -1;
    }
}
