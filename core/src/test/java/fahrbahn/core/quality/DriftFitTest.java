package fahrbahn.core.quality;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Repeated;
import fahrbahn.core.check.BadValueException;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DriftFitTest extends Repeated {
    private static final double NOISE = 3;
    private static final double PERIOD_S = 0.02;
    private static final double SLOPE_PER_S = 0.7;

    private static double[] times(int n) {
        double[] times = new double[n];
        for (int i = 0; i < n; i++) {
            times[i] = i * PERIOD_S;
        }
        return times;
    }

    private static DriftFit fit(double[] values, double step) {
        return DriftFit.of(times(values.length), values, List.of(), step, 0.95);
    }

    @Test
    void aLineWithoutNoiseIsFoundExactlyAndWhatIsLeftOutDoesNotCount() {
        double[] values = new double[100];
        for (int i = 0; i < values.length; i++) {
            values[i] = 40 - 3 * i * PERIOD_S;
        }
        values[13] = 900;
        values[77] = -900;
        DriftFit fit = DriftFit.of(times(100), values, List.of(13, 77), 0, 0.95);
        assertThat(fit.perS()).isCloseTo(-3, within(1e-9));
        assertThat(fit.highPerS() - fit.lowPerS()).isCloseTo(0, within(1e-9));
        assertThat(fit.spanS()).isCloseTo(99 * PERIOD_S, within(1e-9));
    }

    /** Steps from 0 to twice the noise, few readings and many. */
    @ParameterizedTest
    @CsvSource({"60, 0", "60, 2", "60, 4", "60, 6", "300, 0", "300, 3", "300, 5", "300, 6", "1500, 0", "1500, 6"})
    void theIntervalHoldsTheTruthAsOftenAsItSays(int readings, double step) {
        Random random = new Random(readings * 31L + (long) step);
        int sessions = times(300, 3000);
        int covered = 0;
        for (int session = 0; session < sessions; session++) {
            double level = 500 + 10 * random.nextDouble();
            double[] values = new double[readings];
            for (int i = 0; i < readings; i++) {
                double value = level + SLOPE_PER_S * i * PERIOD_S + NOISE * random.nextGaussian();
                values[i] = step > 0 ? Math.rint(value / step) * step : value;
            }
            DriftFit fit = fit(values, step);
            covered += fit.lowPerS() <= SLOPE_PER_S && SLOPE_PER_S <= fit.highPerS() ? 1 : 0;
        }
        assertThat(covered / (double) sessions)
                .as("share of intervals")
                .isCloseTo(0.95, within(Math.max(0.02, luck(0.95, sessions))));
    }

    /** Hum of the lamps, a filter in the sensor: a third of each reading's noise is the last one's. */
    @Test
    void readingsThatResembleTheirNeighboursDoNotMakeItLookSurer() {
        Random random = new Random(4);
        int sessions = times(300, 3000);
        int covered = 0;
        for (int session = 0; session < sessions; session++) {
            double[] values = new double[600];
            double noise = 0;
            for (int i = 0; i < values.length; i++) {
                noise = 0.33 * noise + NOISE * random.nextGaussian();
                values[i] = noise;
            }
            DriftFit fit = fit(values, 0);
            covered += fit.lowPerS() <= 0 && 0 <= fit.highPerS() ? 1 : 0;
        }
        // Least squares on the readings themselves would hold it in 83 % of the sessions.
        assertThat(covered / (double) sessions).isCloseTo(0.945, within(Math.max(0.025, luck(0.95, sessions))));
    }

    @Test
    void readingsWithoutScatterLeaveAStepOpen() {
        double[] still = new double[500];
        java.util.Arrays.fill(still, 88);
        double step = 1;
        DriftFit fit = fit(still, step);
        assertThat(fit.perS()).isCloseTo(0, within(1e-12));
        assertThat(fit.highPerS()).isCloseTo(1.5 * step / fit.spanS(), within(1e-12));
        Random random = new Random(2);
        for (int session = 0; session < times(100, 500); session++) {
            double slope = (2 * random.nextDouble() - 1) * 0.4;
            double level = 88 + random.nextDouble();
            double[] values = new double[500];
            for (int i = 0; i < values.length; i++) {
                values[i] = Math.rint(level + slope * i * PERIOD_S);
            }
            DriftFit found = fit(values, step);
            assertThat(slope).as("drift of %s", slope).isBetween(found.lowPerS(), found.highPerS());
        }
    }

    @Test
    void refusesWhatHasNoSlope() {
        assertThatThrownBy(() -> fit(new double[] {1, 2, 3}, 1)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> DriftFit.of(new double[] {1, 1, 1, 1}, new double[] {1, 2, 3, 4}, List.of(), 1, 0.95))
                .isInstanceOf(BadValueException.class);
    }
}
