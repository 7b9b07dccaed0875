package fahrbahn.core.readings;

import java.util.Arrays;

/** The middle of some numbers. */
public final class Median {
    private Median() {}

    /** @param values at least one */
    public static double of(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return ofSorted(sorted);
    }

    /** @param sorted at least one, in order */
    public static double ofSorted(double[] sorted) {
        int half = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
    }
}
