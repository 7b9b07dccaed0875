package fahrbahn.core.path;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PlaceOnCourseTest {
    private static final List<Part> PARTS = List.of(
            new Part.Straight(300),
            new Part.Bend(100, Math.PI),
            new Part.Gap(60),
            new Part.Bend(100, -Math.PI),
            new Part.Straight(200));

    private static final double BEND = 100 * Math.PI;

    @ParameterizedTest
    @CsvSource({
        "1, 150",
        "straight, 150",
        "straight 2, 1088.32",
        "Bend, 457.08",
        "bend2, 831.24",
        "bend 2, 831.24",
        "gap, 644.16",
        "3, 644.16",
        "1.25 m, 1250",
        "'1,25 m', 1250",
        "40 cm, 400",
        "812mm, 812"
    })
    void aPlaceIsFoundByWhatItIsCalled(String words, double mm) {
        assertThat(PlaceOnCourse.mm(PARTS, words).orElseThrow()).isCloseTo(mm, within(0.01));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "0", "6", "bend 3", "ramp", "somewhere", "-3", "1e9 m", "99999", "1.2.3 m", "bend -1"})
    void whatIsNotThereIsNotFound(String words) {
        assertThat(PlaceOnCourse.mm(PARTS, words)).isEmpty();
    }

    @Test
    void onAMatOnlyLengthsAreUnderstood() {
        assertThat(PlaceOnCourse.mm(List.of(), "2")).isEmpty();
        assertThat(PlaceOnCourse.mm(List.of(), "0.4 m").orElseThrow()).isEqualTo(400);
        assertThat(PlaceOnCourse.mm(PARTS, "2").orElseThrow()).isCloseTo(300 + BEND / 2, within(1e-9));
    }
}
