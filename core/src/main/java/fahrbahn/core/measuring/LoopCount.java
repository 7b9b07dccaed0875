package fahrbahn.core.measuring;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import java.util.List;

/** Loops of the program counted over some seconds: the loop time. */
public final class LoopCount {
    /**
     * Start and end fall anywhere within a loop, so a count is off by up to one: triangular, of standard deviation 0.408, and inside 0.776
     * in 95 % of counts. No normal error gives both; this one keeps the intervals of one count and of the mean of several between 93 and
     * 97 % (CardCoverageTest).
     */
    private static final double COUNT_ERROR = 0.37;

    private LoopCount() {}

    /** @param loops counted, at least 1 @param overS the time they took by the robot's own clock, above 0 */
    public record Count(double loops, double overS) {
        public Count {
            Check.require(loops >= 1, "loops", loops, "at least 1");
            Check.positive("overS", overS);
        }
    }

    /** Loop time, s. */
    public static Measured periodS(List<Count> counts) {
        if (counts.isEmpty()) {
            throw new BadValueException("counts", 0, "at least 1");
        }
        double[] periods = new double[counts.size()];
        double error = 0;
        for (int i = 0; i < periods.length; i++) {
            Count count = counts.get(i);
            periods[i] = count.overS() / count.loops();
            error += periods[i] * COUNT_ERROR / count.loops() / periods.length;
        }
        return Measured.mean(periods, error);
    }
}
