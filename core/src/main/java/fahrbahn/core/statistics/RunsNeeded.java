package fahrbahn.core.statistics;

import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.distribution.continuous.TDistribution;

/** How many runs of each of two groups would show the difference that is seen, in four experiments of five. */
public final class RunsNeeded {
    /** Power as usual when runs are planned. */
    private static final double POWER = 0.8;

    private static final double TAIL = 0.025;
    private static final double Z = new NormalDistribution().inverseCumulativeProbability(1 - TAIL);
    private static final double POWER_Z = new NormalDistribution().inverseCumulativeProbability(POWER);

    /** More than anybody drives. */
    public static final int MOST = 100_000;

    /** Up to so many runs each every table is looked at; from there on the corrected formula is as good. */
    private static final int MOST_EXACT = 200;

    /** The power of an exact test goes up in teeth; below this share of the formula's number it never reaches what is asked. */
    private static final double TEETH = 0.8;

    private static final int FEW = 40;

    /** Two tables this nearly as likely count as equally likely in Fisher's sum. */
    private static final double AS_LIKELY = 1 + 1e-7;

    private RunsNeeded() {}

    /**
     * The least number of runs each at which Fisher's exact test tells two chances, by the sum over both binomials.
     *
     * @return at most {@link #MOST}; -1 when the chances are the same
     */
    public static int forChances(double a, double b) {
        if (a == b) {
            return -1;
        }
        double about = formula(a, b);
        if (about > MOST_EXACT) {
            return (int) Math.min(MOST, Math.ceil(about));
        }
        int n = about < FEW ? 2 : (int) (TEETH * about);
        double[] logFactorials = new double[2 * MOST_EXACT + 1];
        for (int i = 2; i < logFactorials.length; i++) {
            logFactorials[i] = logFactorials[i - 1] + Math.log(i);
        }
        while (n < MOST_EXACT && power(n, a, b, logFactorials) < POWER) {
            n++;
        }
        return n;
    }

    /** With the correction of Casagrande, Pike and Smith (Biometrics 34, 1978, p. 483) for the exact test. */
    private static double formula(double a, double b) {
        double away = Math.abs(a - b);
        double middle = (a + b) / 2;
        double both = Z * Math.sqrt(2 * middle * (1 - middle)) + POWER_Z * Math.sqrt(a * (1 - a) + b * (1 - b));
        double plain = both * both / (away * away);
        double corrected = (1 + Math.sqrt(1 + 4 / (plain * away))) / 2;
        return plain * corrected * corrected;
    }

    /** Chance that the test tells, with n runs each. */
    private static double power(int n, double a, double b, double[] logFactorials) {
        double[] ofA = binomial(n, a, logFactorials);
        double[] ofB = binomial(n, b, logFactorials);
        double power = 0;
        double[] tables = new double[n + 1];
        for (int sum = 0; sum <= 2 * n; sum++) {
            int from = Math.max(0, sum - n);
            int to = Math.min(n, sum);
            double all = 0;
            for (int k = from; k <= to; k++) {
                tables[k] = Math.exp(-logFactorials[k]
                        - logFactorials[n - k]
                        - logFactorials[sum - k]
                        - logFactorials[n - sum + k]
                        + 2 * logFactorials[n]
                        - logFactorials[2 * n]
                        + logFactorials[sum]
                        + logFactorials[2 * n - sum]);
                all += tables[k];
            }
            // The tables get less likely from the middle outwards: both ends are taken in as long as they are in the
            // sum together.
            double tail = 0;
            int low = from;
            int high = to;
            while (low <= high) {
                double least = Math.min(tables[low], tables[high]) * AS_LIKELY;
                int nextLow = low;
                int nextHigh = high;
                double added = 0;
                while (nextLow <= nextHigh && tables[nextLow] <= least) {
                    added += tables[nextLow++];
                }
                while (nextHigh >= nextLow && tables[nextHigh] <= least) {
                    added += tables[nextHigh--];
                }
                if (!((tail + added) / all < Effect.SHOWN)) {
                    break;
                }
                tail += added;
                for (int k = low; k < nextLow; k++) {
                    power += ofA[k] * ofB[sum - k];
                }
                for (int k = high; k > nextHigh; k--) {
                    power += ofA[k] * ofB[sum - k];
                }
                low = nextLow;
                high = nextHigh;
            }
        }
        return power;
    }

    private static double[] binomial(int n, double chance, double[] logFactorials) {
        double[] all = new double[n + 1];
        for (int k = 0; k <= n; k++) {
            double log = logFactorials[n] - logFactorials[k] - logFactorials[n - k];
            double ofHits = k == 0 ? 0 : k * Math.log(chance);
            double ofMisses = k == n ? 0 : (n - k) * Math.log1p(-chance);
            all[k] = Math.exp(log + ofHits + ofMisses);
        }
        return all;
    }

    /**
     * How many values each a test of Student's kind needs to tell two means: the normal formula with quantiles of t in their place.
     *
     * @param sdA of the values of one group
     * @param apart difference of the means
     * @return at least 2; infinite when the means are the same
     */
    public static double forMeans(double sdA, double sdB, double apart) {
        double variance = (sdA * sdA + sdB * sdB) / (apart * apart);
        double n = Math.max(2, variance * Math.pow(Z + POWER_Z, 2));
        if (!(n < MOST)) {
            return n;
        }
        for (int i = 0; i < 10; i++) {
            TDistribution t = new TDistribution(freedom(sdA, sdB, Math.max(2, n)));
            double next = variance
                    * Math.pow(t.inverseCumulativeProbability(1 - TAIL) + t.inverseCumulativeProbability(POWER), 2);
            n = Math.max(2, (n + next) / 2); // halfway, or with few values it would swing for ever
        }
        return n;
    }

    /** Welch's, with n values each. */
    private static double freedom(double sdA, double sdB, double n) {
        double a = sdA * sdA;
        double b = sdB * sdB;
        return Math.max(1, (a + b) * (a + b) * (n - 1) / (a * a + b * b));
    }
}
