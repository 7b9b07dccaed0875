package fahrbahn.core.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What counted misreads prove. */
class MisreadsTest {
    /** None in 80: 0.05 = (1 - p)^80. */
    @Test
    void noneInEightyIsFewerThanOneInTwentySeven() {
        Misreads none = Misreads.of(0, 80);
        assertThat(none.low()).isZero();
        assertThat(none.high()).isCloseTo(1 - Math.pow(0.05, 1 / 80.0), within(1e-9));
        assertThat(Math.floor(1 / none.high())).isEqualTo(27);
    }

    @Test
    void allAndNothingAreEnds() {
        assertThat(Misreads.of(7, 7).high()).isEqualTo(1);
        assertThat(Misreads.of(0, 0)).isEqualTo(new Misreads(0, 0, 0, 1));
    }

    @Test
    void everyReadingCountsOnItsSideAndOutliersToo() {
        double[] dark = {10, 11, 12, 90};
        double[] light = {80, 81, 79, 82};
        assertThat(Misreads.count(dark, light, 50, true).seen()).isEqualTo(1);
        assertThat(Misreads.count(light, dark, 50, false).seen())
                .as("light reads low")
                .isEqualTo(1);
        SensorLevels levels = SensorLevels.of("eye", new double[] {10, 11, 12, 10, 11, 90}, light, 1);
        assertThat(levels.levels().dark().leftOut()).as("left out of the mean").containsExactly(5);
        assertThat(levels.misreads(50).seen()).as("and seen by the robot").isEqualTo(1);
    }

    /** Exact intervals cover at least as often as they say. */
    @ParameterizedTest
    @ValueSource(doubles = {0.002, 0.02, 0.1, 0.4})
    void theIntervalCovers(double chance) {
        Random random = new Random(17);
        int covered = 0;
        int sets = 2000;
        for (int set = 0; set < sets; set++) {
            int seen = 0;
            for (int i = 0; i < 80; i++) {
                seen += random.nextDouble() < chance ? 1 : 0;
            }
            Misreads m = Misreads.of(seen, 80);
            covered += m.low() <= chance && chance <= m.high() ? 1 : 0;
        }
        assertThat(covered / (double) sets).isGreaterThan(0.935); // 0.95 less three standard errors of 2000 sets
    }

    /** None in eighty is claimed as one in eighty-two, one in eight as one in five. */
    @Test
    void whatIsClaimedIsWhatTheReadingsLeaveOpenAndNeverNone() {
        assertThat(Misreads.of(0, 80).chance()).isEqualTo(1 / 82.0);
        assertThat(Misreads.of(1, 8).chance()).isEqualTo(0.2);
        assertThat(Misreads.leastClaim(80)).isEqualTo(1 / 800.0);
    }
}
