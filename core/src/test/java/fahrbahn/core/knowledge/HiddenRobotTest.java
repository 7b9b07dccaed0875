package fahrbahn.core.knowledge;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Setups;
import fahrbahn.core.setup.Setup;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class HiddenRobotTest {
    private static final int ROBOTS = 400;

    @ParameterizedTest
    @EnumSource(
            value = Constant.class,
            names = {"FREE_SPEED", "TRACK_WIDTH", "LAG", "LOOP_TIME", "SPOT"})
    void aConstantIsAsFarOffAsGuessesUsuallyAre(Constant constant) {
        Random random = new Random(3);
        double guess = constant.of(Setups.pair());
        double squares = 0;
        for (int i = 0; i < ROBOTS; i++) {
            double off = constant.of(HiddenRobot.of(Setups.pair(), random)) / guess - 1;
            assertThat(Math.abs(off)).isLessThanOrEqualTo(constant.guessShare() + 1e-9);
            squares += off * off / ROBOTS;
        }
        // Half the share, less the cut at two standard deviations; the spread of 400 draws is known to a twenty-eighth.
        assertThat(Math.sqrt(squares) / constant.guessShare()).isBetween(0.40, 0.54);
    }

    @Test
    void theSameSeedHidesTheSameRobotAndTheRestStays() {
        Setup pair = Setups.pair();
        Setup hidden = HiddenRobot.of(pair, new Random(8));
        assertThat(HiddenRobot.of(pair, new Random(8))).isEqualTo(hidden);
        assertThat(hidden.law()).isEqualTo(pair.law());
        assertThat(hidden.line()).isEqualTo(pair.line());
        assertThat(Constant.DEAD_ZONE.of(hidden))
                .as("nobody guesses one; there is one")
                .isPositive();
    }
}
