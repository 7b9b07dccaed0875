package fahrbahn.words;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.check.BadValueException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is refused is told in the coach's words, without the program's names and without digits that mean nothing. */
class RefusalsTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            radiusMm                    | -3                    | The radius is -3 mm; it must be above 0.
            robot.drive.trackWidthMm    | 0.000000000000268     | The track width is 0 mm; it must be above 0.
            robot.sensors[2].spotSigmaMm| 900.1234567           | The spot is 900.123 mm; it must be above 0.
            freeSpeedMmPerS             | NaN                   | The free speed is none mm/s; it must be above 0.
            loop.periodS                | 12                    | The loop time is 12 s; it must be above 0.
            lightShare                  | 7                     | The light is 7; it must be above 0.
            forwardMm                   | 5000                  | The lead is 5000 mm; it must be above 0.
            the time                    | 'later'               | the time is later; it must be above 0.
            distance, mm                | -3                    | distance, mm is -3; it must be above 0.
            loops                       | -3                    | loops is -3; it must be above 0.
            """)
    void namesAndDigits(String field, String value, String said) {
        assertThat(Refusals.sentence(new BadValueException(field, value, "above 0")))
                .isEqualTo(said);
    }

    @Test
    void otherTroubleKeepsItsWordsAndEndsOnce() {
        assertThat(Refusals.sentence(new IllegalStateException("Nothing there.")))
                .isEqualTo("Nothing there.");
        assertThat(Refusals.sentence(new IllegalStateException("Nothing there")))
                .isEqualTo("Nothing there.");
    }

    @Test
    void whatIsLeftOfASumIsNothing() {
        assertThat(Words.number(2.68e-13)).isEqualTo("0");
        assertThat(Words.number(-2.68e-13, 6)).isEqualTo("0");
        assertThat(Words.number(2.5e-6)).isEqualTo("0.0000025");
    }
}
