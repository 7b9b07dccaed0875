package fahrbahn.core.levels;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Repeated;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleSupplier;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The claimed chance of a misread against the true one, for readings of every kind that tables give. */
class ClaimTest extends Repeated {
    /** For the true rate: one in three thousand is known to a third. */
    private static final int READINGS = 30_000;

    private enum Kind {
        PLAIN,
        DRIFTING,
        TWO_LAMPS,
        COARSE,
        OUTLIERS
    }

    /** Readings of one surface as this kind of table gives them. */
    private static final class Surface {
        private final Kind kind;
        private final double mean;
        private final double sd;
        private final double contrast;
        private final Random random;

        Surface(Kind kind, double mean, double sd, double contrast, Random random) {
            this.kind = kind;
            this.mean = mean;
            this.sd = sd;
            this.contrast = contrast;
            this.random = random;
        }

        double[] readings(int n) {
            double[] values = new double[n];
            for (int i = 0; i < n; i++) {
                values[i] = reading(i / (double) n);
            }
            return values;
        }

        /** @param share of the capture that has gone by */
        private double reading(double share) {
            DoubleSupplier plain = () -> mean + sd * random.nextGaussian();
            return switch (kind) {
                case PLAIN -> plain.getAsDouble();
                case DRIFTING -> plain.getAsDouble() + 0.15 * contrast * share;
                case TWO_LAMPS -> plain.getAsDouble() * (random.nextBoolean() ? 1 : 0.85);
                case COARSE -> Math.rint(plain.getAsDouble() / (3 * sd)) * 3 * sd;
                case OUTLIERS ->
                    random.nextDouble() < 0.06 ? 80 + (contrast + 140) * random.nextDouble() : plain.getAsDouble();
            };
        }
    }

    @ParameterizedTest
    @EnumSource
    void theTrueRateIsSeldomAboveThreeTimesTheClaim(Kind kind) {
        Random random = new Random(35 + kind.ordinal());
        int sets = times(60, 300);
        int above = 0;
        for (int set = 0; set < sets; set++) {
            double sd = 4 + 8 * random.nextDouble();
            double contrast = sd * (4 + 26 * random.nextDouble());
            Surface dark = new Surface(kind, 150, sd, contrast, random);
            Surface light = new Surface(kind, 150 + contrast, sd * (0.5 + 2 * random.nextDouble()), contrast, random);
            int n = 4 + random.nextInt(80);
            SensorLevels sensor = SensorLevels.of("eye", dark.readings(n), light.readings(n));
            double level = LevelTable.rounded(
                    LevelPick.of(List.of(sensor)).school() == LevelSchool.BEST
                            ? sensor.levels().bestLevel()
                            : sensor.levels().midpoint(),
                    sensor.step());
            Misreads truth = Misreads.count(
                    dark.readings(READINGS),
                    light.readings(READINGS),
                    level,
                    sensor.levels().light().mean() > sensor.levels().dark().mean());
            above += truth.seen() > 3 * sensor.claim(level) * truth.of() ? 1 : 0;
        }
        assertThat(above).as("of %d sets, %s", sets, kind).isLessThanOrEqualTo(sets / 20);
    }
}
