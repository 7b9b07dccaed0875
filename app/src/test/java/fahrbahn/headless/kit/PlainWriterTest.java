package fahrbahn.headless.kit;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.json.JsonMapper;
import fahrbahn.headless.Headless;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a file brings in is shown on a terminal and never obeyed. */
class PlainWriterTest {
    @TempDir
    private Path folder;

    @Test
    void whatATerminalObeysIsWrittenAsANumber() {
        StringWriter shown = new StringWriter();
        PrintWriter out = PlainWriter.of(shown);
        out.println(
                "red \u001b[31m, one byte \u009b2J, back \b, over\rwritten, turned \u202e, \u2066x, rubbed out \u007f");
        out.print("\ttab, \u0141o\u015b, \u2013\n");
        out.flush();
        assertThat(shown.toString())
                .contains("\\u001b[31m", "\\u009b2J", "\\u0008", "over\\u000dwritten", "\\u202e", "\\u2066x", "\\u007f")
                .contains("\ttab, \u0141o\u015b, \u2013\n")
                .doesNotContain("\u001b", "\u009b", "\r", "\u202e");
    }

    /** In whatever language the machine is set, an answer is UTF-8. */
    @Test
    void anAnswerIsUtf8() {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        PrintWriter out = PlainWriter.of(new PrintStream(bytes, true, StandardCharsets.US_ASCII));
        out.println("\u0141o\u015b");
        assertThat(bytes.toString(StandardCharsets.UTF_8)).isEqualTo("\u0141o\u015b" + System.lineSeparator());
    }

    /** A name with an escape in it: the answer is JSON still, and the message names it without it. */
    @Test
    void aCommandsAnswerAndMessagesArePlain() throws Exception {
        Path file = folder.resolve("odd\u001b[2J.setup.json");
        Files.writeString(file, "{}");
        StringWriter messages = new StringWriter();
        int exit = Headless.run(
                Headless.commandLine().setErr(PlainWriter.of(messages)).setOut(PlainWriter.of(new StringWriter())),
                "lane",
                file.toString());
        assertThat(exit).isEqualTo(2);
        assertThat(messages.toString()).contains("odd\\u001b[2J").doesNotContain("\u001b");
        StringWriter answer = new StringWriter();
        PlainWriter.of(answer).print(JsonMapper.builder().build().writeValueAsString("a\u009bb\u202e"));
        assertThat(JsonMapper.builder().build().readTree(answer.toString()).textValue())
                .isEqualTo("a\u009bb\u202e");
    }
}
