package fahrbahn.core.trials;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.statistics.Completion;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TypedRunsTest {
    @ParameterizedTest
    @CsvSource({"7 of 10, 7, 10", "7/10, 7, 10", "3 of 10 missed, 7, 10", "0 of 10 lost, 10, 10", "10 OF 10 ran, 10, 10"
    })
    void countsAreRead(String typed, int completed, int runs) {
        assertThat(TypedRuns.parse("A", typed).completion()).isEqualTo(Completion.of(completed, runs));
    }

    @Test
    void lapsInARowAreRead() {
        Group group = TypedRuns.parse("A", " 12.3 12,1 x 12.9 ");
        assertThat(group.completion()).isEqualTo(Completion.of(3, 4));
        assertThat(group.timeS().mean()).isCloseTo((12.3 + 12.1 + 12.9) / 3, within(1e-12));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "seven of ten", "11 of 10", "0 of 0", "12.3 fast", "0", "-3", "1e9", "7 of 10 of 3"})
    void nonsenseIsRefusedByName(String typed) {
        assertThatThrownBy(() -> TypedRuns.parse("A", typed))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("A");
    }

    /** 0 of 10 missed against 3 of 10: Fisher's exact test in closed form, 2 C(10,3)/C(20,3) = 0.2105 for both tails. */
    @Test
    void theArgumentOfEveryEvening() {
        Comparison compared =
                Comparison.of(TypedRuns.parse("A", "0 of 10 missed"), TypedRuns.parse("B", "3 of 10 missed"));
        assertThat(compared.completion().p()).isCloseTo(2 * 120.0 / 1140.0, within(1e-9));
        assertThat(compared.completion().moreRunsEach()).isEqualTo(11);
    }
}
