package fahrbahn.core.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.setup.Channel;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** How well a channel tells line from ground, and how sure that is. */
class ChannelChoiceTest {
    private static double[] drawn(Random random, double mean, int n) {
        double[] readings = new double[n];
        for (int i = 0; i < n; i++) {
            readings[i] = mean + random.nextGaussian();
        }
        return readings;
    }

    /** By hand: means 2 and 12, both with variance 1, so 10 apart in their own scatter. */
    @Test
    void theSeparationIsContrastOverScatter() {
        ChannelChoice choice = ChannelChoice.of(
                Channel.RED, new double[] {1, 2, 3, 1, 2, 3, 2}, new double[] {11, 12, 13, 11, 12, 13, 12});
        assertThat(choice.separation()).isCloseTo(10 / Math.sqrt(4 / 6.0), within(1e-9));
        double separation = choice.separation();
        double variance = 14.0 / 49 + separation * separation / (2 * 12);
        assertThat(choice.plusMinus()).isCloseTo(1.96 * Math.sqrt(variance), within(1e-9));
    }

    /** Of many captures of surfaces so many sigmas apart the interval holds the truth in about 95 %. */
    @ParameterizedTest
    @ValueSource(doubles = {1.5, 4, 9})
    void theIntervalCovers(double truth) {
        Random random = new Random(12);
        int held = 0;
        int captures = 2000;
        for (int i = 0; i < captures; i++) {
            ChannelChoice choice = ChannelChoice.of(Channel.GREEN, drawn(random, 0, 80), drawn(random, truth, 80));
            held += Math.abs(choice.separation() - truth) <= choice.plusMinus() ? 1 : 0;
        }
        assertThat(held / (double) captures).isBetween(0.93, 0.97);
    }

    /** Alike channels are told apart as rarely as two intervals allow, far ones always. */
    @Test
    void sureIsOnlyWhatBothLeaveNoDoubtOf() {
        Random random = new Random(5);
        int alike = 0;
        int far = 0;
        for (int i = 0; i < 500; i++) {
            ChannelChoice four = ChannelChoice.of(Channel.RED, drawn(random, 0, 60), drawn(random, 4, 60));
            ChannelChoice fourToo = ChannelChoice.of(Channel.BLUE, drawn(random, 0, 60), drawn(random, 4, 60));
            ChannelChoice nine = ChannelChoice.of(Channel.GREEN, drawn(random, 0, 60), drawn(random, 9, 60));
            alike += four.surelyBetterThan(fourToo) ? 1 : 0;
            far += nine.surelyBetterThan(four) ? 1 : 0;
        }
        assertThat(alike / 500.0).as("one side of 95 %").isLessThan(0.05);
        assertThat(far).isEqualTo(500);
    }
}
