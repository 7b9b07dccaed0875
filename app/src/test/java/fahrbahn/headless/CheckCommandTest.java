package fahrbahn.headless;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import fahrbahn.app.DemoOnce;
import fahrbahn.core.InMemory;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

class CheckCommandTest {
    @TempDir(factory = InMemory.class)
    private Path folder;

    private Path season;
    private String err;

    @BeforeEach
    void demo() throws Exception {
        season = folder.resolve("demo.fahrbahn");
        DemoOnce.copyTo(season);
    }

    private int run(StringWriter out, Object... arguments) {
        StringWriter messages = new StringWriter();
        CommandLine commands =
                Headless.commandLine().setOut(new PrintWriter(out, true)).setErr(new PrintWriter(messages, true));
        int exit = Headless.run(
                commands, Arrays.stream(arguments).map(String::valueOf).toArray(String[]::new));
        err = messages.toString();
        return exit;
    }

    private JsonNode answer(Object... arguments) throws Exception {
        StringWriter out = new StringWriter();
        assertThat(run(out, arguments)).as(err).isZero();
        return JsonMapper.builder().build().readTree(out.toString());
    }

    @Test
    void aSoundSeasonIsSoundAndUntouched() throws Exception {
        byte[] before = Files.readAllBytes(season);
        JsonNode check = answer("check", season);
        assertThat(check.get("sound").booleanValue()).isTrue();
        assertThat(check.get("problem").isNull()).isTrue();
        assertThat(check.at("/documents/setup").intValue()).isEqualTo(3);
        assertThat(check.at("/documents/run").intValue()).isGreaterThan(50);
        assertThat(check.get("lost")).isEmpty();
        assertThat(Files.readAllBytes(season)).isEqualTo(before);
    }

    @Test
    void aDamagedOneSaysWhatIsLostAndWhatCanBeReadGoesIntoANewOne() throws Exception {
        byte[] bytes = Files.readAllBytes(season);
        int page = bytes.length / 4096 / 2;
        Arrays.fill(bytes, page * 4096, (page + 1) * 4096, (byte) 0);
        Files.write(season, bytes);
        Path target = folder.resolve("new one.fahrbahn");
        JsonNode check = answer("check", season, "--salvage", target);
        assertThat(check.get("sound").booleanValue()).isFalse();
        assertThat(check.get("problem").textValue()).contains("damaged");
        assertThat(check.get("lost")).isNotEmpty();
        assertThat(check.get("salvagedInto").textValue()).isEqualTo(target.toString());
        JsonNode again = answer("check", target);
        assertThat(again.get("sound").booleanValue()).isTrue();
        assertThat(again.get("documents")).isEqualTo(check.get("documents"));
        assertThat(Files.readAllBytes(season)).as("as it was").isEqualTo(bytes);
        assertThat(run(new StringWriter(), "check", season, "--salvage", target))
                .isEqualTo(2);
        assertThat(err).contains("such a file already");
    }

    @Test
    void whatIsNoSeasonIsRefused() throws Exception {
        Path stranger = Files.writeString(folder.resolve("a"), "dear diary");
        assertThat(run(new StringWriter(), "check", stranger)).isEqualTo(2);
        assertThat(err).contains("not a season file");
        assertThat(run(new StringWriter(), "check", folder.resolve("none"))).isEqualTo(2);
        assertThat(err).contains("no such season file");
    }

    /** A page for each robot of the season, the robot in hand first; the file is left as it is. */
    @Test
    void everyRobotOfASeasonHasACard() throws Exception {
        byte[] before = Files.readAllBytes(season);
        Path pdf = folder.resolve("cards.pdf");
        JsonNode told = answer("card", season, "--out", pdf, "--numbers", "hundredths", "--paper", "letter");
        assertThat(told.get("cards")).hasSize(3);
        assertThat(Files.readAllBytes(season)).isEqualTo(before);
        try (var document = org.apache.pdfbox.Loader.loadPDF(pdf.toFile())) {
            assertThat(document.getNumberOfPages()).isEqualTo(3);
        }
        String second = told.at("/cards/1/robot").textValue();
        JsonNode one = answer("card", season, "--out", folder.resolve("one.svg"), "--robot", second);
        assertThat(one.at("/cards/0/robot").textValue()).isEqualTo(second);
        assertThat(one.at("/cards/0/stale").isArray()).isTrue();
        assertThat(run(new StringWriter(), "card", season, "--out", folder.resolve("x.doc")))
                .isEqualTo(2);
        assertThat(err).contains(".pdf, .png or .svg");
        assertThat(run(new StringWriter(), "card", season, "--out", pdf, "--robot", "Nobody"))
                .isEqualTo(2);
        assertThat(err).contains("Nobody");
    }
}
