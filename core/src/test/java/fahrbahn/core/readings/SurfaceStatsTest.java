package fahrbahn.core.readings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.check.BadValueException;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SurfaceStatsTest {
    private static double[] rounded(int n, double sd, double step, Random random) {
        double level = 500 + random.nextDouble();
        double[] values = new double[n];
        for (int i = 0; i < n; i++) {
            double value = level + sd * random.nextGaussian();
            values[i] = step > 0 ? Math.rint(value / step) * step : value;
        }
        return values;
    }

    /**
     * Of normal readings one in 2,150 lies beyond 3.5 standard deviations; the MAD of a hundred readings is known to 7 %, which lets
     * some more through. Rounding must not make it ten times as many.
     */
    @ParameterizedTest
    @CsvSource({"3, 0", "3, 1", "1, 1", "0.7, 1", "0.5, 1", "0.4, 1", "2, 5"})
    void ordinaryReadingsAreSeldomLeftOutHoweverTheyAreRounded(double sd, double step) {
        Random random = new Random(11);
        int readings = 0;
        int leftOut = 0;
        for (int i = 0; i < 2000; i++) {
            SurfaceStats stats = SurfaceStats.of(rounded(100, sd, step, random), step);
            readings += stats.n();
            leftOut += stats.leftOut().size();
        }
        assertThat(leftOut / (double) readings).isLessThan(0.002);
    }

    @Test
    void aReadingFarOffIsLeftOutWithItsPlace() {
        double[] values = rounded(80, 2, 1, new Random(3));
        values[17] = 560;
        values[60] = 420;
        SurfaceStats stats = SurfaceStats.of(values, 1);
        assertThat(stats.leftOut()).containsExactly(17, 60);
        assertThat(stats.mean()).isCloseTo(500.5, within(1.0));
        assertThat(stats.sd()).as("of those kept").isBetween(1.5, 2.6);
    }

    /** The rule at its border: MAD 1 and step 1 leave out what is further than 3.5 * 1.4826 * 1.5 = 7.78. */
    @Test
    void theLimitIsThatOfTheRule() {
        double[] near = {10, 11, 9, 10, 11, 9, 11, 9, 17.7};
        double[] far = {10, 11, 9, 10, 11, 9, 11, 9, 17.9};
        assertThat(SurfaceStats.of(near, 1).leftOut()).isEmpty();
        assertThat(SurfaceStats.of(far, 1).leftOut()).containsExactly(8);
    }

    @Test
    void withoutAnyScatterHalfAStepIsLetBe() {
        double[] values = {50, 50, 50, 50, 50, 51, 50, 53};
        SurfaceStats stats = SurfaceStats.of(values, 1);
        assertThat(stats.leftOut()).as("one step is rounding, three are none").containsExactly(7);
        assertThat(SurfaceStats.of(new double[] {50, 50, 50}, 1).sd())
                .as("never below the scatter of rounding")
                .isCloseTo(1 / Math.sqrt(12), within(1e-12));
    }

    @Test
    void aStepIsFoundWithinASurfaceAndNeverAcross() {
        double[] dark = {200, 204, 208, 204};
        double[] light = {701, 705, 701};
        assertThat(SurfaceStats.smallestStep(dark, light)).isEqualTo(4);
        assertThat(SurfaceStats.smallestStep(new double[] {200, 200}, new double[] {201, 201}))
                .as("the difference of two surfaces is no step")
                .isZero();
        assertThat(SurfaceStats.smallestStep()).isZero();
    }

    @Test
    void whatIsNoReadingIsRefused() {
        assertThatThrownBy(() -> SurfaceStats.of(new double[] {1}, 1)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> SurfaceStats.of(new double[] {1, Double.NaN}, 1))
                .isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> SurfaceStats.of(new double[] {1, 2}, -1)).isInstanceOf(BadValueException.class);
    }
}
