package fahrbahn.core.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** Figures of ticks whose figures are known: a sine over its path, steered likewise. */
class RunFiguresTest {
    private static final int TICKS = 1000;

    /** @param amplitudeMm of ten whole swings, from which it starts */
    private static RunFigures swings(double amplitudeMm) {
        RunFigures figures = new RunFigures(100);
        for (int i = 0; i < TICKS; i++) {
            double phase = 2 * Math.PI * (10.0 * i / TICKS) + 0.3;
            figures.add(amplitudeMm * Math.sin(phase), 20 * Math.sin(phase));
        }
        return figures;
    }

    @Test
    void aSwingCrossesItsPathTwice() {
        RunFigures figures = swings(3);
        assertThat(figures.pathCrossingsPerM(2000)).isEqualTo(10);
        assertThat(figures.reversalsPerM(2000)).isEqualTo(10);
        assertThat(figures.rmsMm()).isCloseTo(3 / Math.sqrt(2), within(1e-9));
        // Four times its amplitude a swing, less what a thousand ticks cut off its tops.
        assertThat(figures.travelPerM(2000)).isCloseTo(10 * 4 * 0.2 / 2, within(0.01));
        assertThat(figures.wigglePeriodS(0.01).orElseThrow()).isCloseTo(1, within(0.01));
    }

    /** Less than a tenth of a millimetre to both sides is noise, however often it changes sides. */
    @Test
    void noiseAboutThePathIsNoCrossing() {
        assertThat(swings(0.09).pathCrossingsPerM(2000)).isZero();
        assertThat(swings(0.09).wigglePeriodS(0.01)).isEmpty();
    }
}
