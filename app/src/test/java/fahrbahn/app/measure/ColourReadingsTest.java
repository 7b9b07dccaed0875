package fahrbahn.app.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.app.InShop;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.levels.SensorLevels;
import fahrbahn.core.quality.Finding;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A pair of colour sensors: three columns each, in whatever numbers they send, with readings that are none among them. */
class ColourReadingsTest extends InShop {
    private static final double[] LIGHT = {0.8, 0.7, 0.5};
    private static final double[] DARK = {0.1, 0.12, 0.08};

    /** @param full what all light is in the sensor's numbers @param decimals it sends */
    private static String table(double full, int decimals, int codes) {
        Random random = new Random(4);
        StringBuilder text = new StringBuilder("tS,surface");
        for (String side : List.of("left", "right")) {
            text.append(",")
                    .append(side)
                    .append("_r,")
                    .append(side)
                    .append("_g,")
                    .append(side)
                    .append("_b");
        }
        for (int i = 0; i < 160; i++) {
            double[] shares = i < 80 ? LIGHT : DARK;
            text.append(String.format(Locale.ROOT, "%n%.2f,%s", 0.02 * i, i < 80 ? "light" : "dark"));
            for (int k = 0; k < 6; k++) {
                double value = full * (shares[k % 3] + 0.004 * random.nextGaussian());
                boolean none = i % 80 < codes;
                text.append(',').append(none ? "-1" : String.format(Locale.ROOT, "%." + decimals + "f", value));
            }
        }
        return text.append('\n').toString();
    }

    private SensorLevels left() {
        return shop.levels().sensors().stream()
                .filter(s -> s.sensor().equals("left"))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({"255, 0", "1023, 0", "1, 3"})
    void everyRangeIsUnderstoodAndACodeIsNeverAveraged(double full, int decimals) {
        shop.measure().paste(table(full, decimals, 6));
        assertThat(shop.season().captures()).hasSize(2);
        assertThat(shop.levels().sensors()).extracting(SensorLevels::sensor).containsExactly("left", "right");
        // Of 74 readings with a scatter of 0.4 % in each channel: a thousandth of the range.
        assertThat(left().levels().light().mean()).isCloseTo(full * 2.0 / 3, within(0.002 * full));
        assertThat(left().levels().dark().mean()).isCloseTo(full * 0.1, within(0.002 * full));
        assertThat(shop.measure().surveyShown().captures().get(0).findings())
                .filteredOn(f -> f instanceof Finding.NoSurface)
                .extracting(Finding::sensor)
                .containsExactly("left", "right");
        assertThat(shop.measure().surveyShown().stop("left")).isEmpty();
    }

    @Test
    void nothingUnderItMostOfTheTimeIsNoLevel() {
        shop.measure().paste(table(255, 0, 50));
        assertThat(shop.measure().surveyShown().stop("left")).containsInstanceOf(Finding.NoSurface.class);
        assertThat(shop.levels().sensors()).isEmpty();
    }

    @Test
    void theChannelItWorksWithIsChosenAnewAndUndone() {
        shop.measure().paste(table(1023, 0, 0));
        double all = left().levels().light().mean();
        shop.season().changeSetup(ColourReadingsTest::byBlue);
        assertThat(left().levels().light().mean()).isCloseTo(0.5 * 1023, within(3.0));
        assertThat(shop.season().captures().get(0).sensors()).contains("left.red", "left.green", "left.blue");
        shop.undo();
        assertThat(left().levels().light().mean()).isEqualTo(all);
    }

    private static Setup byBlue(Setup setup) {
        return setup.withRobot(
                setup.robot().withSensor(0, setup.robot().sensors().get(0).withChannel(Channel.BLUE)));
    }

    /** The bench robot sends what the robot in hand would: three columns of a colour sensor, and the live strip one bar for it. */
    @Test
    @Timeout(600)
    void theBenchRobotHasItsColourSensors() {
        shop.season().changeSetup(ColourReadingsTest::byBlue);
        shop.live().connectToBenchRobot();
        while (shop.live().sensors().isEmpty()) {
            shop.live().drain();
            Thread.onSpinWait();
        }
        assertThat(shop.live().sensors()).containsExactly("left", "left.red", "left.green", "left.blue", "right");
        assertThat(shop.live().lines()).containsExactly(0, 4);
        shop.measure().capture(Capture.LIGHT);
        while (shop.season().captures().isEmpty()) {
            shop.live().drain();
            Thread.onSpinWait();
        }
        Capture light = shop.season().captures().get(0);
        assertThat(light.values("left")).isEqualTo(light.values("left.blue"));
        assertThat(light.values("left.red")[0]).isGreaterThan(light.values("left.blue")[0]);
    }
}
