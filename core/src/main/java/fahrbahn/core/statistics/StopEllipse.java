package fahrbahn.core.statistics;

import fahrbahn.core.check.Check;
import org.hipparchus.distribution.continuous.FDistribution;

/**
 * Where the next run stops with a chance of 95 %, along and across the line at once: the prediction ellipse of a bivariate normal whose mean and
 * covariances are known from n runs only (Hotelling's T squared; Chew, J. Am. Stat. Assoc. 61, 1966, p. 605):
 *
 * <pre>(x - m)' S^-1 (x - m) = 2 (n - 1)(n + 1) / (n (n - 2)) F(0.95; 2, n - 2)</pre>
 *
 * @param meanAlongMm beyond the place it should stop at
 * @param meanAcrossMm to the left of it
 * @param longMm half of the longer axis
 * @param shortMm half of the shorter axis
 * @param turnRad of the longer axis from the line, counter-clockwise
 */
public record StopEllipse(double meanAlongMm, double meanAcrossMm, double longMm, double shortMm, double turnRad) {
    /** With fewer no ellipse is known. */
    public static final int FEWEST = 3;

    private static final double CHANCE = 0.95;

    /** @param alongMm of each run @param acrossMm in the same order; both of {@link #FEWEST} or more */
    public static StopEllipse of(Sample alongMm, Sample acrossMm) {
        int n = alongMm.n();
        Check.require(n >= FEWEST, "runs", n, FEWEST + " or more");
        Check.require(n == acrossMm.n(), "runs", acrossMm.n(), "as many across as along, " + n);
        double x = alongMm.mean();
        double y = acrossMm.mean();
        double xx = alongMm.sd() * alongMm.sd();
        double yy = acrossMm.sd() * acrossMm.sd();
        double[] along = alongMm.values();
        double[] across = acrossMm.values();
        double xy = 0;
        for (int i = 0; i < n; i++) {
            xy += (along[i] - x) * (across[i] - y) / (n - 1);
        }
        double middle = (xx + yy) / 2;
        double apart = Math.hypot((xx - yy) / 2, xy);
        double scale = 2.0
                * (n - 1)
                * (n + 1)
                / (n * (n - 2.0))
                * new FDistribution(2, n - 2).inverseCumulativeProbability(CHANCE);
        return new StopEllipse(
                x,
                y,
                Math.sqrt(scale * (middle + apart)),
                Math.sqrt(scale * Math.max(0, middle - apart)),
                Math.atan2(2 * xy, xx - yy) / 2);
    }
}
