package fahrbahn.core.marks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.colour.Channel;
import java.util.ArrayList;
import java.util.List;
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

    private static List<MarkSample> drawn(Random random, String surface, double red, double green, double blue) {
        List<MarkSample> samples = new ArrayList<>();
        for (int i = 0; i < 4000; i++) {
            samples.add(new MarkSample(
                    surface,
                    "",
                    red + random.nextGaussian(),
                    green + random.nextGaussian(),
                    blue + random.nextGaussian()));
        }
        return samples;
    }

    /** Channels with noise of their own, alike: their sum is the better by the root of three. Only red sees the line: the worse by as much. */
    @Test
    void addingAlikeChannelsWinsAndAddingBlindOnesCosts() {
        Random random = new Random(8);
        List<ChannelChoice> alike =
                ChannelChoice.of(drawn(random, "dark", 0, 0, 0), drawn(random, "light", 10, 10, 10));
        assertThat(alike.get(0).channel()).isEqualTo(Channel.ALL);
        assertThat(alike.get(0).surelyBetterThan(alike.get(1))).isTrue();
        assertThat(alike.get(1).noiseAgainst(alike.get(0)))
                .as("4000 readings tell a separation to 1 %")
                .isCloseTo(Math.sqrt(3), within(0.04));

        List<ChannelChoice> redAlone =
                ChannelChoice.of(drawn(random, "dark", 0, 0, 0), drawn(random, "light", 10, 0, 0));
        assertThat(redAlone).extracting(ChannelChoice::channel).startsWith(Channel.RED, Channel.ALL);
        assertThat(redAlone.get(1).noiseAgainst(redAlone.get(0))).isCloseTo(Math.sqrt(3), within(0.04));
    }
}
