package fahrbahn.app.kit;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class DigitsTest {
    private long nowNs;
    private final Digits digits = new Digits(() -> nowNs);

    private int after(long ns) {
        nowNs += ns;
        return digits.next();
    }

    @Test
    void digitsThatFollowEachOtherAtOnceAreANumber() {
        assertThat(after(0)).isEqualTo(1);
        assertThat(after(Digits.AT_ONCE_NS - 1)).isEqualTo(2);
        assertThat(after(Digits.AT_ONCE_NS - 1)).isEqualTo(3);
        assertThat(after(Digits.AT_ONCE_NS)).as("a pause begins another").isEqualTo(1);
    }

    @Test
    void anotherKeyEndsANumber() {
        assertThat(after(0)).isEqualTo(1);
        digits.over();
        assertThat(after(1)).isEqualTo(1);
    }
}
