package fahrbahn.core.statistics;

import fahrbahn.core.check.Check;
import org.hipparchus.distribution.continuous.BetaDistribution;

/**
 * Completed runs out of all, with the exact 95 % interval of the chance to complete (Clopper and Pearson, Biometrika 26, 1934,
 * p. 404), by quantiles of the beta distribution.
 *
 * @param low 0 when no run was completed or none was made
 * @param high 1 when every run was completed or none was made
 */
public record Completion(int completed, int runs, double low, double high) {
    private static final double TAIL = 0.025;

    public static Completion of(int completed, int runs) {
        Check.between("completed", completed, 0, runs);
        int missed = runs - completed;
        double low =
                completed == 0 ? 0 : new BetaDistribution(completed, missed + 1).inverseCumulativeProbability(TAIL);
        double high =
                missed == 0 ? 1 : new BetaDistribution(completed + 1, missed).inverseCumulativeProbability(1 - TAIL);
        return new Completion(completed, runs, low, high);
    }

    /** How many more completed runs, none lost, until the lower end of the interval has reached a share between 0 and 1. */
    public int moreForLow(double share) {
        Check.require(share > 0 && share < 1, "share", share, "between 0 and 1");
        int more = 0;
        while (of(completed + more, runs + more).low() < share) {
            more++;
        }
        return more;
    }
}
