package fahrbahn.core.trials;

import fahrbahn.core.check.Check;
import fahrbahn.core.readings.RoundedMean;
import fahrbahn.core.statistics.Sample;
import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.RealDistribution;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * How much laps of one setting differ from each other, known from elsewhere: with it one lap of each of two settings says something too.
 *
 * @param share standard deviation over the mean lap; above 0
 * @param freedom degrees of freedom it is known with; infinite when it was typed
 */
public record LapScatter(double share, double freedom) {
    /** With fewer laps than this their own scatter says next to nothing: Student's factor is 4.3 with two degrees of freedom, 12.7 with one. */
    private static final int FEW_LAPS = 3;

    public LapScatter {
        Check.positive("share", share);
        Check.require(freedom > 0, "freedom", freedom, "above 0");
    }

    /** As a coach says it. @param sdS standard deviation, s @param lapS a usual lap, s */
    public static LapScatter typed(double sdS, double lapS) {
        Check.positive("lap scatter", sdS);
        Check.positive("lapS", lapS);
        return new LapScatter(sdS / lapS, Double.POSITIVE_INFINITY);
    }

    /**
     * Of laps that were driven: the scatter within each group, all groups together by their degrees of freedom. Empty where no group has two laps.
     *
     * @param groups of one setting each
     */
    public static Optional<LapScatter> pooled(List<Group> groups) {
        double squares = 0;
        double freedom = 0;
        for (Group group : groups) {
            Sample laps = group.timeS();
            if (laps.n() >= 2) {
                double resolution = RoundedMean.displayStep(laps.values()) / Math.sqrt(12);
                double share = Math.max(laps.sd(), resolution) / laps.mean();
                squares += (laps.n() - 1) * share * share;
                freedom += laps.n() - 1;
            }
        }
        return squares > 0 ? Optional.of(new LapScatter(Math.sqrt(squares / freedom), freedom)) : Optional.empty();
    }

    /** Whether two groups have laps, but too few for a scatter of their own. */
    static boolean needed(Sample a, Sample b) {
        return Math.min(a.n(), b.n()) >= 1 && Math.min(a.n(), b.n()) < FEW_LAPS;
    }

    /** Standard deviation of the laps of a group, s. */
    double sdS(Sample laps) {
        return share * laps.mean();
    }

    /** Of what a difference is, over its standard error. */
    RealDistribution distribution() {
        return Double.isInfinite(freedom) ? new NormalDistribution() : new TDistribution(freedom);
    }
}
