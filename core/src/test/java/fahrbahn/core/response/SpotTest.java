package fahrbahn.core.response;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SpotTest {
    /** Abramowitz and Stegun, Handbook of Mathematical Functions (1964), tables 26.1 and 26.2: to the digits that stand there. */
    @ParameterizedTest
    @CsvSource({
        "0, 0.5, 1e-16",
        "1, 0.158655253931457, 1e-15",
        "2, 0.022750131948179, 1e-15",
        "5, 2.866515719e-7, 5e-16",
        "10, 7.619853024e-24, 5e-33",
    })
    void upperTailIsThatOfTheTables(double z, double expected, double digits) {
        assertThat(Spot.upperTail(z)).isCloseTo(expected, within(digits));
        assertThat(Spot.upperTail(-z)).isCloseTo(1 - expected, within(Math.max(digits, 1e-15)));
    }

    @Test
    void upperTailIsThatOfAnotherLibrary() {
        NormalDistribution normal = new NormalDistribution();
        SplittableRandom random = new SplittableRandom(7);
        for (int i = 0; i < 1000; i++) {
            double z = random.nextDouble(-8, 8);
            double expected = normal.cumulativeProbability(-z);
            // The other sums a series until it changes by less than 1e-15 of it.
            assertThat(Spot.upperTail(z)).isCloseTo(expected, within(1e-13 * expected));
        }
    }

    /** Q(10) - Q(14), of which the second changes no digit. */
    @Test
    void coverageKeepsItsDigitsFarFromTheLine() {
        assertThat(Spot.coverage(60, 20, 5)).isCloseTo(7.619853024e-24, within(5e-33));
        assertThat(Spot.coverage(-60, 20, 5)).isEqualTo(Spot.coverage(60, 20, 5));
    }

    @Test
    void aWideLineFillsTheSpotAndItsEdgeHalfOfIt() {
        assertThat(Spot.coverage(0, 200, 5)).isCloseTo(1, within(1e-15));
        assertThat(Spot.coverage(100, 200, 5)).isCloseTo(0.5, within(1e-15));
    }
}
