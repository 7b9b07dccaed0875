package fahrbahn.core.measuring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.response.Spot;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SlideFitTest {
    private record Slide(double[] x, double[] y) {}

    private static Slide slide(
            double ground,
            double line,
            double sigma,
            double centre,
            double width,
            double noise,
            double step,
            Random random) {
        int n = 260;
        double[] x = new double[n];
        double[] y = new double[n];
        for (int i = 0; i < n; i++) {
            x[i] = -45 + 90.0 * i / (n - 1);
            double even = ground
                    + (line - ground) * Spot.coverage(x[i] - centre, width, sigma)
                    + noise * random.nextGaussian();
            y[i] = step > 0 ? Math.rint(even / step) * step : even;
        }
        return new Slide(x, y);
    }

    @Test
    void withoutNoiseEveryNumberComesBack() {
        Slide slide = slide(700, 210, 3.2, 4.5, 19, 0, 0, new Random(1));
        SlideFit fit = SlideFit.of(slide.x(), slide.y());
        assertThat(fit.ground().value()).isCloseTo(700, within(1e-6));
        assertThat(fit.line().value()).isCloseTo(210, within(1e-6));
        assertThat(fit.sigmaMm().value()).isCloseTo(3.2, within(1e-8));
        assertThat(fit.centreMm().value()).isCloseTo(4.5, within(1e-8));
        assertThat(fit.widthMm().value()).isCloseTo(19, within(1e-8));
        assertThat(fit.at(4.5)).isCloseTo(210, within(2.0)); // Q(19/2/3.2) of the contrast short of the line
    }

    /** 80 drawn sensors and lines of usual sizes, at the noise and rounding such sensors have. */
    @Test
    void spotAndWidthComeBackWithinThreePercentAtUsualNoise() {
        Random random = new Random(12);
        for (int i = 0; i < 80; i++) {
            double sigma = 2 + 2.5 * random.nextDouble();
            double width = 15 + 15 * random.nextDouble();
            boolean darkLine = random.nextBoolean();
            double contrast = 300 + 400 * random.nextDouble();
            double ground = darkLine ? 250 + contrast : 250;
            double line = darkLine ? 250 : 250 + contrast;
            double centre = -12 + 24 * random.nextDouble();
            Slide slide = slide(ground, line, sigma, centre, width, 0.008 * contrast, 1, random);
            SlideFit fit = SlideFit.of(slide.x(), slide.y());
            assertThat(fit.sigmaMm().value()).as("spot %d", i).isCloseTo(sigma, within(0.03 * sigma));
            assertThat(fit.widthMm().value()).as("width %d", i).isCloseTo(width, within(0.03 * width));
            assertThat(fit.centreMm().value()).as("centre %d", i).isCloseTo(centre, within(0.3));
        }
    }

    @Test
    void standardErrorsAreHonest() {
        Random random = new Random(33);
        int spot = 0;
        int width = 0;
        int runs = 200;
        for (int i = 0; i < runs; i++) {
            Slide slide = slide(720, 230, 3.1, 2, 19, 6, 1, random);
            SlideFit fit = SlideFit.of(slide.x(), slide.y());
            spot += Math.abs(fit.sigmaMm().value() - 3.1)
                            <= 1.96 * fit.sigmaMm().standardError()
                    ? 1
                    : 0;
            width +=
                    Math.abs(fit.widthMm().value() - 19) <= 1.96 * fit.widthMm().standardError() ? 1 : 0;
        }
        // 95 % of 200 is 190; four standard deviations of that count are 12.
        assertThat(spot).isBetween(178, 200);
        assertThat(width).isBetween(178, 200);
    }

    @Test
    void aGlareBesideTheLineDoesNotMoveIt() {
        Slide slide = slide(700, 210, 3.2, 0, 19, 3, 1, new Random(6));
        for (int i = 30; i < 36; i++) {
            slide.y()[i] = 990;
        }
        SlideFit fit = SlideFit.of(slide.x(), slide.y());
        assertThat(fit.leftOut()).isGreaterThanOrEqualTo(6);
        assertThat(fit.sigmaMm().value()).isCloseTo(3.2, within(0.1));
        assertThat(fit.widthMm().value()).isCloseTo(19, within(0.3));
    }

    @ParameterizedTest
    @ValueSource(doubles = {25, 80})
    void byTimeAloneTheLineIsTheRuler(double mmPerS) {
        Slide slide = slide(700, 210, 3.2, 0, 19, 3, 1, new Random(7));
        double[] times = new double[slide.x().length];
        for (int i = 0; i < times.length; i++) {
            times[i] = (slide.x()[i] + 45) / mmPerS;
        }
        SlideFit fit = SlideFit.timed(times, slide.y(), 19);
        assertThat(fit.sigmaMm().value()).isCloseTo(3.2, within(0.03 * 3.2));
        assertThat(fit.sigmaMm().standardError()).isPositive();
        assertThat(fit.widthMm().value()).isEqualTo(19);
    }

    @Test
    void whatIsNoSlideIsRefusedInWords() {
        double[] x = new double[60];
        double[] flat = new double[60];
        Random random = new Random(2);
        for (int i = 0; i < 60; i++) {
            x[i] = i;
            flat[i] = 700 + random.nextGaussian();
        }
        assertThatThrownBy(() -> SlideFit.of(x, flat)).hasMessageContaining("no line among the readings");
        assertThatThrownBy(() -> SlideFit.of(new double[5], new double[5])).hasMessageContaining("at least 15");
        double[] broken = flat.clone();
        broken[3] = Double.NaN;
        assertThatThrownBy(() -> SlideFit.of(x, broken)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> SlideFit.of(
                        new double[60], slide(700, 210, 3, 0, 19, 1, 1, random).y()))
                .isInstanceOf(BadValueException.class);
    }
}
