package fahrbahn.core.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class SeenRasterTest {
    private static final int COLUMNS = 40;
    private static final int ROWS = 25;
    private static final double CELL_MM = 0.8;

    /** Half a cell's unit, and 1/32768 of a cell along each axis where neighbours differ by twice the most. */
    private static final double ERROR = 0.5 / Short.MAX_VALUE + 2 * 2.0 / 32768;

    private static Raster drawn(long seed, double low, double high) {
        SplittableRandom random = new SplittableRandom(seed);
        float[] cells = new float[COLUMNS * ROWS];
        for (int i = 0; i < cells.length; i++) {
            // Neighbours at both ends, so that sums pass the range of an int on their way.
            cells[i] =
                    (float) (random.nextBoolean() ? low : random.nextBoolean() ? high : random.nextDouble(low, high));
        }
        return Raster.of(COLUMNS, ROWS, CELL_MM, cells);
    }

    @Test
    void readsWhatTheRasterReadsWithinItsUnits() {
        for (double[] ends : new double[][] {{0, 1}, {-1, 1}, {-0.4, 1.3}, {0.2, 3.7}}) {
            double most = Math.max(-ends[0], ends[1]);
            Raster raster = drawn(1, ends[0], ends[1]);
            SeenRaster seen = new SeenRaster(raster);
            SplittableRandom random = new SplittableRandom(2);
            for (int i = 0; i < 20_000; i++) {
                double x = random.nextDouble(-2, COLUMNS * CELL_MM + 2);
                double y = random.nextDouble(-2, ROWS * CELL_MM + 2);
                assertThat(seen.at(x, y)).as("at %.4f, %.4f", x, y).isCloseTo(raster.at(x, y), within(ERROR * most));
            }
        }
    }

    @Test
    void bareGroundIsExactlyNothingAndTheMostIsItself() {
        float[] cells = new float[COLUMNS * ROWS];
        cells[5 * COLUMNS + 5] = 0.7f;
        SeenRaster seen = new SeenRaster(Raster.of(COLUMNS, ROWS, CELL_MM, cells));
        assertThat(seen.at(20, 15)).isZero();
        assertThat(seen.at(-3, 4)).isZero();
        assertThat(seen.at(4, ROWS * CELL_MM + 1)).isZero();
        assertThat(seen.at(5.5 * CELL_MM, 5.5 * CELL_MM)).isCloseTo(0.7, within(1e-4));
        assertThat(new SeenRaster(Raster.of(COLUMNS, ROWS, CELL_MM, new float[COLUMNS * ROWS])).at(9, 9))
                .isZero();
    }

    /** Blurred in its own memory or in new: to the same cells. */
    @Test
    void usedUpItIsWhatItsBlurredCopyIs() {
        double sigmaMm = 3 * CELL_MM;
        SeenRaster copy = new SeenRaster(drawn(7, 0, 1).blurred(sigmaMm));
        SeenRaster usedUp = drawn(7, 0, 1).seen(sigmaMm);
        SplittableRandom random = new SplittableRandom(8);
        for (int i = 0; i < 1000; i++) {
            double x = random.nextDouble(COLUMNS * CELL_MM);
            double y = random.nextDouble(ROWS * CELL_MM);
            assertThat(usedUp.at(x, y)).isEqualTo(copy.at(x, y));
        }
    }

    @Test
    void betweenTwoIsTheirMixture() {
        SeenRaster one = new SeenRaster(drawn(3, 0, 1));
        SeenRaster other = new SeenRaster(drawn(4, -0.5, 2));
        SplittableRandom random = new SplittableRandom(5);
        for (int i = 0; i < 2000; i++) {
            double x = random.nextDouble(0, COLUMNS * CELL_MM);
            double y = random.nextDouble(0, ROWS * CELL_MM);
            double share = random.nextDouble();
            assertThat(one.between(other, share, x, y))
                    .isCloseTo((1 - share) * one.at(x, y) + share * other.at(x, y), within(1e-12));
        }
    }
}
