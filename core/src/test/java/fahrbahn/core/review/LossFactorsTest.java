package fahrbahn.core.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.review.LossFactors.Condition;
import fahrbahn.core.review.LossFactors.Factor;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;

class LossFactorsTest {
    /** Standard deviations of {@link Spread#TYPICAL}; its normals are cut off at 2.5 of them. */
    private static final double BATTERY = 0.03;

    private static final double HEADING = 0.03;

    private static LossFactors factors(long seed, int runs, Predicate<Start> lost) {
        List<Start> starts = new ArrayList<>();
        boolean[] which = new boolean[runs];
        for (int i = 0; i < runs; i++) {
            starts.add(Spread.TYPICAL.draw(0, seed, i));
            which[i] = lost.test(starts.get(i));
        }
        return LossFactors.of(starts, which);
    }

    /**
     * Lost by a low battery or a start to the left: chances 0.25 and 0.35, where two of the twenty classes end. Lost are 1 - 0.75*0.65, so by
     * hand the shares are 0.65^2*0.25*0.75/0.2498 and 0.75^2*0.35*0.65/0.2498.
     */
    @Test
    void sharesAreThoseOfTheClosedForm() {
        LossFactors found = factors(
                3,
                20_000,
                s -> s.variation().batteryShare() < 1 - 0.6745 * BATTERY || s.headingRad() > 0.3853 * HEADING);
        assertThat(found.told())
                .extracting(Factor::condition)
                .containsExactly(Condition.START_ANGLE, Condition.BATTERY);
        // A class holds 1000 runs: the shares scatter by less than 0.01, and normals cut at 2.5 move no class.
        assertThat(found.told().get(0).share()).as("start angle").isCloseTo(0.512, within(0.03));
        assertThat(found.told().get(1).share()).as("battery").isCloseTo(0.317, within(0.03));
        assertThat(found.told().get(0).side()).isEqualTo(1);
        assertThat(found.told().get(1).side()).isEqualTo(-1);
        assertThat(found.told().get(1).lostMean())
                .isLessThan(found.told().get(1).otherMean());
    }

    /** Far off to either side is lost: the means do not differ, the shares tell. */
    @Test
    void aConditionThatLosesToBothSidesIsFound() {
        LossFactors found = factors(5, 2000, s -> Math.abs(s.offsetMm()) > 4.5);
        assertThat(found.told()).extracting(Factor::condition).containsExactly(Condition.START_PLACE);
        assertThat(found.told().get(0).side()).isZero();
    }

    /** Lists of runs lost by nothing in particular: a name in few of them. */
    @Test
    void whatChanceAloneDoesIsNotTold() {
        Random random = new Random(8);
        int named = 0;
        for (int i = 0; i < 300; i++) {
            named += factors(i, 200, s -> random.nextInt(5) == 0).told().isEmpty() ? 0 : 1;
        }
        // 300 lists at 2 % each: 6 expected, more than 15 in fewer than 1 of 1000.
        assertThat(named).as("lists with a name").isLessThanOrEqualTo(15);
    }

    @Test
    void noneAndAllLostHaveNoReasons() {
        assertThat(factors(1, 200, s -> false).told()).isEmpty();
        assertThat(factors(1, 200, s -> true).told()).isEmpty();
        assertThat(factors(1, 200, s -> true).lost()).isEqualTo(200);
    }
}
