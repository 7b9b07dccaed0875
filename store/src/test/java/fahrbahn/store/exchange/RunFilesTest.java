package fahrbahn.store.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Group;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Photo;
import fahrbahn.core.trials.Run;
import fahrbahn.core.trials.TrialsFile;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.SetupJson;
import fahrbahn.store.json.SetupJsonTest;
import fahrbahn.store.json.Shared;
import fahrbahn.store.picture.PhotoPack;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RunFilesTest {
    private static final RunNames NAMES = new RunNames(id -> "Robot " + id, id -> id.isEmpty() ? "" : "The " + id);

    @TempDir
    Path folder;

    private static Photo photo() {
        Random random = new Random(1);
        int[] noise = random.ints(400 * 300, 0, 1 << 24).toArray();
        return PhotoPack.of(new Picture(400, 300, noise, 0)).photo();
    }

    private static List<Run> book() throws Exception {
        List<Run> runs = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            Setup setup = SetupJson.parse(SetupJsonTest.SETUP);
            Setup its = setup.withLaw(setup.law().withGains(0.2 + 0.1 * (i % 3), 0, 0.4));
            Basis basis = Basis.of(
                            Instant.parse("2031-05-04T08:00:00Z").plusSeconds(90 * i),
                            new Conditions("gym", Lamp.ON, Double.NaN, 8 - 0.01 * i, "soft \"tyres\""))
                    .withSetting(Shared.setting(its))
                    .withTable(new TablePrint("t", "Loop, long", "p"));
            Outcome outcome = i % 4 == 3
                    ? Outcome.of(false, Double.NaN).withLostMm(810.5).withSeen(Outcome.Seen.LOST_BEND)
                    : Outcome.of(true, 20.25 + i).withStop(i - 3.5, -0.25);
            runs.add(new Run("r" + i, Run.Source.TABLE, "a", basis, outcome, "line one\nand \"two\", #wet"));
        }
        runs.set(
                0,
                runs.get(0)
                        .withPhoto("pic")
                        .withOutcome(runs.get(0).outcome().withWiggles(new Outcome.Wiggles(8, 4.4))));
        return runs;
    }

    /** Whole: every run, setting and photograph comes back as it was. */
    @Test
    void jsonBringsEverythingBack() throws Exception {
        Path file = folder.resolve("runs.json");
        List<Run> book = book();
        RunsJson.write(file, book, NAMES, id -> Optional.of(photo()));
        RunsJson.Book back = RunsJson.read(file);
        assertThat(back.photos()).isEqualTo(Map.of("pic", photo()));
        assertThat(back.robots()).isEqualTo(Map.of("a", "Robot a"));
        assertThat(back.runs()).hasSameSizeAs(book);
        for (int i = 0; i < book.size(); i++) {
            Run was = book.get(i);
            Basis told = was.basis().withConditions(was.basis().conditions().withVenue("The gym"));
            assertThat(back.runs().get(i)).isEqualTo(was.withBasis(told));
        }
    }

    /** As a table: all but what only a setup can say; {@code trials} reads the same file. */
    @Test
    void csvBringsTheFiguresBackAndTrialsReadsIt() throws Exception {
        Path file = folder.resolve("runs.csv");
        List<Run> book = book();
        RunsCsv.write(file, book, NAMES);
        List<RunsCsv.Line> back = RunsCsv.read(file);
        assertThat(back).hasSameSizeAs(book);
        for (int i = 0; i < book.size(); i++) {
            Run was = book.get(i);
            RunsCsv.Line line = back.get(i);
            assertThat(line.id()).isEqualTo(was.id());
            assertThat(line.at()).hasValue(was.at());
            assertThat(line.outcome()).isEqualTo(was.outcome());
            assertThat(line.note()).isEqualTo(was.note());
            assertThat(line.partOf()).isEqualTo(was.partOf());
            assertThat(line.where().robot()).isEqualTo("Robot a");
            assertThat(line.where().venue()).isEqualTo("The gym");
            assertThat(line.wheels()).isEqualTo("soft \"tyres\"");
            assertThat(line.batteryV()).isEqualTo(was.volts());
            assertThat(line.gains().get("kp"))
                    .isEqualTo(was.setting().setup().law().kp());
        }
        List<Group> groups = TrialsFile.read(Files.newBufferedReader(file));
        assertThat(groups).hasSize(3).allMatch(g -> g.outcomes().size() == 4);
    }

    /** A table of one's own: only what happened is needed, decimal commas as written where the separator is another. */
    @Test
    void aTableOfOnesOwnNeedsLittle() throws Exception {
        Path file = Files.writeString(folder.resolve("own.csv"), "completed;timeS;kp\nran;12,5;1,2\nlost;;\n");
        List<RunsCsv.Line> lines = RunsCsv.read(file);
        assertThat(lines).hasSize(2);
        assertThat(lines.get(0).outcome()).isEqualTo(Outcome.of(true, 12.5));
        assertThat(lines.get(0).gains()).isEqualTo(Map.of("kp", 1.2));
        assertThat(lines.get(1).outcome()).isEqualTo(Outcome.of(false, Double.NaN));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "timeS\\n12|line 1",
                "completed\\nmaybe|line 2.completed",
                "completed,timeS\\ntrue,-3|line 2.timeS",
                "completed,timeS\\ntrue,fast|'fast'",
                "completed,at\\ntrue,today|line 2.at",
                "completed,seen\\ntrue,nothing|line 2.seen",
                "completed,wiggles\\ntrue,2.5|wiggles",
                "completed,source\\ntrue,me|line 2.source",
                "completed\\ntrue,1|line 2.values",
                "completed|empty"
            })
    void aBrokenTableIsRefusedWholeByItsLine(String text, String named) throws Exception {
        Path file = Files.writeString(folder.resolve("bad.csv"), text.replace("\\n", "\n") + "\n");
        assertThatThrownBy(() -> RunsCsv.read(file))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("bad.csv")
                .hasMessageContaining(named);
    }

    /** Whatever is cut off, doubled or replaced, the answer is runs or one message. */
    @Test
    void brokenFilesAreRefusedInWords() throws Exception {
        String good = RunsJson.text(book(), NAMES, id -> Optional.of(photo()));
        Random random = new Random(5);
        int refused = 0;
        for (int i = 0; i < 150; i++) {
            int at = random.nextInt(good.length());
            String bad = switch (random.nextInt(3)) {
                case 0 -> good.substring(0, at);
                case 1 -> good.substring(0, at) + (char) (32 + random.nextInt(90)) + good.substring(at + 1);
                default -> good.substring(0, at) + good.substring(Math.min(good.length(), at + random.nextInt(40)));
            };
            try {
                RunsJson.parse(bad);
            } catch (BadFileException said) {
                refused++;
                assertThat(said.getMessage()).isNotBlank();
            }
        }
        assertThat(refused).isPositive();
    }

    /** However large it came, a photograph is kept small, and its sides keep their proportion. */
    @Test
    void photographsAreKeptSmall() throws Exception {
        Random random = new Random(2);
        int[] noise = random.ints(3000 * 1500, 0, 1 << 24).toArray(); // noise is the worst there is
        PhotoPack pack = PhotoPack.of(new Picture(3000, 1500, noise, 0));
        assertThat(pack.photo().jpeg().length).isLessThanOrEqualTo(Photo.MOST_BYTES);
        Picture back = PhotoPack.unpack(pack.photo());
        assertThat(back.columns()).isLessThanOrEqualTo(1280);
        assertThat((double) back.columns() / back.rows()).isBetween(1.98, 2.02);
        assertThat(PhotoPack.parse(PhotoPack.write(pack.photo()))).isEqualTo(pack.photo());
        assertThatThrownBy(() -> PhotoPack.unpack(new Photo(new byte[] {1, 2, 3})))
                .hasMessageContaining("damaged");
        assertThatThrownBy(() -> PhotoPack.parse("{\"jpeg\": \"???\"}")).isInstanceOf(BadFileException.class);
    }
}
