package fahrbahn.core.review;

import fahrbahn.core.twin.Ensemble;
import fahrbahn.core.twin.Start;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.hipparchus.stat.inference.OneWayAnova;

/**
 * What made the lost ones of many runs lost, ranked. Conditions are drawn independently, so each explains its own share of whether a run is
 * lost: the variance of the chance to be lost over the condition, over the variance of being lost (the first-order index of I. M. Sobol',
 * Mathematics and Computers in Simulation 55 (2001), 271). Estimated by runs sorted into classes of that condition, with what chance alone
 * gives taken off (epsilon squared: T. L. Kelley, Proc. Nat. Acad. Sci. 21 (1935), 554). What is missing to 1 are noise and conditions that
 * meet.
 *
 * @param told those that chance alone would hardly explain, the largest share first
 * @param lost how many runs were lost
 */
public record LossFactors(List<Factor> told, int lost, int runs) {
    /** A condition. */
    public enum Condition {
        BATTERY(s -> s.variation().batteryShare()),
        LAG(s -> s.variation().lagShare()),
        GRIP(s -> s.variation().slipShare()),
        UNEVEN_WHEELS(s -> s.variation().mismatchShare()),
        LIGHT(s -> s.variation().lightShare()),
        HEIGHT(s -> s.variation().heightShare()),
        START_PLACE(Start::offsetMm),
        START_ANGLE(Start::headingRad);

        private final ToDoubleFunction<Start> value;

        Condition(ToDoubleFunction<Start> value) {
            this.value = value;
        }
    }

    /**
     * @param share of whether a run is lost, 0 to 1
     * @param lostMean its mean in the lost runs, as shares, mm or rad
     * @param otherMean its mean in the others
     * @param side 1 when high values are lost, -1 when low ones are, 0 when values far off to either side are
     */
    public record Factor(Condition condition, double share, double lostMean, double otherMean, int side) {}

    private static final int MOST_CLASSES = 20;
    private static final int LEAST_IN_CLASS = 25;

    /** One false name in fifty lists, whatever the number of conditions. */
    private static final double CHANCE = 0.02 / Condition.values().length;

    /** Between the means, in standard errors, from where a side is told. */
    private static final double SIDE_ERRORS = 3;

    public LossFactors {
        told = List.copyOf(told);
    }

    public static LossFactors of(Ensemble runs) {
        boolean[] lost = new boolean[runs.results().size()];
        for (int i = 0; i < lost.length; i++) {
            lost[i] = !runs.results().get(i).completed();
        }
        return of(runs.starts(), lost);
    }

    static LossFactors of(List<Start> starts, boolean[] lost) {
        int count = 0;
        for (boolean one : lost) {
            count += one ? 1 : 0;
        }
        List<Factor> told = new ArrayList<>();
        int classes = Math.min(MOST_CLASSES, lost.length / LEAST_IN_CLASS);
        if (count > 1 && count < lost.length - 1 && classes > 1) {
            for (Condition condition : Condition.values()) {
                double[] values = starts.stream().mapToDouble(condition.value).toArray();
                if (Arrays.stream(values).distinct().limit(2).count() > 1) {
                    List<double[]> groups = groups(values, lost, classes);
                    if (chance(groups) < CHANCE) {
                        told.add(factor(condition, values, lost, share(groups)));
                    }
                }
            }
        }
        told.sort(Comparator.comparingDouble(Factor::share).reversed());
        return new LossFactors(told, count, lost.length);
    }

    /** Lost or not, 1 or 0, in classes of the value with as many runs in each. */
    private static List<double[]> groups(double[] values, boolean[] lost, int classes) {
        Integer[] order = new Integer[values.length];
        Arrays.setAll(order, i -> i);
        Arrays.sort(order, Comparator.comparingDouble(i -> values[i]));
        List<double[]> groups = new ArrayList<>();
        for (int k = 0; k < classes; k++) {
            int from = (int) ((long) k * values.length / classes);
            int to = (int) ((long) (k + 1) * values.length / classes);
            double[] group = new double[to - from];
            for (int i = from; i < to; i++) {
                group[i - from] = lost[order[i]] ? 1 : 0;
            }
            groups.add(group);
        }
        return groups;
    }

    private static double chance(List<double[]> groups) {
        double within = groups.stream().mapToDouble(LossFactors::squares).sum();
        return within == 0 ? 0 : new OneWayAnova().anovaPValue(groups);
    }

    private static double share(List<double[]> groups) {
        double within = groups.stream().mapToDouble(LossFactors::squares).sum();
        double[] all = groups.stream().flatMapToDouble(Arrays::stream).toArray();
        double whole = squares(all);
        double byChance = (groups.size() - 1) * within / (all.length - groups.size());
        return Math.max(0, (whole - within - byChance) / whole);
    }

    private static double squares(double[] values) {
        double mean = Arrays.stream(values).average().orElse(0);
        return Arrays.stream(values).map(v -> (v - mean) * (v - mean)).sum();
    }

    private static Factor factor(Condition condition, double[] values, boolean[] lost, double share) {
        double[] in = pick(values, lost, true);
        double[] out = pick(values, lost, false);
        double inMean = Arrays.stream(in).average().orElseThrow();
        double outMean = Arrays.stream(out).average().orElseThrow();
        double error = Math.sqrt(squares(in) / in.length / Math.max(1, in.length - 1)
                + squares(out) / out.length / Math.max(1, out.length - 1));
        double apart = inMean - outMean;
        int side = Math.abs(apart) > SIDE_ERRORS * error ? (apart > 0 ? 1 : -1) : 0;
        return new Factor(condition, share, inMean, outMean, side);
    }

    private static double[] pick(double[] values, boolean[] lost, boolean wanted) {
        List<Double> picked = new ArrayList<>();
        for (int i = 0; i < values.length; i++) {
            if (lost[i] == wanted) {
                picked.add(values[i]);
            }
        }
        return picked.stream().mapToDouble(Double::doubleValue).toArray();
    }
}
