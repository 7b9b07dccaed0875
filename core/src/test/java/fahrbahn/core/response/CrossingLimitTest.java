package fahrbahn.core.response;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Setup;
import org.junit.jupiter.api.Test;

/** Lines across the way, stepped over or not: the closed form against a sensor that is moved over one loop by loop. */
class CrossingLimitTest {
    private static Setup seenFrom(double share) {
        Setup edge = Setups.edge();
        Options.LostLine lost = new Options.LostLine(Options.LostLine.Action.NONE, share, 0, 0);
        return edge.withLaw(edge.law().withOptions(edge.law().options().withLost(lost)));
    }

    /** Reads that see the line, the least of a hundred phases. */
    private static int reads(Setup setup, double widthMm, double speedMmPerS) {
        double sigma = setup.lawSensors().get(0).spotSigmaMm();
        double stepMm = speedMmPerS * setup.robot().loop().periodS();
        int least = Integer.MAX_VALUE;
        for (int phase = 0; phase < 100; phase++) {
            int reads = 0;
            for (double at = -3 * widthMm - 20 + stepMm * phase / 100; at < 3 * widthMm + 20; at += stepMm) {
                double seen = Spot.coverage(at, widthMm, sigma);
                reads += seen >= setup.law().options().lost().seenShare() ? 1 : 0;
            }
            least = Math.min(least, reads);
        }
        return least;
    }

    @Test
    void isWhereASensorBeginsToStepOver() {
        for (double share : new double[] {0.2, 0.3, 0.5, 0.7}) {
            Setup setup = seenFrom(share);
            CrossingLimit limit = CrossingLimit.of(setup);
            double width = setup.line().widthMm();
            assertThat(reads(setup, width, setup.speedMmPerS())).isEqualTo(limit.loops());
            assertThat(reads(setup, width, 0.99 * limit.fastestMmPerS())).isEqualTo(1);
            assertThat(reads(setup, width, 1.02 * limit.fastestMmPerS())).isZero();
            assertThat(reads(setup, 1.01 * limit.narrowestMm(), setup.speedMmPerS()))
                    .isPositive();
            assertThat(reads(setup, 0.97 * limit.narrowestMm(), setup.speedMmPerS()))
                    .isZero();
        }
    }

    /** Half of a spot lies on a wide line when its middle is over the edge: such a line is seen over its width. */
    @Test
    void aWideLineIsSeenOverItsWidthFromHalfASpotOn() {
        assertThat(CrossingLimit.of(seenFrom(0.5)).seenMm())
                .isCloseTo(Setups.edge().line().widthMm(), within(0.01));
    }

    /** A line much narrower than the spot never fills enough of it. */
    @Test
    void whatIsTooNarrowIsNeverSeen() {
        Setup setup = seenFrom(0.5);
        Setup narrow =
                setup.withLine(new Line(2, setup.line().polarity(), setup.line().tightestRadiusMm()));
        assertThat(CrossingLimit.of(narrow).seenMm()).isZero();
        assertThat(CrossingLimit.of(narrow).loops()).isZero();
    }
}
