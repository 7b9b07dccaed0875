package fahrbahn.core.trials;

import fahrbahn.core.readings.RoundedMean;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Effect;
import fahrbahn.core.statistics.RunsNeeded;
import fahrbahn.core.statistics.Sample;
import java.util.Arrays;
import java.util.List;
import java.util.stream.DoubleStream;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.distribution.discrete.HypergeometricDistribution;
import org.hipparchus.stat.inference.OneWayAnova;

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

    /** Two tables this nearly as likely count as equally likely in Fisher's sum. */
    private static final double AS_LIKELY = 1 + 1e-7;

    public static Comparison of(Group a, Group b) {
        return new Comparison(a.setting(), b.setting(), completion(a, b), time(a, b), spread(a, b));
    }

    /** The same where a lap or two of each are judged by a scatter that is known from elsewhere. */
    public static Comparison of(Group a, Group b, LapScatter known) {
        Effect time = LapScatter.needed(a.timeS(), b.timeS()) ? time(a, b, known) : time(a, b);
        return new Comparison(a.setting(), b.setting(), completion(a, b), time, spread(a, b));
    }

    /** Whether {@link #of(Group, Group, LapScatter)} would go by the known scatter. */
    public static boolean fewLaps(Group a, Group b) {
        return LapScatter.needed(a.timeS(), b.timeS());
    }

    private static Effect time(Group groupA, Group groupB, LapScatter known) {
        Sample a = groupA.timeS();
        Sample b = groupB.timeS();
        double sdA = known.sdS(a);
        double sdB = known.sdS(b);
        double error = Math.sqrt(sdA * sdA / a.n() + sdB * sdB / b.n());
        double size = b.mean() - a.mean();
        double half = known.distribution().inverseCumulativeProbability(1 - TAIL) * error;
        double p = 2 * known.distribution().cumulativeProbability(-Math.abs(size) / error);
        double needed = size == 0 ? Double.POSITIVE_INFINITY : RunsNeeded.forMeans(sdA, sdB, size);
        return new Effect(size, size - half, size + half, p, more(p, needed, groupA, a, groupB, b));
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
        return new Effect(
                size,
                size - Math.hypot(shareB - wilsonB[0], wilsonA[1] - shareA),
                size + Math.hypot(wilsonB[1] - shareB, shareA - wilsonA[0]),
                p,
                moreRuns(p, shareA, shareB, Math.min(first.runs(), second.runs())));
    }

    private static int moreRuns(double p, double shareA, double shareB, int have) {
        if (p < Effect.SHOWN) {
            return 0;
        }
        int needed = RunsNeeded.forChances(shareA, shareB);
        return needed < 0 ? -1 : Math.max(1, needed - have);
    }

    private static double[] wilson(Completion c) {
        double n = c.runs();
        double share = c.completed() / n;
        double middle = (share + Z * Z / (2 * n)) / (1 + Z * Z / n);
        double half = Z / (1 + Z * Z / n) * Math.sqrt(share * (1 - share) / n + Z * Z / (4 * n * n));
        return new double[] {middle - half, middle + half};
    }

    /** Two-sided: the chance of all tables no more likely than the one seen, its margins given. */
    public static double fisher(int completedA, int runsA, int completedB, int runsB) {
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

    public static Effect time(Group groupA, Group groupB) {
        Sample a = groupA.timeS();
        Sample b = groupB.timeS();
        double size = b.mean() - a.mean();
        if (a.n() < 2 || b.n() < 2) {
            return new Effect(size, Double.NaN, Double.NaN, Double.NaN, -1);
        }
        double sdA = Math.max(a.sd(), leastSd(a, b));
        double sdB = Math.max(b.sd(), leastSd(a, b));
        double varianceA = sdA * sdA / a.n();
        double varianceB = sdB * sdB / b.n();
        double variance = varianceA + varianceB;
        if (!(variance > 0)) {
            return new Effect(size, Double.NaN, Double.NaN, Double.NaN, -1);
        }
        double freedom =
                variance * variance / (varianceA * varianceA / (a.n() - 1) + varianceB * varianceB / (b.n() - 1));
        TDistribution student = new TDistribution(freedom);
        double half = student.inverseCumulativeProbability(1 - TAIL) * Math.sqrt(variance);
        double p = 2 * student.cumulativeProbability(-Math.abs(size) / Math.sqrt(variance));
        double needed = RunsNeeded.forMeans(sdA, sdB, size);
        return new Effect(size, size - half, size + half, p, more(p, needed, groupA, a, groupB, b));
    }

    /**
     * A stopwatch that reads the same each time has a resolution, not a spread of 0: the step of all its readings, over the root of 12. Where they
     * are spread already, rounding is in that.
     */
    private static double leastSd(Sample a, Sample b) {
        if (a.sd() > 0 && b.sd() > 0) {
            return 0;
        }
        return RoundedMean.displayStep(DoubleStream.concat(Arrays.stream(a.values()), Arrays.stream(b.values()))
                        .toArray())
                / Math.sqrt(12);
    }

    public static Effect spread(Group groupA, Group groupB) {
        Sample a = groupA.alongMm();
        Sample b = groupB.alongMm();
        if (a.n() < 3 || b.n() < 3 || a.sd() == 0 && b.sd() == 0) {
            return new Effect(Double.NaN, Double.NaN, Double.NaN, Double.NaN, -1);
        }
        double p = new OneWayAnova().anovaPValue(List.of(a.distancesFromMedian(), b.distancesFromMedian()));
        Sample awayA = new Sample(a.distancesFromMedian());
        Sample awayB = new Sample(b.distancesFromMedian());
        double needed = RunsNeeded.forMeans(awayA.sd(), awayB.sd(), awayB.mean() - awayA.mean());
        int more = more(p, needed, groupA, a, groupB, b);
        double ratio = meanDistance(b) / meanDistance(a);
        if (a.sd() == 0 || b.sd() == 0) { // all at one place: the ratio has no interval, the test answers
            return new Effect(ratio, Double.NaN, Double.NaN, p, more);
        }
        double logRatio = Math.log(ratio);
        double half = Z * Math.sqrt(logVariance(a) + logVariance(b));
        return new Effect(ratio, Math.exp(logRatio - half), Math.exp(logRatio + half), p, more);
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

    /** Lost runs counted in: a group that loses one in four needs four runs for three values. */
    private static int more(double p, double values, Group groupA, Sample a, Group groupB, Sample b) {
        if (p < Effect.SHOWN) {
            return 0;
        }
        if (!Double.isFinite(values)) {
            return -1;
        }
        double moreA = values * groupA.completion().runs() / a.n()
                - groupA.completion().runs();
        double moreB = values * groupB.completion().runs() / b.n()
                - groupB.completion().runs();
        return (int) Math.max(1, Math.min(RunsNeeded.MOST, Math.ceil(Math.max(moreA, moreB))));
    }
}
