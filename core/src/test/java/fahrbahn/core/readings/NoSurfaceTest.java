package fahrbahn.core.readings;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NoSurfaceTest {
    private static int none(double[] readings, boolean moving) {
        int count = 0;
        for (boolean each : NoSurface.in(readings, moving)) {
            count += each ? 1 : 0;
        }
        return count;
    }

    private static double[] noisy(double mean, double sd, double step, int n, long seed) {
        Random random = new Random(seed);
        return DoubleStream.generate(() -> Math.rint((mean + sd * random.nextGaussian()) / step) * step)
                .limit(n)
                .toArray();
    }

    private static double[] joined(double[]... parts) {
        return Arrays.stream(parts).flatMapToDouble(Arrays::stream).toArray();
    }

    private static double[] times(double value, int n) {
        double[] all = new double[n];
        Arrays.fill(all, value);
        return all;
    }

    /** Among readings of every range: 8 and 10 bit, percent, and shares of one. */
    @ParameterizedTest
    @CsvSource({"140, 2, 1", "612, 3, 1", "62, 0.6, 1", "0.55, 0.01, 0.001"})
    void aCodeAmongReadingsIsNoReading(double mean, double sd, double step) {
        double[] readings = joined(noisy(mean, sd, step, 40, 1), times(-1, 3), noisy(mean, sd, step, 40, 2));
        assertThat(none(readings, false)).isEqualTo(3);
        assertThat(none(readings, true)).isEqualTo(3);
    }

    @Test
    void nothingButTheCodeIsNothing() {
        assertThat(none(times(-1, 20), false)).isEqualTo(20);
    }

    /** A calibrated sensor on dark says 0, and -1 and 1 as well: noise is no code. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void noiseAboutNothingIsNoCode(long seed) {
        assertThat(none(noisy(0.2, 0.5, 1, 80, seed), false)).isZero();
        assertThat(none(noisy(0, 2, 1, 80, seed), false)).isZero();
    }

    @Test
    void aSensorThatStaysAtTheEndOfItsRangeAwayFromItsSurfaceSawNone() {
        double[] lifted = joined(noisy(240, 2, 1, 60, 3), times(0, 12));
        assertThat(none(lifted, false)).isEqualTo(12);
        double[] sweep = joined(noisy(240, 2, 1, 60, 4), noisy(700, 3, 1, 60, 5), times(1023, 20));
        assertThat(none(sweep, true)).isEqualTo(20);
    }

    /** Dark that is clipped to nothing is a surface: without it the sweep would have one alone. */
    @Test
    void aSurfaceAtTheEndOfTheRangeIsOne() {
        double[] edge = DoubleStream.iterate(1, x -> x + 3).limit(33).toArray();
        double[] clipped = joined(noisy(98, 1, 1, 60, 6), edge, times(0, 40));
        assertThat(none(clipped, true)).isZero();
        double[] noEdge = joined(noisy(98, 1, 1, 60, 7), times(0, 40));
        assertThat(none(noEdge, true)).isZero();
        assertThat(none(times(0, 80), false)).as("dark is nothing all along").isZero();
        assertThat(none(joined(noisy(3, 1, 1, 40, 8), times(0, 4)), false)).isZero();
    }

    @Test
    void captureLeavesThemOutOfEveryMeanAndKeepsWhatWasReported() {
        List<Reading> readings = new ArrayList<>();
        double[] values = joined(times(612, 10), times(-1, 5), times(614, 10));
        for (int i = 0; i < values.length; i++) {
            readings.add(new Reading(0.01 * i, "light", i, new double[] {values[i]}));
        }
        Capture capture = new Capture("c", Capture.LIGHT, Instant.EPOCH, "test", List.of("left"), readings);
        assertThat(capture.values("left")).hasSize(20).doesNotContain(-1);
        assertThat(capture.timesS(0)).hasSize(20).doesNotContain(0.12);
        assertThat(capture.positionsMm(0)).hasSize(20).doesNotContain(12);
        assertThat(capture.noSurface(0)).hasValue(-1);
        assertThat(capture.reported(0)).containsExactly(values);
        assertThat(SurfaceStats.of(capture.values(0), 1).mean()).isEqualTo(613);
    }
}
