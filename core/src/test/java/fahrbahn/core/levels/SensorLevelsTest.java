package fahrbahn.core.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.setup.Sensor;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SensorLevelsTest {
    private static final Sensor TYPED = new Sensor("left", 60, 10, 3, 150, 800, 9, 1, Channel.ALL);

    private static double[] around(double mean, double sd, double step, long seed) {
        Random random = new Random(seed);
        double[] values = new double[80];
        for (int i = 0; i < values.length; i++) {
            double value = mean + sd * random.nextGaussian();
            values[i] = step > 0 ? Math.rint(value / step) * step : value;
        }
        return values;
    }

    @Test
    void aLevelIsAWholeStepOfTheSensorAndJudgedSo() {
        SensorLevels fives = SensorLevels.of("left", around(200, 6, 5, 1), around(700, 6, 5, 2));
        assertThat(fives.step()).isEqualTo(5);
        double level = LevelTable.rounded(fives.levels().bestLevel(), fives.step());
        assertThat(level % 5).isZero();
        assertThat(level).isCloseTo(fives.levels().bestLevel(), within(2.5));
        SensorLevels fine = SensorLevels.of("left", around(0.21, 0.004, 0, 3), around(0.73, 0.004, 0, 4), 0);
        double fineLevel = LevelTable.rounded(fine.levels().bestLevel(), fine.step());
        assertThat(String.valueOf(fineLevel)).as("four digits").hasSizeLessThanOrEqualTo(6);
        assertThat(fineLevel).isCloseTo(fine.levels().bestLevel(), within(5e-5));
    }

    @Test
    void onTheRobotGoWhatWasMeasuredAndTheNoiseOfBothSurfaces() {
        SensorLevels levels = SensorLevels.of("left", around(200, 2, 0, 5), around(700, 6, 0, 6), 1);
        assertThat(levels.differsFrom(TYPED)).isTrue();
        Sensor now = levels.on(TYPED);
        assertThat(now.dark()).isCloseTo(200, within(1.0));
        assertThat(now.light()).isCloseTo(700, within(3.0));
        assertThat(now.noise()).as("root from the squares").isCloseTo(Math.sqrt((4 + 36) / 2.0), within(0.6));
        assertThat(now.spotSigmaMm()).isEqualTo(TYPED.spotSigmaMm());
        assertThat(levels.differsFrom(now)).isFalse();
    }

    private static Capture capture(String surface, List<String> sensors, double... means) {
        List<Reading> readings = new ArrayList<>();
        Random random = new Random(surface.hashCode());
        for (int i = 0; i < 50; i++) {
            double[] values = new double[means.length];
            for (int s = 0; s < means.length; s++) {
                values[s] = Math.rint(means[s] + 2 * random.nextGaussian());
            }
            readings.add(new Reading(i * 0.01, surface, Double.NaN, values));
        }
        return new Capture(surface, surface, Instant.EPOCH, "test", sensors, readings);
    }

    @Test
    void onlySensorsThatBothCapturesHaveAndThatTellTheSurfacesApartHaveLevels() {
        Capture dark = capture(Capture.DARK, List.of("left", "right", "stuck"), 200, 210, 512);
        Capture light = capture(Capture.LIGHT, List.of("right", "left", "far"), 690, 700, 30);
        List<Capture> both = List.of(dark, light);
        assertThat(SensorLevels.of(both, "left").orElseThrow().levels().midpoint())
                .isCloseTo(450, within(1.0));
        assertThat(SensorLevels.of(both, "right").orElseThrow().levels().midpoint())
                .isCloseTo(450, within(1.0));
        assertThat(SensorLevels.of(both, "stuck")).isEmpty();
        assertThat(SensorLevels.of(both, "far")).isEmpty();
        Capture again = capture(Capture.LIGHT, List.of("left"), 600);
        assertThat(SensorLevels.of(List.of(dark, light, again), "left")
                        .orElseThrow()
                        .levels()
                        .midpoint())
                .as("its newest readings count")
                .isCloseTo(400, within(1.0));
        Capture same = capture(Capture.DARK, List.of("left"), 200);
        Capture still = new Capture("s", Capture.LIGHT, Instant.EPOCH, "test", List.of("left"), same.readings());
        assertThat(SensorLevels.of(List.of(same, still), "left")).isEmpty();
    }

    @Test
    void whatIsHandedOutIsACopyAndWhatIsHandedInToo() {
        double[] dark = around(200, 3, 1, 7);
        double[] light = around(700, 3, 1, 8);
        SensorLevels levels = SensorLevels.of("left", dark, light);
        Histogram before = levels.onDark(levels.bins());
        dark[0] = 700;
        Histogram after = levels.onDark(levels.bins());
        for (int i = 0; i < before.size(); i++) {
            assertThat(after.at(i)).isEqualTo(before.at(i));
        }
        assertThat(levels.onLight(levels.bins()).tallest()).isPositive();
    }

    @Test
    void twoReadingsOfEachAreTheLeast() {
        assertThatThrownBy(() -> SensorLevels.of("left", new double[] {1}, new double[] {5, 6}))
                .isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> SensorLevels.of("left", new double[] {5, 6}, new double[] {5, 6}))
                .isInstanceOf(BadValueException.class);
    }
}
