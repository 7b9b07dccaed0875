package fahrbahn.core.runlog;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/** Where a robot steers alike for a while: on a straight, or all through a bend. */
final class LogSteadiness {
    /** The mean of the turn command is taken over so long, and stands still when it moves by less than a share of the command's own reach. */
    private static final double MEAN_S = 0.25;

    private static final double MOVES_SHARE = 0.3;

    /** What stands still for less is the middle of a bend that comes and goes. */
    private static final double LEAST_S = 1.2;

    /** More of it would tell little more and take its time. */
    private static final double MOST_S = 20;

    /** Bends of a larger radius than 800 mm are straight: at 60 mm ahead the line is then at an angle of 4 degrees. */
    private static final double MOST_BEND = 1.0 / 800;

    private LogSteadiness() {}

    /** Where the line keeps its curvature: the mean of the turn command stands still. */
    static boolean[] steady(double[] tS, double[] turn) {
        double[] mean = new double[turn.length];
        int low = 0;
        int high = 0;
        double sum = 0;
        for (int i = 0; i < turn.length; i++) {
            while (high < turn.length && tS[high] <= tS[i] + MEAN_S / 2) {
                sum += turn[high++];
            }
            while (tS[low] < tS[i] - MEAN_S / 2) {
                sum -= turn[low++];
            }
            mean[i] = sum / (high - low);
        }
        double[] apart = new double[turn.length];
        Arrays.setAll(apart, i -> Math.abs(turn[i] - mean[i]));
        double[] sorted = apart.clone();
        Arrays.sort(sorted);
        double least = Math.max(MOVES_SHARE * sorted[(int) (0.98 * (sorted.length - 1))], sorted[sorted.length / 2]);
        boolean[] steady = new boolean[turn.length];
        low = 0;
        high = 0;
        for (int i = 0; i < turn.length; i++) {
            while (high < turn.length - 1 && tS[high] < tS[i] + MEAN_S) {
                high++;
            }
            while (tS[low] < tS[i] - MEAN_S) {
                low++;
            }
            double most = Double.NEGATIVE_INFINITY;
            double smallest = Double.POSITIVE_INFINITY;
            for (int k = low; k <= high; k++) {
                most = Math.max(most, mean[k]);
                smallest = Math.min(smallest, mean[k]);
            }
            steady[i] = most - smallest < least;
        }
        return longOnes(tS, steady);
    }

    /**
     * The steady stretches that are straight, or nearly: in a bend a sensor ahead of its axle sees its line at an angle, which the loop's model
     * leaves out.
     *
     * @param bendPerCommand curvature for each unit of the turn command, 1/mm
     */
    static boolean[] straights(boolean[] steady, double[] turn, double bendPerCommand) {
        List<Stretch> all = Stretch.of(steady, turn);
        double least = all.stream()
                .map(Stretch::mean)
                .min(Comparator.comparingDouble(Math::abs))
                .orElse(0.0);
        boolean[] straight = new boolean[steady.length];
        for (Stretch one : all) {
            if (Math.abs(one.mean() - least) * bendPerCommand < MOST_BEND) {
                Arrays.fill(straight, one.from(), one.to(), true);
            }
        }
        return straight;
    }

    /** @param to behind its last tick @param mean of the command over it */
    private record Stretch(int from, int to, double mean) {
        static List<Stretch> of(boolean[] steady, double[] command) {
            List<Stretch> all = new ArrayList<>();
            int from = 0;
            while (from < steady.length) {
                int to = from;
                double sum = 0;
                while (to < steady.length && steady[to] == steady[from]) {
                    sum += command[to++];
                }
                if (steady[from]) {
                    all.add(new Stretch(from, to, sum / (to - from)));
                }
                from = to;
            }
            return all;
        }
    }

    private static boolean[] longOnes(double[] tS, boolean[] steady) {
        boolean[] kept = new boolean[steady.length];
        double left = MOST_S;
        int from = 0;
        while (from < steady.length) {
            int to = from;
            while (to < steady.length && steady[to] == steady[from]) {
                to++;
            }
            double lastsS = tS[to - 1] - tS[from];
            if (steady[from] && lastsS >= LEAST_S && left > 0) {
                int until = to;
                while (tS[until - 1] - tS[from] > left) {
                    until--;
                }
                Arrays.fill(kept, from, until, true);
                left -= lastsS;
            }
            from = to;
        }
        return kept;
    }

    /**
     * The mean steering of the steady stretch that steers least, which is a straight: a robot with wheels alike steers nothing there. 0 where
     * nothing is steady.
     */
    static double straight(RunLog log, double[] steering) {
        double[] tS = new double[log.size()];
        Arrays.setAll(tS, log::tS);
        return Stretch.of(steady(tS, steering), steering).stream()
                .map(Stretch::mean)
                .min(Comparator.comparingDouble(Math::abs))
                .orElse(0.0);
    }
}
