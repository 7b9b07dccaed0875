package fahrbahn.core.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.readings.SurfaceStats;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LevelsTest {
    private static SurfaceStats surface(double mean, double sd) {
        return new SurfaceStats(50, List.of(), mean, mean, sd);
    }

    @Test
    void equalScatterPutsTheBestLevelInTheMiddle() {
        Levels levels = new Levels(surface(20, 2), surface(60, 2));
        assertThat(levels.bestLevel()).isCloseTo(levels.midpoint(), within(1e-9));
        assertThat(levels.separation()).isCloseTo(20, within(1e-12));
    }

    @Test
    void bestLevelHasFewerMisreadsThanAnyNeighbour() {
        Levels levels = new Levels(surface(30, 2), surface(44, 4));
        double best = levels.misread(levels.bestLevel());
        for (double away : new double[] {-2, -0.5, -0.05, 0.05, 0.5, 2}) {
            assertThat(levels.misread(levels.bestLevel() + away)).isGreaterThan(best);
        }
    }

    @Test
    void turningTheNumbersRoundMirrorsEveryLevel() {
        Levels up = new Levels(surface(30, 2), surface(70, 5));
        Levels down = new Levels(surface(-30, 2), surface(-70, 5));
        assertThat(down.bestLevel()).isCloseTo(-up.bestLevel(), within(1e-9));
        assertThat(down.bandDark()).isCloseTo(-up.bandDark(), within(1e-12));
        assertThat(down.misread(-50)).isCloseTo(up.misread(50), within(1e-18));
    }

    @Test
    void bandOfAlikeSurfacesDoesNotHold() {
        assertThat(new Levels(surface(30, 3), surface(40, 3)).bandHolds()).isFalse();
        assertThat(new Levels(surface(30, 1), surface(40, 1)).bandHolds()).isTrue();
    }

    /** At the margin the misreads are the chance asked for: that is what the margin means. */
    @Test
    void marginIsWhereMisreadsReachTheChance() {
        Levels levels = new Levels(surface(20, 2), surface(60, 2));
        double shift = levels.shiftMargin(40, 1e-3);
        // Shifted by x, one tail dominates: Q((20 - x)/2)/2 = 1e-3, so (20 - x)/2 = 2.8782.
        assertThat(shift).isCloseTo(20 - 2 * 2.878162, within(1e-3));
    }

    @Test
    void outliersAreLeftOutAndNamed() {
        double[] readings = {50, 51, 49, 50, 90, 50, 51, 50, 49, 50};
        SurfaceStats stats = SurfaceStats.of(readings, 1);
        assertThat(stats.leftOut()).containsExactly(4);
        assertThat(stats.mean()).isCloseTo(50, within(1e-12));
    }

    @Test
    void scatterIsNeverBelowThatOfRounding() {
        assertThat(SurfaceStats.of(new double[] {7, 7, 7, 7}, 1).sd()).isCloseTo(1 / Math.sqrt(12), within(1e-15));
        assertThatThrownBy(() -> SurfaceStats.of(new double[] {7}, 1)).isInstanceOf(BadValueException.class);
    }

    @Test
    void statsOfManyNormalReadingsTendToTheTruth() {
        Random random = new Random(5);
        double[] readings = random.doubles(20_000)
                .map(ignored -> 100 + 4 * random.nextGaussian())
                .toArray();
        SurfaceStats stats = SurfaceStats.of(readings, 0);
        // Four standard errors of the mean; leaving out beyond 3.5 sigma narrows the sd by less than 1 %.
        assertThat(stats.mean()).isCloseTo(100, within(4 * 4 / Math.sqrt(20_000)));
        assertThat(stats.sd()).isCloseTo(4, within(0.12));
    }
}
