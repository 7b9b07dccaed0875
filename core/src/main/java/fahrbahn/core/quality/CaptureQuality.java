package fahrbahn.core.quality;

import fahrbahn.core.readings.SurfaceStats;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What is odd about one sensor's readings of one surface. */
public final class CaptureQuality {
    /** Readings from which a standard deviation is known to 8 %: 1/sqrt(2n). */
    public static final int ENOUGH = 80;

    /** Below so many it is off by an eighth or more, and an outlier can hardly be told. */
    private static final int FEW = 30;

    /** Outliers in a row, with at most this many good readings between two, are one burst. */
    private static final int BURST_GAP = 2;

    private static final int BURST_LEAST = 3;

    /** An interval that is missed once in 500 sound captures: false alarms cost trust. */
    private static final double SURE = 0.998;

    /** Shorter captures cannot tell a lamp that warms up from a hand that settles. */
    private static final double DRIFT_LEAST_S = 5;

    private static final double TEN_MINUTES_S = 600;
    private static final double DRIFT_SHARE = 0.1;

    /** Ends of the ranges that sensors have: share, percent, 8, 10, 12 and 16 bit. */
    private static final double[] TOPS = {1, 100, 255, 1023, 4095, 65535};

    private static final double PILED_SHARE = 0.1;

    private CaptureQuality() {}

    /**
     * @param sensor its name
     * @param timesS from the first reading; used when {@code timed}
     * @param values finite, at least two
     * @param stats of these values
     * @param step smallest change the sensor can report
     * @param contrast from dark to light as far as known; 0 when not
     * @param everLeast least value the sensor ever showed, on any surface
     * @param everMost largest value it ever showed
     */
    public static List<Finding> of(
            String sensor,
            double[] timesS,
            boolean timed,
            double[] values,
            SurfaceStats stats,
            double step,
            double contrast,
            double everLeast,
            double everMost) {
        List<Finding> found = new ArrayList<>();
        addFew(found, sensor, timesS, timed, values.length);
        addSaturation(found, sensor, values, everLeast, everMost);
        Optional<Finding.Moved> moved = Steadiness.moved(sensor, values, step, contrast);
        if (moved.isPresent()) {
            found.add(moved.get()); // of two places there are no outliers and no drift
            return List.copyOf(found);
        }
        addOutliers(found, sensor, timesS, values, stats);
        if (Arrays.stream(values).allMatch(v -> v == values[0])) {
            found.add(new Finding.Unmoved(sensor, values[0]));
        } else if (timed && values.length >= FEW && contrast > 0) {
            addDrift(found, sensor, timesS, values, stats, step, contrast);
        }
        return List.copyOf(found);
    }

    private static void addFew(List<Finding> found, String sensor, double[] timesS, boolean timed, int n) {
        if (n < FEW) {
            double span = timesS[n - 1];
            double moreS = timed && span > 0 ? (ENOUGH - n) * span / (n - 1) : Double.NaN;
            found.add(new Finding.TooFew(sensor, n, ENOUGH, moreS));
        }
    }

    private static void addSaturation(
            List<Finding> found, String sensor, double[] values, double everLeast, double everMost) {
        for (double end : new double[] {everLeast, everMost}) {
            boolean known = end == everMost ? Arrays.stream(TOPS).anyMatch(top -> top == end) : end == 0;
            double share = Arrays.stream(values).filter(v -> v == end).count() / (double) values.length;
            if (known && everLeast < everMost && share > PILED_SHARE) {
                found.add(new Finding.Saturated(sensor, end, share));
            }
        }
    }

    private static void addOutliers(
            List<Finding> found, String sensor, double[] timesS, double[] values, SurfaceStats stats) {
        List<Integer> out = stats.leftOut();
        List<Integer> single = new ArrayList<>();
        for (int from = 0; from < out.size(); ) {
            int to = from;
            while (to + 1 < out.size() && out.get(to + 1) - out.get(to) <= BURST_GAP + 1) {
                to++;
            }
            List<Integer> run = out.subList(from, to + 1);
            if (run.size() >= BURST_LEAST) {
                double size = run.stream()
                        .mapToDouble(i -> Math.abs(values[i] - stats.median()))
                        .average()
                        .orElseThrow();
                found.add(new Finding.Burst(
                        sensor, run.size(), timesS[run.get(0)], timesS[run.get(run.size() - 1)], size));
            } else {
                single.addAll(run);
            }
            from = to + 1;
        }
        if (!single.isEmpty()) {
            found.add(new Finding.Outliers(
                    sensor,
                    single.size(),
                    values.length,
                    timesS[single.get(0)],
                    timesS[single.get(single.size() - 1)]));
        }
    }

    private static void addDrift(
            List<Finding> found,
            String sensor,
            double[] timesS,
            double[] values,
            SurfaceStats stats,
            double step,
            double contrast) {
        if (timesS[timesS.length - 1] < DRIFT_LEAST_S
                || values.length - stats.leftOut().size() < FEW) {
            return;
        }
        DriftFit fit = DriftFit.of(timesS, values, stats.leftOut(), step, SURE);
        double sureS = Math.max(0, Math.max(fit.lowPerS(), -fit.highPerS()));
        if (sureS * TEN_MINUTES_S > DRIFT_SHARE * contrast) {
            // No capture can know of more than the whole way from dark to light.
            found.add(new Finding.Drift(
                    sensor,
                    fit.perS() * TEN_MINUTES_S,
                    fit.lowPerS() * TEN_MINUTES_S,
                    fit.highPerS() * TEN_MINUTES_S,
                    Math.min(1, Math.abs(fit.perS()) * TEN_MINUTES_S / contrast)));
        }
    }
}
