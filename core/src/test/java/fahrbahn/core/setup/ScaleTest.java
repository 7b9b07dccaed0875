package fahrbahn.core.setup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The numbers a program works in: those with a name, and up to any number. */
class ScaleTest {
    @ParameterizedTest
    @ValueSource(strings = {"percent", "unit", "permille", "raw", "0-10", "0-255", "0-2.5"})
    void itsWordIsReadAgain(String word) {
        assertThat(Scale.called(word).word()).isEqualTo(word);
    }

    @Test
    void aScaleWithANameIsTheSameHoweverItIsSaid() {
        assertThat(Scale.called("0-100")).isEqualTo(Scale.PERCENT);
        assertThat(Scale.called("0-100").word()).isEqualTo("percent");
        assertThat(Scale.called("raw").isRaw()).isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "0-", "0-0", "10", "0--3", "0-1e400", "0-99999999999999999999", "Percent"})
    void nothingElseIsAScale(String word) {
        assertThatThrownBy(() -> Scale.called(word)).isInstanceOf(BadValueException.class);
    }

    @Test
    void darkIsNothingAndLightIsTheTop() {
        Sensor eye = Setups.edge().robot().sensors().get(0);
        Scale ten = new Scale(10);
        assertThat(ten.scaled(eye, eye.dark())).isZero();
        assertThat(ten.scaled(eye, eye.light())).isEqualTo(10);
        assertThat(ten.scaled(eye, (eye.dark() + eye.light()) / 2)).isCloseTo(5, within(1e-12));
        assertThat(ten.gain(eye)).isCloseTo(10 / eye.contrast(), within(1e-15));
    }
}
