package fahrbahn.core.levels;

import java.util.Arrays;
import java.util.stream.DoubleStream;

/** How often readings fell into each of some bins of equal width. */
public final class Histogram {
    private final Bins bins;
    private final int[] counts;

    private Histogram(Bins bins, int[] counts) {
        this.bins = bins;
        this.counts = counts;
    }

    /**
     * Bins side by side.
     *
     * @param low lower edge of the first
     * @param width of each, above 0
     */
    public record Bins(double low, double width, int count) {
        private static final int USUAL = 64;

        /** Of the range of the readings, left free at each end. */
        private static final double PAD_SHARE = 0.08;

        /** Over two sets of readings and a little beyond. @param step smallest change of a reading; 0 or more */
        public static Bins over(double[] a, double[] b, double step) {
            double least = DoubleStream.concat(DoubleStream.of(a), DoubleStream.of(b))
                    .min()
                    .orElse(0);
            double most = DoubleStream.concat(DoubleStream.of(a), DoubleStream.of(b))
                    .max()
                    .orElse(1);
            double pad = Math.max(PAD_SHARE * (most - least), Math.max(step, 1e-9));
            return new Bins(least - pad, (most - least + 2 * pad) / USUAL, USUAL);
        }

        /** Over values and no further, twice the cube root of their number of them (Rice's rule). @param values one or more */
        public static Bins fitting(double[] values) {
            double least = DoubleStream.of(values).min().orElseThrow();
            double most = DoubleStream.of(values).max().orElseThrow();
            int count = (int) Math.max(1, Math.ceil(2 * Math.cbrt(values.length)));
            double span = Math.max(most - least, 1e-6);
            return new Bins(least, span / count, count);
        }

        public double high() {
            return low + count * width;
        }

        /** Lower edge of a bin. */
        public double edge(int bin) {
            return low + bin * width;
        }
    }

    /** Readings outside the bins count in the nearest. */
    public static Histogram of(double[] readings, Bins bins) {
        int[] counts = new int[bins.count()];
        for (double reading : readings) {
            counts[(int) Math.max(0, Math.min(bins.count() - 1, (reading - bins.low()) / bins.width()))]++;
        }
        return new Histogram(bins, counts);
    }

    public Bins bins() {
        return bins;
    }

    public int size() {
        return counts.length;
    }

    public int at(int bin) {
        return counts[bin];
    }

    public int tallest() {
        return Arrays.stream(counts).max().orElse(0);
    }
}
