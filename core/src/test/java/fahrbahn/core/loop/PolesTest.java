package fahrbahn.core.loop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.hipparchus.complex.Complex;
import org.hipparchus.linear.EigenDecompositionNonSymmetric;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.junit.jupiter.api.Test;

class PolesTest {
    @Test
    void ofMatricesWhosePolesAreKnown() {
        RealMatrix turning = MatrixUtils.createRealMatrix(new double[][] {{1, -2, 0}, {2, 1, 3}, {0, 0, 0.5}});
        assertThat(Poles.farthest(turning).norm()).isCloseTo(Math.sqrt(5), within(1e-12));
        assertThat(Poles.farthest(turning).getImaginaryPart()).isCloseTo(2, within(1e-12));
        RealMatrix falling = MatrixUtils.createRealMatrix(new double[][] {{0.5, 7, 1}, {0, -3, 2}, {0, 0, 1}});
        assertThat(Poles.farthest(falling).getRealPart()).isCloseTo(-3, within(1e-12));
    }

    /** The whole decomposition of the library, with its vectors, is another way to the same; its own rounding is the tolerance. */
    @Test
    void asTheWholeDecompositionSays() {
        Random random = new Random(5);
        for (int i = 0; i < 300; i++) {
            int size = 2 + i % 9;
            RealMatrix drawn = MatrixUtils.createRealMatrix(size, size);
            for (int k = 0; k < size * size; k++) {
                drawn.setEntry(k / size, k % size, random.nextGaussian());
            }
            double most = 0;
            for (Complex pole : new EigenDecompositionNonSymmetric(drawn).getEigenvalues()) {
                most = Math.max(most, pole.norm());
            }
            assertThat(Poles.farthest(drawn).norm()).as("drawn matrix " + i).isCloseTo(most, within(1e-9 * most));
        }
    }
}
