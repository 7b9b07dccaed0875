package fahrbahn.core.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.readings.SurfaceStats;
import fahrbahn.core.response.Spot;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Sensor;
import java.util.OptionalDouble;
import java.util.Random;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LevelTableTest {
    private static final Sensor SENSOR = Setups.sensor("eye", 55, 0).withSpotSigmaMm(3);
    private static final Line WIDE = new Line(60, Polarity.DARK_ON_LIGHT, 150);

    private static double[] around(Random random, double mean, double sd, int n) {
        return random.doubles(n).map(u -> mean + sd * random.nextGaussian()).toArray();
    }

    private static SensorLevels levels(double dark, double light) {
        Random random = new Random(3);
        return SensorLevels.of("eye", around(random, dark, 4, 80), around(random, light, 6, 80), 0);
    }

    private static LevelTable table(OptionalDouble typed, double... edge) {
        return LevelTable.of(levels(210, 710), SENSOR, WIDE, edge, typed);
    }

    /** Across the edge of a wide line a Gaussian spot shows the normal distribution of its place; its slope is the density. */
    @Test
    void ridesWhereTheEdgeShowsTheLevelWithTheSlopeThatIsLeft() {
        Levels levels = levels(210, 710).levels();
        for (double z : new double[] {-1.5, -0.3, 0, 0.8, 1.9}) {
            double level = levels.dark().mean() + levels.contrast() * (1 - Spot.upperTail(z));
            LevelChoice choice =
                    table(OptionalDouble.of(level)).choice(LevelSchool.TYPED).orElseThrow();
            assertThat(choice.rideOffsetMm()).as("towards the ground").isCloseTo(3 * z, within(1e-6));
            assertThat(choice.slopeShare()).isCloseTo(Math.exp(-z * z / 2), within(1e-4));
        }
        LevelChoice nowhere =
                table(OptionalDouble.of(1000)).choice(LevelSchool.TYPED).orElseThrow();
        assertThat(nowhere.rideOffsetMm()).isNaN();
        assertThat(nowhere.misreads().seen()).isEqualTo(80);
    }

    @Test
    void schoolsStandBesideEachOtherRoundedAsTheProgramTakesThem() {
        LevelTable table = table(OptionalDouble.empty(), 470, 480, 475, 474);
        assertThat(table.choices())
                .extracting(LevelChoice::school)
                .containsExactly(LevelSchool.MIDPOINT, LevelSchool.BEST, LevelSchool.EDGE);
        Levels levels = table.sensor().levels();
        assertThat(table.choice(LevelSchool.MIDPOINT).orElseThrow().level())
                .isCloseTo(levels.midpoint(), within(0.051));
        assertThat(table.choice(LevelSchool.EDGE).orElseThrow().level()).isCloseTo(474.75, within(0.051));
        SensorLevels whole = SensorLevels.of("eye", new double[] {20, 21, 22, 21}, new double[] {70, 72, 71, 71}, 1);
        assertThat(LevelTable.of(whole, SENSOR, WIDE, new double[0], OptionalDouble.empty())
                        .choice(LevelSchool.MIDPOINT)
                        .orElseThrow()
                        .level())
                .isEqualTo(46);
    }

    @Test
    void marginsEndWhereOneInAThousandIsMisread() {
        Levels levels = levels(210, 710).levels();
        double level = levels.midpoint();
        double margin = levels.factorMargin(level, 1e-3);
        double worst = 0;
        for (int way : new int[] {1, -1}) {
            double k = 1 + way * margin;
            double dark = Spot.upperTail(
                    (level - k * levels.dark().mean()) / (k * levels.dark().sd()));
            double light = Spot.upperTail(
                    (k * levels.light().mean() - level) / (k * levels.light().sd()));
            worst = Math.max(worst, (dark + light) / 2);
        }
        assertThat(worst).isCloseTo(1e-3, within(2e-5));
        assertThat(levels.factorMargin(levels.light().mean(), 1e-3))
                .as("fails already")
                .isZero();
    }

    /** Twenty pairs of surfaces, twenty thousand readings each: the sum of squared departures is chi-squared with twenty degrees. */
    @Test
    void simulatedMisreadsAgreeWithTheComputedOnes() {
        Random random = new Random(12);
        double chi = 0;
        int readings = 20_000;
        for (int pair = 0; pair < 20; pair++) {
            double darkSd = 3 + 10 * random.nextDouble();
            double lightSd = 3 + 10 * random.nextDouble();
            double apart = (1.2 + 1.5 * random.nextDouble()) * (darkSd + lightSd);
            double sign = random.nextBoolean() ? 1 : -1;
            Levels levels = new Levels(surface(400, darkSd), surface(400 + sign * apart, lightSd));
            double level = pair % 2 == 0 ? levels.midpoint() : levels.bestLevel();
            double chance = levels.misread(level);
            int wrong = 0;
            for (int i = 0; i < readings; i++) {
                boolean dark = i % 2 == 0;
                double reading = (dark ? 400 : 400 + sign * apart) + (dark ? darkSd : lightSd) * random.nextGaussian();
                boolean takenDark = sign * (reading - level) < 0;
                wrong += dark != takenDark ? 1 : 0;
            }
            double off = wrong - readings * chance;
            chi += off * off / (readings * chance * (1 - chance));
        }
        assertThat(chi).as("chi-squared of 20 at 1e-3").isLessThan(45.3);
    }

    private static SurfaceStats surface(double mean, double sd) {
        // Readings whose mean and standard deviation are exactly these.
        NormalDistribution normal = new NormalDistribution(0, 1);
        int n = 200;
        double[] readings = new double[n];
        double squares = 0;
        for (int i = 0; i < n; i++) {
            readings[i] = normal.inverseCumulativeProbability((i + 0.5) / n);
            squares += readings[i] * readings[i];
        }
        for (int i = 0; i < n; i++) {
            readings[i] = mean + sd * readings[i] * Math.sqrt((n - 1) / squares);
        }
        return SurfaceStats.of(readings, 0);
    }

    @ParameterizedTest
    @CsvSource({
        "46, PERCENT_FOR_RAW, 440",
        "4600, DECIMAL_SLIPPED, 460",
        "46.5, PERCENT_FOR_RAW, 442.5",
        "4.6, DECIMAL_SLIPPED, 460",
        "-450, POLARITY_REVERSED, 450",
        "900, OUTSIDE, 460",
        "150, OUTSIDE, 460"
    })
    void slipsAreKnownByWhatTheyWouldBe(double typed, LevelSlip.Cause cause, double meant) {
        LevelSlip slip = table(OptionalDouble.of(typed)).slip().orElseThrow();
        assertThat(slip.cause()).isEqualTo(cause);
        assertThat(slip.meant()).isCloseTo(meant, within(4.0));
        assertThat(table(OptionalDouble.of(455)).slip()).isEmpty();
    }

    @Test
    void levelsOfTwoSensorsThatChangedPlacesAreSeen() {
        LevelTable left = LevelTable.of(levels(210, 710), SENSOR, WIDE, new double[0], OptionalDouble.of(320));
        LevelTable right = LevelTable.of(levels(120, 520), SENSOR, WIDE, new double[0], OptionalDouble.of(460));
        assertThat(LevelTable.swapped(left, right)).isTrue();
        LevelTable own = LevelTable.of(levels(210, 710), SENSOR, WIDE, new double[0], OptionalDouble.of(455));
        LevelTable owns = LevelTable.of(levels(120, 520), SENSOR, WIDE, new double[0], OptionalDouble.of(330));
        assertThat(LevelTable.swapped(own, owns)).isFalse();
    }
}
