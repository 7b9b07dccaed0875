package fahrbahn.core.quality;

import fahrbahn.core.readings.Median;
import java.util.Arrays;
import java.util.Optional;

/**
 * Whether a sensor stood on one spot all through a capture. Medians of its thirds are compared: a crease, glare or a hand in passing moves
 * none of them, a robot that was still being put down, or a stream torn in the middle, does.
 */
final class Steadiness {
    /** Of the contrast: a lamp that warms up does not move a reading so far while one looks. */
    private static final double FAR_SHARE = 0.2;

    /** Scatters of single readings: medians of thirds of twelve readings and more do not part so far by chance. */
    private static final double FAR_SDS = 6;

    private static final int LEAST_READINGS = 12;
    private static final double MAD_TO_SIGMA = 1.4826;

    private Steadiness() {}

    /**
     * @param step smallest change the sensor can report, 0 or more
     * @param contrast from dark to light; 0 when only this surface is known, then the capture's own range counts
     */
    static Optional<Finding.Moved> moved(String sensor, double[] values, double step, double contrast) {
        int n = values.length;
        if (n < LEAST_READINGS) {
            return Optional.empty();
        }
        double[] medians = new double[3];
        double[] scatters = new double[3];
        for (int i = 0; i < 3; i++) {
            double[] third = Arrays.copyOfRange(values, i * n / 3, (i + 1) * n / 3);
            double median = Median.of(third);
            medians[i] = median;
            scatters[i] = MAD_TO_SIGMA
                    * (Median.of(Arrays.stream(third)
                                    .map(v -> Math.abs(v - median))
                                    .toArray())
                            + step / 2);
        }
        int least = 0;
        int most = 0;
        for (int i = 1; i < 3; i++) {
            least = medians[i] < medians[least] ? i : least;
            most = medians[i] > medians[most] ? i : most;
        }
        double range = Arrays.stream(values).max().orElseThrow()
                - Arrays.stream(values).min().orElseThrow();
        double apart = medians[most] - medians[least];
        boolean far = apart > FAR_SDS * Median.of(scatters) && apart > FAR_SHARE * (contrast > 0 ? contrast : range);
        return far
                ? Optional.of(new Finding.Moved(sensor, medians[Math.min(least, most)], medians[Math.max(least, most)]))
                : Optional.empty();
    }
}
