package fahrbahn.core.stopping;

import fahrbahn.core.check.Check;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.trials.StopPlace;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * What the scatter of logged stop places comes from, by log book and twin together. What the log shows by itself is taken out first: a first run that
 * is odd, volts or order along which places go. The rest is shared out among the causes as the twin scatters by them; what the log scatters
 * beyond the twin, and more than chance would, has a cause that the twin does not know.
 *
 * @param scatterMm standard deviation of all places along the line
 * @param sources the largest first; their shares of the variance add to 1
 */
public record LogScatter(double scatterMm, List<Source> sources) {
    /** With fewer runs no cause is told. */
    public static final int FEWEST = 5;

    private static final double ODD = 0.05;

    public LogScatter {
        sources = List.copyOf(sources);
    }

    /** How a source is known. */
    public enum Kind {
        /** By the log: the first run is not like the rest. */
        FIRST_RUN,
        /** By the log: places go with the volts. */
        VOLTS,
        /** By the log: places go with the order of the runs. */
        DRIFT,
        /** By the twin. */
        TWIN,
        /** By the log, and not by the twin. */
        UNKNOWN
    }

    /**
     * One source.
     *
     * @param cause of one that is known by the twin
     * @param share of the variance, 0 to 1
     * @param withoutMm standard deviation that is left without it
     */
    public record Source(Kind kind, Optional<Cause> cause, double share, double withoutMm) {}

    /** @param alongMm in the order of the runs @param volts of each; NaN where nobody noted them */
    public static Optional<LogScatter> of(double[] alongMm, double[] volts, StopShares twin, Rule rule) {
        Map<Cause, Double> variances = new EnumMap<>(Cause.class);
        for (Cause cause : Cause.values()) {
            variances.put(cause, twin.variance(cause, rule));
        }
        return of(alongMm, volts, variances);
    }

    /** @param twin variance by each cause alone, mm^2; empty with fewer than {@link #FEWEST} places, or when all are the same */
    static Optional<LogScatter> of(double[] alongMm, double[] volts, Map<Cause, Double> twin) {
        Check.require(volts.length == alongMm.length, "volts", volts.length, "one for each run");
        Sample all = new Sample(alongMm);
        if (all.n() < FEWEST || !(all.sd() > 0)) {
            return Optional.empty();
        }
        return Optional.of(new Sorting(all.sd() * all.sd()).sort(alongMm, volts, twin));
    }

    /** What is left of the variance while one source after the other is taken out. */
    private static final class Sorting {
        private final double allMm2;
        private final List<Source> sources = new ArrayList<>();
        private double leftMm2;
        private double freedom;

        Sorting(double allMm2) {
            this.allMm2 = allMm2;
        }

        LogScatter sort(double[] alongMm, double[] volts, Map<Cause, Double> twin) {
            leftMm2 = allMm2;
            freedom = alongMm.length - 1;
            int from = new StopPlace(new Sample(alongMm)).firstRun().p() < ODD ? 1 : 0;
            double[] rest = Arrays.copyOfRange(alongMm, from, alongMm.length);
            double[] restVolts = Arrays.copyOfRange(volts, from, volts.length);
            if (from == 1) {
                double sd = new Sample(rest).sd();
                taken(Kind.FIRST_RUN, sd * sd, rest.length - 1);
            }
            boolean byVolts = trend(rest, restVolts);
            Map<Cause, Double> causes = new EnumMap<>(twin);
            if (byVolts) {
                causes.put(Cause.BATTERY, 0.0); // it is in the volts
            }
            share(causes);
            sources.removeIf(source -> !(source.share() > 0));
            sources.sort(Comparator.comparingDouble(Source::share).reversed());
            return new LogScatter(Math.sqrt(allMm2), sources);
        }

        /** Volts and order go together; the one that tells more is taken, the other would be told twice. @return whether it was the volts */
        private boolean trend(double[] alongMm, double[] volts) {
            double[] order = new double[alongMm.length];
            Arrays.setAll(order, i -> i);
            boolean noted = Arrays.stream(volts).allMatch(Double::isFinite);
            SimpleRegression byOrder = line(order, alongMm);
            SimpleRegression byVolts = line(noted ? volts : order, alongMm);
            double p = byOrder.getSignificance();
            boolean voltsTell = noted && byVolts.getXSumSquares() > 0 && byVolts.getSignificance() <= p;
            SimpleRegression told = voltsTell ? byVolts : byOrder;
            if (told.getSignificance() < ODD) {
                taken(voltsTell ? Kind.VOLTS : Kind.DRIFT, told.getMeanSquareError(), alongMm.length - 2);
                return voltsTell;
            }
            return false;
        }

        private static SimpleRegression line(double[] x, double[] y) {
            SimpleRegression line = new SimpleRegression();
            for (int i = 0; i < x.length; i++) {
                line.addData(x[i], y[i]);
            }
            return line;
        }

        private void taken(Kind kind, double newLeftMm2, int newFreedom) {
            double its = Math.max(0, leftMm2 - newLeftMm2);
            add(kind, Optional.empty(), its);
            leftMm2 -= its;
            freedom = newFreedom;
        }

        private void add(Kind kind, Optional<Cause> cause, double mm2) {
            sources.add(new Source(kind, cause, mm2 / allMm2, Math.sqrt(Math.max(0, allMm2 - mm2))));
        }

        private void share(Map<Cause, Double> causes) {
            double sum = causes.values().stream().mapToDouble(v -> v).sum();
            boolean beyond = sum == 0
                    || freedom * leftMm2 / sum
                            > new ChiSquaredDistribution(freedom).inverseCumulativeProbability(1 - ODD);
            double scale = beyond ? 1 : leftMm2 / sum;
            causes.forEach((cause, mm2) -> add(Kind.TWIN, Optional.of(cause), mm2 * scale));
            if (beyond) {
                add(Kind.UNKNOWN, Optional.empty(), leftMm2 - sum);
            }
        }
    }
}
