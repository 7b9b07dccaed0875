package fahrbahn.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class PlainTextTest {
    @Test
    void whatNoDrawingMayHoldStandsAsUnknown() {
        assertThat(PlainText.of("a\u0000b\u001b[31m\u009b\u202e\u2066\ud800x\uffff"))
                .isEqualTo("a\ufffdb\ufffd[31m\ufffd\ufffd\ufffd\ufffdx\ufffd");
    }

    @Test
    void allElseStays() {
        String words = "Łoś & <b> \"x\" \t\n – 🦊 日本";
        assertThat(PlainText.of(words)).isEqualTo(words);
    }
}
