package fahrbahn.core.law;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class GainSlipTest {
    @Test
    void tenOrAHundredTimesAllOthersIsASlip() {
        assertThat(GainSlip.of(60, 0.6))
                .get()
                .satisfies(slip -> assertThat(slip.times()).isCloseTo(100, within(1e-9)));
        assertThat(GainSlip.of(60, 0.6, 3)).get().isEqualTo(new GainSlip(20, 3));
        assertThat(GainSlip.of(0.06, 0.6, 3))
                .get()
                .satisfies(slip -> assertThat(slip.other()).isEqualTo(0.6));
    }

    @Test
    void whatOneOfTheOthersIsNearToIsNone() {
        assertThat(GainSlip.of(4, 0.6, 3)).isEmpty();
        assertThat(GainSlip.of(2.4, 0.6)).isEmpty();
        assertThat(GainSlip.of(0, 0.6)).as("switched off").isEmpty();
        assertThat(GainSlip.of(60, 0, Double.NaN, Double.POSITIVE_INFINITY))
                .as("nothing is known")
                .isEmpty();
    }
}
