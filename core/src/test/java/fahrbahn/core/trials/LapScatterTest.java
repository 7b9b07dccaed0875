package fahrbahn.core.trials;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.statistics.Effect;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What one lap of each tells once it is known how much laps scatter. */
class LapScatterTest {
    private static Group laps(String name, double... timesS) {
        List<Outcome> outcomes = new ArrayList<>();
        for (double time : timesS) {
            outcomes.add(Outcome.of(true, time));
        }
        return new Group(name, outcomes);
    }

    private static double[] drawn(Random random, double mean, double sd, int n) {
        return random.doubles(n).map(u -> mean + sd * random.nextGaussian()).toArray();
    }

    /** By hand: 12.1 against 11.4 with 0.2 s typed, 1.96 x 0.2 x root 2 either side; laps as long scatter as much. */
    @Test
    void oneLapEachByATypedScatter() {
        LapScatter known = LapScatter.typed(0.2, 11.75);
        Effect time = Comparison.of(laps("A", 12.1), laps("B", 11.4), known).timeS();
        double sdA = 0.2 / 11.75 * 12.1;
        double sdB = 0.2 / 11.75 * 11.4;
        assertThat(time.size()).isCloseTo(-0.7, within(1e-9));
        assertThat(time.high() - time.size()).isCloseTo(1.959964 * Math.hypot(sdA, sdB), within(1e-6));
        assertThat(time.shown()).isTrue();
        assertThat(time.moreRunsEach()).isZero();
        Effect wide = Comparison.of(laps("A", 12.1), laps("B", 11.4), LapScatter.typed(0.6, 11.75))
                .timeS();
        assertThat(wide.shown()).isFalse();
        // 2 (0.6 / 0.7)^2 (1.96 + 0.84)^2 = 11.5 laps each by the normal formula, a lap or two more by Student's.
        assertThat(wide.moreRunsEach()).isBetween(11, 13);
    }

    /** Scatters within groups, by their degrees of freedom: (2 x 0.01^2 + 1 x 0.02^2) / 3. */
    @Test
    void groupsArePooledByTheirDegreesOfFreedom() {
        Group three = laps("a", 9.9, 10, 10.1);
        Group two = laps("b", 20 * (1 - 0.02 / Math.sqrt(2)), 20 * (1 + 0.02 / Math.sqrt(2)));
        LapScatter pooled =
                LapScatter.pooled(List.of(three, two, laps("c", 14))).orElseThrow();
        assertThat(pooled.freedom()).isEqualTo(3);
        assertThat(pooled.share()).isCloseTo(Math.sqrt((2 * 1e-4 + 4e-4) / 3), within(1e-9));
        assertThat(LapScatter.pooled(List.of(laps("c", 14)))).isEmpty();
        assertThat(LapScatter.pooled(List.of(laps("d", 12.3, 12.3, 12.3)))
                        .orElseThrow()
                        .share())
                .as("a stopwatch that reads the same has a resolution")
                .isCloseTo(0.1 / Math.sqrt(12) / 12.3, within(1e-9));
    }

    /** One lap each and a log book of eleven laps: the interval holds the true difference in 95 %, to three errors of 4000. */
    @Test
    void theIntervalCoversWithAScatterOfTheLogBook() {
        Random random = new Random(21);
        int held = 0;
        int cases = 4000;
        for (int i = 0; i < cases; i++) {
            List<Group> book = List.of(laps("a", drawn(random, 15, 0.3, 6)), laps("b", drawn(random, 15, 0.3, 5)));
            LapScatter known = LapScatter.pooled(book).orElseThrow();
            Effect time = Comparison.of(
                            laps("A", drawn(random, 15, 0.3, 1)), laps("B", drawn(random, 14.8, 0.3, 1)), known)
                    .timeS();
            held += time.low() <= -0.2 && time.high() >= -0.2 ? 1 : 0;
        }
        assertThat(held / (double) cases).isCloseTo(0.95, within(3 * Math.sqrt(0.95 * 0.05 / cases)));
    }

    @Test
    void ownLapsAreGoneByWhereThereAreEnough() {
        Group a = laps("A", 12, 12.2, 12.1);
        Group b = laps("B", 11.9, 12, 12.3);
        assertThat(Comparison.of(a, b, LapScatter.typed(5, 12)).timeS())
                .isEqualTo(Comparison.of(a, b).timeS());
        assertThat(Comparison.fewLaps(a, b)).isFalse();
        assertThat(Comparison.fewLaps(a, laps("B", 12))).isTrue();
    }

    @Test
    void aScatterOfNothingIsRefused() {
        assertThatThrownBy(() -> LapScatter.typed(0, 12)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> LapScatter.typed(Double.NaN, 12)).isInstanceOf(BadValueException.class);
    }
}
