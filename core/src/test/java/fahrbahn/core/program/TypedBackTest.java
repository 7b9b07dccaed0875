package fahrbahn.core.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.program.TypedBack.Handed;
import fahrbahn.core.program.TypedBack.Kind;
import fahrbahn.core.program.TypedBack.Slip;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TypedBackTest {
    private static final List<Handed> HANDED = List.of(
            new Handed("KP", 0.63),
            new Handed("KI", 0),
            new Handed("KD", 1.85),
            new Handed("BASE", 115),
            new Handed("DARK_0", 132));

    private static Map<String, String> right() {
        return new HashMap<>(Map.of("KP", "0.63", "KI", "0", "KD", "1.85", "BASE", "115", "DARK_0", "132.0"));
    }

    @Test
    void whatIsRightIsRight() {
        assertThat(TypedBack.check(HANDED, right(), 0.01)).isEmpty();
        Map<String, String> rounded = right();
        rounded.put("KD", "1,9");
        assertThat(TypedBack.check(HANDED, rounded, 0.01))
                .as("1.9 for 1.85 is three per cent off")
                .hasSize(1);
        rounded.put("KD", "1.85000");
        assertThat(TypedBack.check(HANDED, rounded, 0.01)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "KP, 6.3, DECIMAL",
        "KP, 0.063, DECIMAL",
        "KP, -0.63, SIGN",
        "KP, 1.85, SWAPPED",
        "KP, 0.36, DIGITS",
        "KP, 0.0063, DECIMAL",
        "KD, 0.01850, DECIMAL",
        "KP, 0.7, OTHER",
        "KP, 1, OTHER",
        "KI, 0.1, OTHER",
        "BASE, 151, DIGITS",
        "KD, '', MISSING"
    })
    void aSlipIsFoundAndNamed(String name, String typed, Kind kind) {
        Map<String, String> read = right();
        read.put(name, typed);
        List<Slip> slips = TypedBack.check(HANDED, read, 0.02);
        assertThat(slips).hasSize(1);
        assertThat(slips.get(0).kind()).isEqualTo(kind);
        assertThat(slips.get(0).handed().name()).isEqualTo(name);
    }

    @Test
    void perSecondForPerLoopIsTold() {
        Map<String, String> read = right();
        read.put("KD", "123.3"); // 1.85 over 15 ms
        assertThat(TypedBack.check(HANDED, read, 0.015)).extracting(Slip::kind).containsExactly(Kind.PER_SECOND);
        read.put("KD", "0.02775");
        assertThat(TypedBack.check(HANDED, read, 0.015)).extracting(Slip::kind).containsExactly(Kind.PER_SECOND);
    }

    /** A thousand sets of constants with four digits each: nothing is found where nothing slipped, every slipped point is. */
    @Test
    void slippedPointsAreFoundAndNothingElse() {
        for (int seed = 0; seed < 1000; seed++) {
            Random random = new Random(seed);
            List<Handed> handed = List.of(
                    new Handed("a", Math.round(1000 + 8999 * random.nextDouble()) / 1000.0),
                    new Handed("b", Math.round(1000 + 8999 * random.nextDouble()) / 10.0),
                    new Handed("c", -Math.round(1000 + 8999 * random.nextDouble()) / 100.0));
            Map<String, String> read = new HashMap<>();
            handed.forEach(h -> read.put(h.name(), String.valueOf(h.value())));
            assertThat(TypedBack.check(handed, read, 0.013)).as("seed %d", seed).isEmpty();
            Handed slipped = handed.get(random.nextInt(3));
            read.put(
                    slipped.name(),
                    String.format(Locale.ROOT, "%.5f", slipped.value() * (random.nextBoolean() ? 10 : 0.1)));
            List<Slip> slips = TypedBack.check(handed, read, 0.013);
            assertThat(slips).as("seed %d", seed).hasSize(1);
            assertThat(slips.get(0).handed()).isEqualTo(slipped);
            assertThat(slips.get(0).kind()).isIn(Kind.DECIMAL, Kind.SWAPPED);
        }
    }

    @Test
    void whatIsNoNumberIsRefused() {
        Map<String, String> read = right();
        read.put("KP", "fast");
        assertThatThrownBy(() -> TypedBack.check(HANDED, read, 0.01))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("KP is 'fast'");
    }
}
