package fahrbahn.headless;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.InputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Map;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import picocli.CommandLine;

/** The headless commands against worked cases: the contract of the file formats. */
class ReferenceTest {
    private static final ObjectMapper JSON = new ObjectMapper();

    @TempDir
    private Path folder;

    private record Answer(int exit, String out, String err) {
        JsonNode json() throws Exception {
            assertThat(exit).as(err).isZero();
            return JSON.readTree(out);
        }
    }

    private static Answer run(Object... arguments) {
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        CommandLine commands = Headless.commandLine();
        commands.setOut(new PrintWriter(out, true)).setErr(new PrintWriter(err, true));
        int exit = commands.execute(Stream.of(arguments).map(String::valueOf).toArray(String[]::new));
        return new Answer(exit, out.toString(), err.toString());
    }

    private static Stream<JsonNode> cases(String name) throws Exception {
        try (InputStream in = ReferenceTest.class.getResourceAsStream("/reference/" + name)) {
            return StreamSupport.stream(JSON.readTree(in).spliterator(), false);
        }
    }

    static Stream<JsonNode> lanes() throws Exception {
        return cases("lane.json");
    }

    static Stream<JsonNode> levels() throws Exception {
        return cases("levels.json");
    }

    private Path setup(JsonNode setup) throws Exception {
        return Files.writeString(folder.resolve("a.setup.json"), setup.toString());
    }

    @ParameterizedTest
    @MethodSource("lanes")
    void laneAgreesToHalfAPercent(JsonNode worked) throws Exception {
        JsonNode answer = run("lane", setup(worked.get("setup"))).json();
        for (Iterator<Map.Entry<String, JsonNode>> it = worked.get("expect").fields(); it.hasNext(); ) {
            Map.Entry<String, JsonNode> expected = it.next();
            JsonNode actual = answer.get(expected.getKey());
            if (expected.getValue().isNull()) {
                assertThat(actual.isNull()).as(expected.getKey()).isTrue();
            } else {
                double value = expected.getValue().doubleValue();
                assertThat(actual.doubleValue())
                        .as(expected.getKey())
                        .isCloseTo(value, within(0.005 * Math.abs(value) + 1e-9));
            }
        }
    }

    @ParameterizedTest
    @MethodSource("levels")
    void levelsAgreeToAMillionthAndMisreadsToAPercent(JsonNode worked) throws Exception {
        StringBuilder csv = new StringBuilder("surface,eye\n");
        for (String surface : new String[] {"dark", "light"}) {
            worked.get(surface)
                    .forEach(value ->
                            csv.append(surface).append(',').append(value).append('\n'));
        }
        Path file = Files.writeString(folder.resolve("a.csv"), csv);
        JsonNode answer = run("levels", file, "--step", worked.get("step"))
                .json()
                .get("sensors")
                .get(0);
        JsonNode expect = worked.get("expect");
        for (String name : new String[] {"midpoint", "bestLevel", "bandDark", "bandLight"}) {
            close(answer.get(name), expect.get(name), 1e-6);
        }
        for (String name : new String[] {"misreadAtMidpoint", "misreadAtBest"}) {
            close(answer.get(name), expect.get(name), 1e-2);
        }
        for (String surface : new String[] {"dark", "light"}) {
            for (String name : new String[] {"n", "leftOut", "median", "mean", "sd"}) {
                close(answer.get(surface).get(name), expect.get(surface).get(name), 1e-6);
            }
        }
    }

    private static void close(JsonNode actual, JsonNode expected, double share) {
        double value = expected.doubleValue();
        assertThat(actual.doubleValue()).isCloseTo(value, within(share * Math.abs(value)));
    }

    /** The cases in which some proportional gain is stable. */
    static Stream<JsonNode> stableLanes() throws Exception {
        return lanes().filter(worked -> !worked.get("expect").get("wiggleKp").isNull());
    }

    @ParameterizedTest
    @MethodSource("stableLanes")
    void straightDriveWigglesAboveTheOnsetAndSettlesBelow(JsonNode worked) throws Exception {
        JsonNode onset = worked.get("expect").get("wiggleKp");
        JsonNode above = drive(worked, 1.1 * onset.doubleValue());
        double period = worked.get("expect").get("wigglePeriodS").doubleValue();
        assertThat(above.get("wigglePeriodS").doubleValue()).isCloseTo(period, within(0.03 * period));
        assertThat(drive(worked, 0.9 * onset.doubleValue()).get("rmsMm").doubleValue())
                .isLessThan(0.2);
    }

    private JsonNode drive(JsonNode worked, double kp) throws Exception {
        ObjectNode setup = worked.get("setup").deepCopy();
        ((ObjectNode) setup.get("law")).put("kp", kp).put("kd", 0);
        return run("drive", setup(setup), "--straight", 4000, "--calm")
                .json()
                .get("runs")
                .get(0);
    }

    @Test
    void badInputExitsWithTwoAndOneClearMessage() throws Exception {
        ObjectNode setup = lanes().findFirst().orElseThrow().get("setup").deepCopy();
        ((ObjectNode) setup.get("line")).put("widthMm", -25);
        assertThat(run("lane", setup(setup)).err())
                .contains("a.setup.json", "line.widthMm is -25.0; it must be above 0");
        Path csv = Files.writeString(folder.resolve("b.csv"), "surface,eye\ndark,1\ndark,oops\n");
        for (Answer answer : new Answer[] {
            run("lane", setup(setup)),
            run("levels", csv),
            run("lane", folder.resolve("none.json")),
            run("drive", setup(lanes().findFirst().orElseThrow().get("setup")), "--straight", -5),
            run("drive", setup(lanes().findFirst().orElseThrow().get("setup"))),
            run("bench-robot", "--port", 99_999)
        }) {
            assertThat(answer.exit()).as(answer.err()).isEqualTo(2);
            assertThat(answer.out()).isEmpty();
            assertThat(answer.err()).isNotBlank().doesNotContain("\tat ");
        }
    }
}
