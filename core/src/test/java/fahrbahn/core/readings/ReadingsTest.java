package fahrbahn.core.readings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.Repeated;
import java.io.StringReader;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ReadingsTest extends Repeated {
    private static ReadingsFile read(String text) throws Exception {
        return ReadingsFile.read(new StringReader(text));
    }

    @Test
    void sensorsAreTheNumericColumnsThatAreNotKnownByName() throws Exception {
        ReadingsFile file = read(
                "\uFEFF# club mat\r\ntS,surface,who,left,right\r\n0.01,Dark,\"x, y\",12,13\r\n0.02,light,z,80,81\r\n");
        assertThat(file.sensors()).containsExactly("left", "right");
        assertThat(file.readings().get(0).surface()).isEqualTo("dark");
        assertThat(file.readings().get(1).values()).containsExactly(80, 81);
        assertThat(file.readings().get(1).tS()).isEqualTo(0.02);
    }

    @Test
    void decimalCommaIsUnderstoodWithSemicolonOrTab() throws Exception {
        assertThat(read("surface;eye\ndark;12,5\n").readings().get(0).value(0)).isEqualTo(12.5);
        assertThat(read("surface\teye\ndark\t-0,25\n").readings().get(0).value(0))
                .isEqualTo(-0.25);
    }

    @Test
    void brokenFilesNameTheLineAndTheValue() {
        assertThatThrownBy(() -> read("surface,eye\ndark,12\ndark,1x\n"))
                .isInstanceOf(BadReadingsException.class)
                .hasMessageContaining("Line 3")
                .hasMessageContaining("'1x'")
                .hasMessageContaining("Nothing was imported");
        assertThatThrownBy(() -> read("a,b\n1,2\n3\n")).hasMessageContaining("1 values where the header has 2");
        assertThatThrownBy(() -> read("")).hasMessageContaining("empty");
        assertThatThrownBy(() -> read("surface,note\ndark,hello\n")).hasMessageContaining("no column of numbers");
        assertThatThrownBy(() -> read("eye\n1\nNaN\n")).hasMessageContaining("'NaN'");
        assertThatThrownBy(() -> read("eye,eye\n1\n")).hasMessageContaining("twice");
    }

    @Test
    void liveStreamSkipsAndCountsBrokenLinesAndFollowsNewColumns() {
        LineDecoder decoder = new LineDecoder();
        assertThat(decoder.line("# hello")).isEmpty();
        assertThat(decoder.line("tS,left,right")).isEmpty();
        assertThat(decoder.line("0.01,500,510")).isPresent();
        assertThat(decoder.sensors()).isEqualTo(List.of("left", "right"));
        assertThat(decoder.line("0.02,50")).isEmpty();
        assertThat(decoder.line("garbage")).isEmpty();
        assertThat(decoder.line("0.03,501,511")).isPresent();
        assertThat(decoder.brokenLines()).isEqualTo(1);
        decoder.line("a,b,c");
        assertThat(decoder.line("1,2,3").orElseThrow().values()).containsExactly(1, 2, 3);
        assertThat(decoder.sensors()).containsExactly("a", "b", "c");
    }

    @Test
    void streamJoinedAfterItsHeaderGetsColumnsByPlace() {
        LineDecoder decoder = new LineDecoder();
        assertThat(decoder.line("500,510").orElseThrow().values()).containsExactly(500, 510);
        assertThat(decoder.sensors()).containsExactly("sensor 1", "sensor 2");
    }

    @Test
    void garbageWithANumberInItIsNoReading() {
        LineDecoder decoder = new LineDecoder();
        assertThat(decoder.line("%$&,1")).isEmpty();
        assertThat(decoder.line("12;x3")).isEmpty();
        assertThat(decoder.brokenLines()).isEqualTo(2);
        assertThat(decoder.line("500;510").orElseThrow().values()).containsExactly(500, 510);
    }

    /** Whatever comes over the wire, a decoder answers and goes on. */
    @Test
    void noScrapOfTextBreaksTheDecoder() {
        Random random = new Random(3);
        String alphabet = "0123456789.,;\t-+eE#\"'abcNaN \u00e9\0";
        LineDecoder decoder = new LineDecoder();
        for (int i = 0; i < times(2_000, 20_000); i++) {
            StringBuilder line = new StringBuilder();
            for (int k = random.nextInt(24); k > 0; k--) {
                line.append(alphabet.charAt(random.nextInt(alphabet.length())));
            }
            decoder.line(line.toString());
        }
        decoder.line("tS,left");
        assertThat(decoder.line("0.5,7")).isPresent();
        assertThat(decoder.sensors()).containsExactly("left");
    }
}
