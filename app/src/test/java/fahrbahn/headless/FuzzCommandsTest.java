package fahrbahn.headless;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.json.JsonMapper;
import fahrbahn.core.InMemory;
import fahrbahn.core.Repeated;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.core.tuning.UsualTurnMarks;
import fahrbahn.store.json.CourseJson;
import fahrbahn.store.json.SetupJson;
import fahrbahn.store.season.SeasonFiles;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

/** Commands with input of every wrong kind: 0 or 2, words and no trace, JSON without numbers that are none, and an end. */
@Timeout(1800)
class FuzzCommandsTest extends Repeated {
    private static final String PLAN = """
            {"format": "fahrbahn-plan", "version": 1, "minutes": 40, "tables": ["a", "b"], "lampChangesS": [600], "teams": [
             {"name": "Sandpipers", "robots": ["Plover"], "settings": ["soft", "sharp"], "lapS": 22, "resetS": 20, "runsEach": 5}]}""";

    private static final Pattern NUMBER = Pattern.compile("-?\\d+(\\.\\d+)?([eE][+-]?\\d+)?");

    private static final String[] EXTREMES = {
        "0",
        "-1",
        "1e308",
        "-1e308",
        "1e-308",
        "NaN",
        "Infinity",
        "1e9",
        "99999999999999999999",
        "0.1",
        "-0",
        "1e5",
        "\"7\"",
        "null",
        "[]",
        "{}",
        "true",
        "0x10",
        "1,5",
        ""
    };

    @TempDir(factory = InMemory.class)
    private Path folder;

    private record Outcome(int exit, String out, String err) {}

    private static Outcome run(List<String> arguments) {
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        CommandLine commands =
                Headless.commandLine().setOut(new PrintWriter(out, true)).setErr(new PrintWriter(err, true));
        int exit = Headless.run(commands, arguments.toArray(String[]::new));
        return new Outcome(exit, out.toString(), err.toString());
    }

    private static String mutated(String text, Random random) {
        String mutant = text;
        for (int times = 1 + random.nextInt(3); times > 0; times--) {
            mutant = switch (random.nextInt(8)) {
                case 0, 1, 2 -> otherNumber(mutant, random);
                case 3 -> mutant.substring(0, random.nextInt(mutant.length() + 1));
                case 4 -> without(mutant, random);
                case 5 -> with(mutant, random);
                case 6 -> mutant.replaceFirst("\"[a-zA-Z]+\"\\s*:", random.nextBoolean() ? "" : "\"other\":");
                default -> "[".repeat(random.nextInt(3) * 4000) + mutant;
            };
        }
        return mutant;
    }

    private static String otherNumber(String text, Random random) {
        Matcher numbers = NUMBER.matcher(text);
        List<int[]> places = new ArrayList<>();
        while (numbers.find()) {
            places.add(new int[] {numbers.start(), numbers.end()});
        }
        if (places.isEmpty()) {
            return text;
        }
        int[] place = places.get(random.nextInt(places.size()));
        return text.substring(0, place[0]) + EXTREMES[random.nextInt(EXTREMES.length)] + text.substring(place[1]);
    }

    private static String without(String text, Random random) {
        int from = random.nextInt(text.length() + 1);
        return text.substring(0, from) + text.substring(Math.min(text.length(), from + 1 + random.nextInt(20)));
    }

    private static String with(String text, Random random) {
        int at = random.nextInt(text.length() + 1);
        String[] pieces = {",", "\"", "}", "\u0000", "\uFEFF", "\n\n", ";;;", "\u00e4", "#", "{\"a\":".repeat(2000)};
        return text.substring(0, at) + pieces[random.nextInt(pieces.length)] + text.substring(at);
    }

    private static String argument(Random random) {
        String[] values = {"0", "-5", "1", "1e308", "NaN", "12", "abc", "", "99999999999", "0.001", "2147483648"};
        return values[random.nextInt(values.length)];
    }

    @Test
    void whateverIsGivenTheAnswerIsZeroOrTwoWithWords() throws Exception {
        String setup = new String(
                getClass().getResourceAsStream("/fahrbahn/app/demo.setup.json").readAllBytes(), StandardCharsets.UTF_8);
        String course = CourseJson.write(Draft.of(DemoCourses.workshopLoop()));
        StringBuilder readings = new StringBuilder("tS,surface,left,right\n");
        StringBuilder trials = new StringBuilder("setting,completed,timeS,alongMm,acrossMm\n");
        for (int i = 0; i < 40; i++) {
            readings.append(i * 0.01)
                    .append(i % 2 == 0 ? ",dark," : ",light,")
                    .append(i % 2 * 500 + i % 5 + 200)
                    .append(',')
                    .append(i % 2 * 450 + i % 7 + 180)
                    .append('\n');
            trials.append(i % 2 == 0 ? "A," : "B,")
                    .append(i % 3 != 0)
                    .append(',')
                    .append(20 + i % 7 * 0.1)
                    .append(',')
                    .append(i % 5)
                    .append(',')
                    .append(-i % 3)
                    .append('\n');
        }
        String straight = CourseJson.write(Draft.of(Course.straight(700)));
        String turning = turning(setup);
        String marks = marks();
        String log = log();
        String story = "{\"format\":\"fahrbahn-story\",\"version\":1,\"setup\":" + setup
                + ",\"course\":" + straight
                + ",\"for\":\"finish\",\"trialsLeft\":3,\"trials\":[{\"kp\":0.4,\"kd\":1,\"baseCommand\":100,\"seen\":\"smooth\","
                + "\"wiggles\":4,\"wigglesS\":3.2,\"lapS\":3,\"alongMm\":5}]}";
        String colours = colours();
        Path season = folder.resolve("season.fahrbahn");
        SeasonFiles.create(season, Clock.systemUTC()).close();
        byte[] seasonBytes = Files.readAllBytes(season);
        int good = 0;
        int cases = times(200, 5000);
        for (int i = 0; i < cases; i++) {
            Random random = new Random(i);
            boolean whole = random.nextInt(6) == 0;
            Path file = folder.resolve("case" + i % 7 + (i % 11 == 0 ? " ;?#%" : "") + ".json");
            List<String> arguments = switch (i % 120 == 119
                    ? 10
                    : i % 60 == 58 ? 11 : i % 60 == 28 ? 12 : i % 30 == 24 ? 13 : i % 30 == 15 ? 14 : i % 10) {
                case 0, 1 -> List.of("lane", write(file, setup, whole, random));
                case 2 ->
                    List.of("levels", write(file, readings.toString(), whole, random), "--step", argument(random));
                case 3 -> List.of("levels", write(file, readings.toString(), whole, random));
                case 4 -> List.of("trials", write(file, trials.toString(), whole, random));
                case 5 ->
                    List.of(
                            "drive",
                            write(file, setup, whole, random),
                            "--straight",
                            whole ? argument(random) : "400",
                            "--seed",
                            whole ? argument(random) : "3");
                case 6 ->
                    i % 20 == 6
                            ? List.of(
                                    "drive",
                                    write(folder.resolve("a.json"), setup, true, random),
                                    "--course",
                                    write(file, course, whole, random),
                                    "--calm")
                            : List.of(
                                    "check", damaged(file, seasonBytes, random).toString());
                case 8 ->
                    i % 20 == 8
                            ? List.of(
                                    "plan", write(file, PLAN, whole, random), "--seed", whole ? argument(random) : "3")
                            : List.of("marks", write(file, marks, whole, random));
                case 10 -> List.of("next", write(file, story, whole, random));
                case 12 ->
                    List.of(
                            "advise",
                            write(file, setup, whole, random),
                            "--course",
                            write(folder.resolve("short.json"), straight, true, random),
                            "--for",
                            List.of("finish", "place", "lap", "fame").get(random.nextInt(4)),
                            "--seed",
                            whole ? argument(random) : "3");
                case 13 ->
                    i % 60 == 24
                            ? List.of(
                                    "runlog",
                                    write(file, log, whole, random),
                                    "--setup",
                                    write(folder.resolve("logged.json"), setup, true, random))
                            : List.of(
                                    "compare",
                                    write(file, setup, whole, random),
                                    write(folder.resolve("b.json"), setup, true, random),
                                    "--course",
                                    write(folder.resolve("short.json"), straight, true, random),
                                    "--runs",
                                    whole ? argument(random) : "3");
                case 11 ->
                    List.of(
                            "map",
                            write(folder.resolve("turns.json"), setup, true, random),
                            "--course",
                            "mission",
                            "--kp",
                            argument(random) + ":" + argument(random),
                            "--kd",
                            "0:" + argument(random),
                            "--cells",
                            "3",
                            "--runs",
                            "1");
                case 9 ->
                    i % 20 == 9
                            ? List.of(
                                    "steps",
                                    write(folder.resolve("turns.json"), turning, true, random),
                                    write(file, colours, whole, random))
                            : List.of(
                                    "steps",
                                    write(file, turning, whole, random),
                                    write(folder.resolve("colours.csv"), colours, true, random));
                case 14 ->
                    i % 60 == 14
                            ? List.of(
                                    "card",
                                    write(file, i % 2 == 0 ? turning : setup, whole, random),
                                    "--out",
                                    folder.resolve("card."
                                                    + List.of("pdf", "svg", "doc")
                                                            .get(random.nextInt(3)))
                                            .toString(),
                                    "--numbers",
                                    List.of("any", "whole", "2", "many").get(random.nextInt(4)))
                            : List.of(
                                    "code",
                                    write(file, i % 2 == 0 ? turning : setup, whole, random),
                                    "--language",
                                    List.of("python", "cpp", "java", "blocks").get(random.nextInt(4)));
                default ->
                    List.of(
                            "drive",
                            write(file, setup, whole, random),
                            "--straight",
                            "300",
                            "--runs",
                            argument(random),
                            "--offset",
                            argument(random));
            };
            Outcome outcome = run(arguments);
            good += outcome.exit() == 0 ? 1 : 0;
            assertThat(outcome.exit())
                    .as("%d: %s%n%s", i, arguments, outcome.err())
                    .isIn(0, 2);
            assertThat(outcome.err())
                    .as("%d: %s", i, arguments)
                    .doesNotContain("\tat ", "Something went wrong", "Exception");
            if (outcome.exit() == 0) {
                assertThat(outcome.out()).doesNotContain("NaN", "Infinity");
                if (arguments.get(0).equals("code")) {
                    assertThat(outcome.out()).contains("left", "right");
                } else {
                    JsonMapper.builder().build().readTree(outcome.out());
                }
            } else {
                assertThat(outcome.out()).as("nothing half answered").isEmpty();
                assertThat(outcome.err()).as("%d: %s", i, arguments).isNotBlank();
            }
        }
        System.out.printf(java.util.Locale.ROOT, "commands: %d cases, %d answered%n", cases, good);
        assertThat(good).as("not everything is refused").isGreaterThan(cases / 20);
    }

    /** The same robot with turn marks. */
    private static String turning(String setup) throws Exception {
        Setup plain = SetupJson.parse(setup);
        TurnMarks marks = UsualTurnMarks.of(plain, Palette.USUAL);
        return SetupJson.write(
                plain.withLaw(plain.law().withOptions(plain.law().options().withTurnMarks(Optional.of(marks)))));
    }

    private static String log() {
        StringBuilder log = new StringBuilder("tS,left reading,right reading,error,steering,left,right\n");
        for (int i = 0; i < 300; i++) {
            double wave = 20 * Math.sin(i / 5.0);
            log.append(i * 0.01)
                    .append("," + (400 + 5 * wave) + "," + (420 - 5 * wave))
                    .append("," + wave + "," + wave / 2 + "," + (110 - wave / 2) + "," + (110 + wave / 2) + "\n");
        }
        return log.toString();
    }

    private static String marks() {
        StringBuilder marks = new StringBuilder("surface,red,green,blue,capture\n");
        for (int i = 0; i < 30; i++) {
            int k = i % 3;
            marks.append(k == 0 ? "dark" : k == 1 ? "light" : "mark")
                    .append(',' + (20 + 90 * k + i % 5) + "," + (18 + 80 * k * k % 200 + i % 4) + ',')
                    .append((16 + 70 * k + i % 3) + "," + i / 10 + "\n");
        }
        return marks.toString();
    }

    private static String colours() {
        StringBuilder colours =
                new StringBuilder("tS,left.red,left.green,left.blue,right.red,right.green,right.blue\n");
        for (int i = 0; i < 40; i++) {
            colours.append(i * 0.01);
            for (int k = 0; k < 6; k++) {
                colours.append(',').append(i % 9 < 3 ? 220 + k : 600 - 30 * (i % 4) + k);
            }
            colours.append('\n');
        }
        return colours.toString();
    }

    private static String write(Path file, String text, boolean whole, Random random) throws Exception {
        String content = whole ? text : mutated(text, random);
        byte[] bytes = content.getBytes(StandardCharsets.UTF_8);
        if (!whole && random.nextInt(25) == 0 && bytes.length > 0) {
            bytes[random.nextInt(bytes.length)] = (byte) 0xff; // no UTF-8
        }
        return Files.write(file, bytes).toString();
    }

    private static Path damaged(Path file, byte[] season, Random random) throws Exception {
        byte[] bytes = random.nextInt(10) == 0 ? Arrays.copyOf(season, random.nextInt(season.length)) : season.clone();
        for (int flips = random.nextInt(30); flips > 0 && bytes.length > 0; flips--) {
            bytes[random.nextInt(bytes.length)] = (byte) random.nextInt(256);
        }
        return Files.write(file, bytes);
    }
}
