package fahrbahn.core.runlog;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * A wiggle that goes on: error against time goes to and fro in even periods, and a period later it is where it was. A loop that only rings
 * from noise does so unevenly and soon forgets.
 *
 * @param periodS mean time from one crossing of the middle upwards to the next
 * @param amplitude half of peak to peak, mean over the periods; in the error's unit
 */
public record Wiggle(double periodS, double amplitude) {
    /** So many crossings upwards at least, for three whole periods. */
    private static final int LEAST_CROSSINGS = 4;

    /** Of ticks to a period at least: what is faster is noise. */
    private static final double LEAST_TICKS = 4;

    /** A crossing counts when the error was so far on the other side before, as a share of its usual reach. */
    private static final double ARMED_SHARE = 0.3;

    /** Periods this near to their median are even; so many of them have to be. */
    private static final double EVEN = 0.35;

    private static final double EVEN_SHARE = 0.7;

    /** Correlation of the error with itself a period later: 1 for a steady wiggle, 0.3 for a well damped loop that noise drives. */
    private static final double LEAST_CORRELATION = 0.6;

    /** Empty when there is none. */
    static Optional<Wiggle> of(double[] tS, double[] error, int from) {
        double[] t = Arrays.copyOfRange(tS, from, tS.length);
        double[] x = Arrays.copyOfRange(error, from, error.length);
        double mean = Arrays.stream(x).average().orElse(0);
        Arrays.setAll(x, i -> x[i] - mean);
        List<Double> crossings = new ArrayList<>();
        List<Integer> places = new ArrayList<>();
        crossings(t, x, ARMED_SHARE * usualReach(x), crossings, places);
        if (crossings.size() < LEAST_CROSSINGS) {
            return Optional.empty();
        }
        int periods = crossings.size() - 1;
        double period = (crossings.get(periods) - crossings.get(0)) / periods;
        double tickS = (t[t.length - 1] - t[0]) / (t.length - 1);
        if (period < LEAST_TICKS * tickS || !even(crossings) || correlation(x, period / tickS) < LEAST_CORRELATION) {
            return Optional.empty();
        }
        double sum = 0;
        for (int i = 0; i < periods; i++) {
            double least = Double.POSITIVE_INFINITY;
            double most = Double.NEGATIVE_INFINITY;
            for (int k = places.get(i); k < places.get(i + 1); k++) {
                least = Math.min(least, x[k]);
                most = Math.max(most, x[k]);
            }
            sum += (most - least) / 2;
        }
        return Optional.of(new Wiggle(period, sum / periods));
    }

    /** Half of what nine in ten of the values span. */
    private static double usualReach(double[] x) {
        double[] sorted = x.clone();
        Arrays.sort(sorted);
        return (sorted[(int) (0.95 * (sorted.length - 1))] - sorted[(int) (0.05 * (sorted.length - 1))]) / 2;
    }

    private static void crossings(double[] t, double[] x, double armedAt, List<Double> times, List<Integer> places) {
        boolean armed = false;
        for (int i = 1; i < x.length; i++) {
            armed |= x[i - 1] < -armedAt;
            if (armed && x[i - 1] < 0 && x[i] >= 0) {
                times.add(t[i - 1] + (t[i] - t[i - 1]) * -x[i - 1] / (x[i] - x[i - 1]));
                places.add(i);
                armed = false;
            }
        }
    }

    private static boolean even(List<Double> crossings) {
        double[] periods = new double[crossings.size() - 1];
        Arrays.setAll(periods, i -> crossings.get(i + 1) - crossings.get(i));
        double[] sorted = periods.clone();
        Arrays.sort(sorted);
        double median = sorted[sorted.length / 2];
        long even = Arrays.stream(periods)
                .filter(p -> Math.abs(p - median) <= EVEN * median)
                .count();
        return even >= EVEN_SHARE * periods.length;
    }

    /** The best of the ticks about a period later. */
    private static double correlation(double[] x, double periodTicks) {
        double best = 0;
        for (int lag = (int) Math.floor(0.9 * periodTicks); lag <= Math.ceil(1.1 * periodTicks); lag++) {
            double both = 0;
            double first = 0;
            double second = 0;
            for (int i = 0; i + lag < x.length; i++) {
                both += x[i] * x[i + lag];
                first += x[i] * x[i];
                second += x[i + lag] * x[i + lag];
            }
            best = first > 0 && second > 0 ? Math.max(best, both / Math.sqrt(first * second)) : best;
        }
        return best;
    }
}
