package fahrbahn.core.loop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.setup.Setup;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The wiggle of a loop at its border, read as a stopwatch would. */
class WiggleClockTest {
    static Stream<Setup> setups() {
        return Setups.drawn(5, 12).stream();
    }

    /** The clock is read off the onset's own period: lag and gain come back. Its continuous delay T/2 for the hold errs a little. */
    @ParameterizedTest
    @MethodSource("setups")
    void countingWigglesGivesTheLagBack(Setup setup) {
        LoopModel model = LoopModel.of(setup);
        WiggleOnset onset =
                WiggleOnset.along(new SampledLoop(model), GainRay.PROPORTIONAL).orElseThrow();
        WiggleClock clock = WiggleClock.of(onset.periodS(), model);
        // T/2 stands for the hold up to second order in omega*T; 5 % of the lag and 2 ms cover the fastest of these.
        assertThat(clock.lagS()).isCloseTo(model.lagS(), within(0.05 * model.lagS() + 0.002));
        assertThat(clock.onsetKp()).isCloseTo(onset.kp(), within(0.05 * onset.kp()));
    }

    @Test
    void aWiggleTooFastForItsLeadIsRefused() {
        assertThatThrownBy(() -> WiggleClock.of(0.02, LoopModel.of(Setups.edge())))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("periodS is 0.02");
        assertThatThrownBy(() -> WiggleClock.of(Double.NaN, LoopModel.of(Setups.edge())))
                .hasMessageContaining("NaN");
    }
}
