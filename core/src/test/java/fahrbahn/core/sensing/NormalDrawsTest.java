package fahrbahn.core.sensing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.stat.inference.KolmogorovSmirnovTest;
import org.junit.jupiter.api.Test;

class NormalDrawsTest {
    private static final int DRAWS = 1_000_000;
    private final NormalDistribution normal = new NormalDistribution();

    @Test
    void drawsAreNormal() {
        double[] drawn = drawn(3);
        double distance = new KolmogorovSmirnovTest().kolmogorovSmirnovStatistic(normal, drawn);
        // One sample in a thousand is further than 1.95/sqrt(n) from its own distribution (Kolmogorov).
        assertThat(distance).as("distance of the distribution functions").isLessThan(1.95 / Math.sqrt(DRAWS));
    }

    @Test
    void momentsAreThoseOfTheNormal() {
        double mean = 0;
        double square = 0;
        double fourth = 0;
        for (double x : drawn(5)) {
            mean += x / DRAWS;
            square += x * x / DRAWS;
            fourth += x * x * x * x / DRAWS;
        }
        // Three and a half standard errors: 1, sqrt(2) and sqrt(96), each over sqrt(n).
        assertThat(mean).as("mean").isCloseTo(0, within(3.5 / 1000));
        assertThat(square).as("variance").isCloseTo(1, within(3.5 * Math.sqrt(2) / 1000));
        assertThat(fourth).as("fourth moment").isCloseTo(3, within(3.5 * Math.sqrt(96) / 1000));
    }

    @Test
    void tailsAreAsThickAsTheyShould() {
        double[] drawn = drawn(8);
        for (double beyond : new double[] {NormalDraws.TAIL, 3.3, 3.9, 4.4}) {
            for (int side : new int[] {-1, 1}) {
                double expected = DRAWS * normal.cumulativeProbability(-beyond);
                int seen = 0;
                for (double x : drawn) {
                    seen += side * x > beyond ? 1 : 0;
                }
                assertThat((double) seen)
                        .as("draws beyond %s", side * beyond)
                        .isCloseTo(expected, within(3.5 * Math.sqrt(expected) + 1));
            }
        }
    }

    /** Closed form: cells of the same chance, each evenly filled, and two exact tails. */
    @Test
    void varianceErrsAsLittleAsStated() {
        int cells = 1024;
        double variance = 0;
        for (int i = 1; i < cells - 1; i++) {
            double low = normal.inverseCumulativeProbability((double) i / cells);
            double high = normal.inverseCumulativeProbability((i + 1.0) / cells);
            variance += (low * low + low * high + high * high) / 3 / cells;
        }
        double tail = NormalDraws.TAIL;
        variance += 2 * (tail * normal.density(tail) + normal.cumulativeProbability(-tail));
        assertThat(variance).as("variance").isCloseTo(1 + 2.5e-4, within(1e-5));
    }

    private static double[] drawn(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        double[] drawn = new double[DRAWS];
        for (int i = 0; i < DRAWS; i++) {
            drawn[i] = NormalDraws.next(random);
        }
        return drawn;
    }
}
