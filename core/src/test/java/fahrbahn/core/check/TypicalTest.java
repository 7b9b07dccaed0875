package fahrbahn.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

class TypicalTest {
    private final Typical trackWidthMm = new Typical(80, 200);

    @Test
    void metresForMillimetresAreOddAndALargeRobotIsNot() {
        assertThat(trackWidthMm.odd(0.13)).isTrue();
        assertThat(trackWidthMm.odd(13)).isTrue();
        assertThat(trackWidthMm.odd(1300)).isTrue();
        assertThat(trackWidthMm.odd(60)).isFalse();
        assertThat(trackWidthMm.odd(350)).isFalse();
        assertThat(trackWidthMm.odd(-13)).as("refused by its bounds").isFalse();
        assertThat(trackWidthMm.odd(0)).as("not there").isFalse();
    }

    @Test
    void theEndsAreInOrder() {
        assertThatThrownBy(() -> new Typical(200, 80)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> new Typical(0, 80)).isInstanceOf(BadValueException.class);
    }
}
