package fahrbahn.core.quality;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.readings.SurfaceStats;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class CaptureQualityTest {
    private static final double PERIOD_S = 0.01;

    private static double[] times(int n) {
        double[] times = new double[n];
        for (int i = 0; i < n; i++) {
            times[i] = i * PERIOD_S;
        }
        return times;
    }

    private static double[] steady(int n, long seed) {
        Random random = new Random(seed);
        double[] values = new double[n];
        for (int i = 0; i < n; i++) {
            values[i] = Math.rint(500 + 3 * random.nextGaussian());
        }
        return values;
    }

    private static List<Finding> judge(double[] values) {
        return judge(values, 0, 742);
    }

    private static List<Finding> judge(double[] values, double everLeast, double everMost) {
        return CaptureQuality.of(
                "left", times(values.length), true, values, SurfaceStats.of(values, 1), 1, 500, everLeast, everMost);
    }

    @Test
    void soundReadingsRaiseNoAlarm() {
        int alarms = 0;
        for (long seed = 0; seed < 200; seed++) {
            alarms += judge(steady(200, seed)).stream().anyMatch(f -> f.weight() != Finding.Weight.NOTE) ? 1 : 0;
        }
        // Drift is missed once in 500, and three far readings in a row by chance are rarer still.
        assertThat(alarms).isLessThanOrEqualTo(3);
    }

    @Test
    void farReadingsInARowAreABurstWithItsTimesAndSingleOnesAreCounted() {
        double[] values = steady(200, 5);
        values[20] = 900;
        values[160] = 100;
        for (int i = 60; i < 66; i++) {
            values[i] = 640;
        }
        List<Finding> found = judge(values);
        assertThat(found)
                .filteredOn(Finding.Burst.class::isInstance)
                .singleElement()
                .satisfies(f -> {
                    Finding.Burst burst = (Finding.Burst) f;
                    assertThat(burst.count()).isEqualTo(6);
                    assertThat(burst.fromS()).isCloseTo(0.60, within(1e-9));
                    assertThat(burst.toS()).isCloseTo(0.65, within(1e-9));
                    assertThat(burst.size()).isCloseTo(140, within(5.0)); // the noise of the median and of rounding
                });
        assertThat(found)
                .filteredOn(Finding.Outliers.class::isInstance)
                .singleElement()
                .satisfies(f -> {
                    Finding.Outliers outliers = (Finding.Outliers) f;
                    assertThat(outliers.count()).isGreaterThanOrEqualTo(2);
                    assertThat(outliers.firstS()).isLessThanOrEqualTo(0.20 + 1e-9);
                });
    }

    @Test
    void aLampThatWarmsUpIsDriftAndAnOutlierIsNot() {
        double[] values = steady(600, 8);
        for (int i = 0; i < values.length; i++) {
            values[i] += 0.5 * times(600)[i]; // half a unit a second: 300 in ten minutes, three fifths of the contrast
        }
        assertThat(judge(values))
                .filteredOn(Finding.Drift.class::isInstance)
                .singleElement()
                .satisfies(f -> {
                    Finding.Drift drift = (Finding.Drift) f;
                    assertThat(drift.low()).isLessThan(300);
                    assertThat(drift.high()).isGreaterThan(300);
                    assertThat(drift.share()).isCloseTo(0.6, within(0.2)); // two standard errors
                });
        double[] once = steady(600, 9);
        once[599] = 5000;
        assertThat(judge(once)).noneMatch(Finding.Drift.class::isInstance);
    }

    @Test
    void noCaptureKnowsOfMoreThanTheWholeContrastAndAShortOneOfNothing() {
        double[] moved = steady(600, 8);
        double[] brief = steady(400, 8);
        for (int i = 0; i < moved.length; i++) {
            moved[i] += 30 * times(600)[i]; // a robot that was moved: 36 times the contrast in ten minutes
        }
        for (int i = 0; i < brief.length; i++) {
            brief[i] += 30 * times(400)[i];
        }
        assertThat(judge(moved))
                .anySatisfy(f -> assertThat(f)
                        .isInstanceOfSatisfying(
                                Finding.Drift.class, d -> assertThat(d.share()).isEqualTo(1)));
        assertThat(judge(brief)).as("4 s").noneMatch(Finding.Drift.class::isInstance);
    }

    @Test
    void wholeNumbersThatChangeOnceAreNoDrift() {
        double[] values = new double[600];
        for (int i = 0; i < values.length; i++) {
            values[i] = i < 300 ? 50 : 51; // percent readings: a step of rounding, anywhere in six seconds
        }
        assertThat(CaptureQuality.of("left", times(600), true, values, SurfaceStats.of(values, 1), 1, 60, 0, 100))
                .noneMatch(Finding.Drift.class::isInstance);
    }

    @Test
    void readingsAtTheEndOfTheRangeAreSaturated() {
        double[] values = steady(100, 3);
        for (int i = 0; i < 100; i++) {
            values[i] = i % 2 == 0 ? 1023 : 1019 + i % 3;
        }
        assertThat(judge(values, 190, 1023))
                .anySatisfy(f -> assertThat(f).isInstanceOfSatisfying(Finding.Saturated.class, s -> {
                    assertThat(s.end()).isEqualTo(1023);
                    assertThat(s.share()).isCloseTo(0.5, within(1e-9));
                }));
        assertThat(judge(values, 190, 1030)).as("1023 is not its end").noneMatch(Finding.Saturated.class::isInstance);
    }

    @Test
    void tooFewSaysHowMuchLonger() {
        assertThat(judge(steady(11, 1)))
                .anySatisfy(f -> assertThat(f).isInstanceOfSatisfying(Finding.TooFew.class, few -> {
                    assertThat(few.needed()).isEqualTo(80);
                    assertThat(few.moreS()).isCloseTo(0.69, within(1e-9)); // 69 more at the pace so far
                }));
    }

    @Test
    void aPairOfSurfacesIsJudgedByContrastStepsAndOrder() {
        SurfaceStats dark = new SurfaceStats(80, List.of(), 200, 200, 3);
        SurfaceStats light = new SurfaceStats(80, List.of(), 700, 700, 4);
        SurfacePair pair = new SurfacePair("left", dark, light, 1);
        assertThat(pair.findings(1)).isEmpty();
        assertThat(pair.findings(-1)).containsExactly(new Finding.SurfacesSwapped("left"));
        assertThat(pair.steps()).isEqualTo(500);
        assertThat(pair.scaled(450)).isEqualTo(0.5);
        SurfaceStats grey = new SurfaceStats(80, List.of(), 215, 215, 3);
        assertThat(new SurfacePair("left", dark, grey, 1).findings(1))
                .containsExactly(new Finding.TooAlike("left", 15, 3));
        SurfaceStats still = new SurfaceStats(80, List.of(), 200, 200, 0);
        assertThat(new SurfacePair("left", still, still, 0).findings(1))
                .containsExactly(new Finding.Stuck("left", 200));
        SurfaceStats coarseDark = new SurfaceStats(80, List.of(), 20, 20, 0.3);
        SurfaceStats coarseLight = new SurfaceStats(80, List.of(), 32, 32, 0.3);
        assertThat(new SurfacePair("left", coarseDark, coarseLight, 1).findings(0))
                .containsExactly(new Finding.FewSteps("left", 12));
    }

    @Test
    void liftedItIsSaidWhatTheAirLooksLike() {
        SurfaceStats dark = new SurfaceStats(80, List.of(), 200, 200, 3);
        SurfaceStats light = new SurfaceStats(80, List.of(), 700, 700, 4);
        SurfacePair pair = new SurfacePair("left", dark, light, 1);
        assertThat(pair.air(new SurfaceStats(80, List.of(), 206, 206, 3)))
                .containsExactly(new Finding.AirLooksLike("left", "dark", 2));
        assertThat(pair.air(new SurfaceStats(80, List.of(), 40, 40, 2))).isEmpty();
    }

    @Test
    void twoSensorsAreComparedRawAndScaled() {
        SurfacePair first = new SurfacePair(
                "left", new SurfaceStats(80, List.of(), 200, 200, 2), new SurfaceStats(80, List.of(), 700, 700, 4), 1);
        SurfacePair second = new SurfacePair(
                "right", new SurfaceStats(80, List.of(), 180, 180, 2), new SurfaceStats(80, List.of(), 580, 580, 4), 1);
        Agreement agreement = Agreement.of(first, second);
        assertThat(agreement.rawOnLight()).isEqualTo(-120);
        assertThat(agreement.rawOnDark()).isEqualTo(-20);
        assertThat(agreement.rawPercent()).isEqualTo(24);
        assertThat(agreement.noisePercent()).isCloseTo(100 * Math.hypot(4 / 500.0, 4 / 400.0), within(1e-12));
        // On a grey in the middle of both, scaled readings agree; 40 more on the second is a tenth of its way.
        assertThat(Agreement.scaledPercent(first, 450, second, 380)).isCloseTo(0, within(1e-12));
        assertThat(Agreement.scaledPercent(first, 450, second, 420)).isCloseTo(10, within(1e-12));
    }

    @Test
    void roomLightIsTheContrastLeftWithTheLampOff() {
        SurfaceStats darkOn = new SurfaceStats(100, List.of(), 200, 200, 2);
        SurfaceStats lightOn = new SurfaceStats(100, List.of(), 700, 700, 2);
        RoomLight much = RoomLight.of(
                darkOn,
                lightOn,
                new SurfaceStats(100, List.of(), 90, 90, 2),
                new SurfaceStats(100, List.of(), 190, 190, 2));
        assertThat(much.share()).isCloseTo(0.2, within(1e-12));
        assertThat(much.leastShiftPercent()).isCloseTo(10, within(1e-9));
        assertThat(much.matters()).isTrue();
        assertThat(much.harmless()).isFalse();
        RoomLight none = RoomLight.of(
                darkOn,
                lightOn,
                new SurfaceStats(100, List.of(), 30, 30, 2),
                new SurfaceStats(100, List.of(), 31, 31, 2));
        assertThat(none.harmless()).isTrue();
        assertThat(none.matters()).isFalse();
        // Four means of a hundred readings: 2/10 each, over a contrast of 500.
        assertThat(none.standardError()).isCloseTo(0.2 * Math.sqrt(2) / 500, within(1e-5));
        assertThatThrownBy(() -> RoomLight.of(darkOn, darkOn, darkOn, darkOn)).isInstanceOf(BadValueException.class);
    }
}
