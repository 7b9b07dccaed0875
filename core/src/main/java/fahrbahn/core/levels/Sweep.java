package fahrbahn.core.levels;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.check.Text;
import java.util.Arrays;

/**
 * Dark and light from a sweep: one sensor moved over everything, nobody telling what lies under it. Readings are split in two where
 * the variance between the parts is largest (Otsu, IEEE Trans. SMC 9 (1979), 62-66); in each part the shortest interval that holds
 * half of its readings is the surface (the shorth; Rousseeuw, J. Am. Stat. Assoc. 79 (1984), 871-880). Up to half of each part may
 * be edges, creases or glare without moving it.
 *
 * @param low the surface that reads low
 * @param high the one that reads high
 * @param least smallest reading; one crease decides it
 * @param most largest reading
 */
public record Sweep(Surface low, Surface high, double least, double most) {
    /** Half-width of the middle half of a normal distribution, in standard deviations, twice. */
    private static final double SHORTH_TO_SD = 2 * 0.6744897501960817;

    public static final int LEAST_READINGS = 30;

    /** Readings this many scatters about the shorth count for its mean; further out the edges of a narrow line would pull it. */
    private static final double NEAR = 1;

    /** Surfaces nearer than this many of their scatters are not two. */
    private static final double APART = 4;

    /** @param mean of the readings about the shortest half of the part @param sd the scatter of the part that this half tells @param n readings in the part */
    public record Surface(double mean, double sd, int n) {}

    /** @throws BadValueException when there are too few readings, or only one surface among them */
    public static Sweep of(double[] readings) {
        Check.require(readings.length >= LEAST_READINGS, "readings", readings.length, "at least " + LEAST_READINGS);
        double[] sorted = readings.clone();
        for (double reading : sorted) {
            Check.finite("reading", reading);
        }
        Arrays.sort(sorted);
        int split = otsu(sorted);
        Surface low = shorth(sorted, 0, split);
        Surface high = shorth(sorted, split, sorted.length);
        if (!(high.mean() - low.mean() > APART * Math.max(low.sd(), high.sd()))) {
            throw new BadValueException(
                    "sweep",
                    Text.of(
                            "%.4g and %.4g with scatters of %.3g and %.3g",
                            low.mean(), high.mean(), low.sd(), high.sd()),
                    "over dark and light, long enough on each");
        }
        return new Sweep(low, high, sorted[0], sorted[sorted.length - 1]);
    }

    public double midpoint() {
        return (low.mean() + high.mean()) / 2;
    }

    /** Halfway between the extremes, as the plainest calibration programs have it. */
    public double bareMidpoint() {
        return (least + most) / 2;
    }

    /** First place of the upper part. */
    private static int otsu(double[] sorted) {
        double total = Arrays.stream(sorted).sum();
        double below = 0;
        double best = -1;
        int split = 1;
        for (int i = 1; i < sorted.length; i++) {
            below += sorted[i - 1];
            double meanBelow = below / i;
            double meanAbove = (total - below) / (sorted.length - i);
            double between = (double) i * (sorted.length - i) * (meanAbove - meanBelow) * (meanAbove - meanBelow);
            if (between > best && sorted[i] > sorted[i - 1]) {
                best = between;
                split = i;
            }
        }
        return split;
    }

    private static Surface shorth(double[] sorted, int from, int to) {
        int n = to - from;
        int half = n / 2 + 1;
        int start = from;
        double shortest = Double.POSITIVE_INFINITY;
        for (int i = from; i + half <= to; i++) {
            double length = sorted[i + half - 1] - sorted[i];
            if (length < shortest) {
                shortest = length;
                start = i;
            }
        }
        double middle = (sorted[start] + sorted[start + half - 1]) / 2;
        double sd = shortest / SHORTH_TO_SD;
        // The shorth knows its place to n^(-1/3) only; the mean of what lies near it is surer.
        double mean = Arrays.stream(sorted, from, to)
                .filter(v -> Math.abs(v - middle) <= NEAR * sd)
                .average()
                .orElse(middle);
        return new Surface(mean, sd, n);
    }
}
