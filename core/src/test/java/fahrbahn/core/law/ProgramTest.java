package fahrbahn.core.law;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Repeated;
import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Setup;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The program against a second one written from the description alone, for every law, scale, mixing, limit and reflex, drawn at random. */
class ProgramTest extends Repeated {
    private static final int TICKS = 120;

    @ParameterizedTest
    @EnumSource(ErrorSignal.class)
    void doesWhatTheSecondProgramDoes(ErrorSignal kind) {
        int setups = times(30, 120);
        Random random = new Random(kind.ordinal() + 70);
        double steered = 0;
        int marked = 0;
        int decided = 0;
        for (int i = 0; i < setups; i++) {
            Setup setup = DrawnLaws.drawn(random, kind);
            Program program = new Program(setup);
            PlainLaw plain = new PlainLaw(setup);
            for (int tick = 0; tick < TICKS; tick++) {
                Map<String, Double> byName = DrawnLaws.readings(random, setup, program.sensors(), tick);
                double[] readings =
                        program.sensors().stream().mapToDouble(byName::get).toArray();
                double seconds = 0.005 + 0.01 * random.nextDouble();
                program.tick(readings, seconds);
                plain.tick(byName, seconds);
                double scale = setup.robot().drive().fullCommand();
                assertThat(program.steering())
                        .as("tick %d of %s", tick, setup)
                        .isCloseTo(plain.steering, within(1e-9 * scale));
                assertThat(program.left()).as("left").isCloseTo(plain.left, within(1e-9 * scale));
                assertThat(program.right()).as("right").isCloseTo(plain.right, within(1e-9 * scale));
                assertThat(program.error())
                        .as("error")
                        .isCloseTo(plain.error, within(1e-9 * (1 + Math.abs(plain.error))));
                steered += Math.abs(program.steering()) > 0 ? 1 : 0;
            }
            if (program.turns() != null) {
                marked++;
                decided += program.turns().decisions();
            }
        }
        assertThat(marked).isGreaterThan(setups / 4);
        assertThat(decided).as("crossings met").isGreaterThan(times(2, 4) * marked);
        assertThat(steered / setups / TICKS).as("share of ticks that steer").isGreaterThan(0.3);
    }

    @Test
    void readingsMustBeOfItsSensors() {
        Program program = new Program(Setups.pair());
        assertThat(program.sensors()).containsExactly("left", "right");
        assertThatThrownBy(() -> program.tick(new double[3], 0.01)).isInstanceOf(BadValueException.class);
        program.tick(new double[] {12, 78}, 0.01);
        double first = program.steering();
        program.tick(new double[] {40, 50}, 0.01);
        program.reset();
        program.tick(new double[] {12, 78}, 0.01);
        assertThat(program.steering()).isEqualTo(first);
    }
}
