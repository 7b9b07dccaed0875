package fahrbahn.core.setup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.difference.Aspect;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.difference.SetupDifference;
import org.junit.jupiter.api.Test;

class SetupTest {
    @Test
    void mixingsTurnLeftForPositiveSteeringAndMirror() {
        assertThat(Mixing.DIFFERENCE.leftCommand(40, 10)).isEqualTo(30);
        assertThat(Mixing.DIFFERENCE.leftCommand(40, -10)).isEqualTo(50);
        assertThat(Mixing.INNER_WHEEL.leftCommand(40, 25)).isEqualTo(20);
        assertThat(Mixing.INNER_WHEEL.leftCommand(40, 100)).isEqualTo(-40);
        assertThat(Mixing.INNER_WHEEL.leftCommand(40, -25)).isEqualTo(40);
    }

    @Test
    void notANumberIsRefusedEverywhere() {
        assertThatThrownBy(() -> new Loop(Double.NaN, 0)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> new Line(Double.NaN, Polarity.DARK_ON_LIGHT, 100))
                .isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> new Drive(100, 500, Double.NaN, Mixing.DIFFERENCE, 100))
                .hasMessageContaining("lagS is NaN; it must be from 0 to 5");
        assertThatThrownBy(() -> Setups.sensor("x", Double.NaN, 0)).hasMessageContaining("forwardMm is NaN");
    }

    @Test
    void differencesAreNamedWithBothValues() {
        Setup before = Setups.pair();
        Setup after = before.withRobot(before.robot().withLoop(new Loop(0.02, 0.006)))
                .withLaw(before.law().withGains(0.25, 0, 0.3));
        assertThat(SetupDifference.between(before, after))
                .containsExactly(
                        Cause.setting(Aspect.LOOP, "loop time (s)", 0.01, 0.02),
                        Cause.setting(Aspect.GAINS, "Kp", 0.2, 0.25));
        assertThat(SetupDifference.physical(before, after)).hasSize(1);
        assertThat(SetupDifference.between(after, after)).isEmpty();
    }

    @Test
    void sensorsOfAPairAreListedFromLeftToRight() {
        Setup pair = Setups.pair();
        assertThatThrownBy(() -> pair.withRobot(pair.robot().withSensor(0, Setups.sensor("left", 55, -20))))
                .hasMessageContaining("listed from left to right");
    }
}
