package fahrbahn.core.readings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Repeated;
import fahrbahn.core.check.BadValueException;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RoundedMeanTest extends Repeated {
    /** A sensor of percents with a scatter of 2.5, read to whole ones and to fives. */
    @ParameterizedTest
    @CsvSource({"3, 1", "5, 1", "10, 1", "3, 5", "5, 5", "10, 5"})
    void theIntervalHoldsTheMeanAsOftenAsItSays(int readings, double step) {
        Random random = new Random(readings * 100L + (long) step);
        int sessions = times(30, 300);
        int covered = 0;
        for (int session = 0; session < sessions; session++) {
            double mean = 40 + 20 * random.nextDouble();
            double[] typed = new double[readings];
            for (int i = 0; i < readings; i++) {
                typed[i] = Math.rint((mean + 2.5 * random.nextGaussian()) / step) * step;
            }
            RoundedMean found = RoundedMean.of(typed, step);
            covered += found.low() <= mean && mean <= found.high() ? 1 : 0;
        }
        // 95 +- 2 %, and two standard errors of 300 sessions: 2.5 %; of fewer, what luck may add.
        double errors = sessions < 300 ? luck(0.95, sessions) : 0.025;
        assertThat(covered / (double) sessions).isBetween(0.93 - errors, 0.97 + errors);
    }

    /** Student's t for 9.5, 10, 10.5: 10 +- 4.303 * 0.5 / sqrt(3). */
    @Test
    void withAFineStepItIsStudentsInterval() {
        RoundedMean found = RoundedMean.of(new double[] {9.5, 10, 10.5}, 1e-4);
        assertThat(found.mean()).isCloseTo(10, within(1e-12));
        assertThat(found.plusMinus()).isCloseTo(4.303 * 0.5 / Math.sqrt(3), within(0.04));
    }

    @Test
    void alikeReadingsLeaveACellOfRoundingOpen() {
        RoundedMean three = RoundedMean.of(new double[] {88, 88, 88}, 1);
        assertThat(three.mean()).isEqualTo(88);
        assertThat(three.plusMinus()).isBetween(0.4, 0.8);
        RoundedMean ten = RoundedMean.of(new double[] {88, 88, 88, 88, 88, 88, 88, 88, 88, 88}, 1);
        assertThat(ten.plusMinus()).as("ten do not tell much more").isBetween(0.35, three.plusMinus());
    }

    @Test
    void itIsTheSameMirroredAndInOtherUnits() {
        double[] typed = {12, 13, 13, 15};
        RoundedMean found = RoundedMean.of(typed, 1);
        RoundedMean mirrored = RoundedMean.of(new double[] {-12, -13, -13, -15}, 1);
        assertThat(mirrored.high()).isCloseTo(-found.low(), within(1e-9));
        RoundedMean tens = RoundedMean.of(new double[] {120, 130, 130, 150}, 10);
        assertThat(tens.low()).isCloseTo(10 * found.low(), within(1e-6));
        assertThat(found.low()).isLessThan(found.mean());
        assertThat(found.high()).isGreaterThan(found.mean());
    }

    @Test
    void whatTellsNothingIsRefused() {
        assertThatThrownBy(() -> RoundedMean.of(new double[] {88}, 1)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> RoundedMean.of(new double[] {88, 89}, 0)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> RoundedMean.of(new double[] {88, Double.NaN}, 1))
                .isInstanceOf(BadValueException.class);
    }
}
