package fahrbahn.store.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.Damage;
import fahrbahn.core.InMemory;
import fahrbahn.core.Repeated;
import fahrbahn.core.Setups;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.store.document.Kind;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.PageScan;
import fahrbahn.store.file.Patience;
import fahrbahn.store.json.SetupJson;
import fahrbahn.store.json.Shared;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Seasons damaged in every way a disk can: what is shown was written, and what is still there can be had. */
@Timeout(1800)
class SalvageTest extends Repeated {
    private static final int DOCUMENTS = 60;
    private static final int PAGE = Damage.PAGE;

    @TempDir(factory = InMemory.class)
    private Path folder;

    private final Seasons.HandClock clock = new Seasons.HandClock();

    private Path sound() throws Exception {
        Path file = folder.resolve("sound.fahrbahn");
        Seasons.fill(file, DOCUMENTS, clock);
        return file;
    }

    private static Map<String, String> bodies(List<Change> documents) {
        Map<String, String> bodies = new HashMap<>();
        documents.forEach(c -> bodies.put(c.owner() + " " + c.id(), c.body().orElseThrow()));
        return bodies;
    }

    @Test
    void aSoundSeasonIsSalvagedWhole() throws Exception {
        Path file = sound();
        Salvage salvage = Salvage.of(file);
        assertThat(salvage.lost()).isEmpty();
        assertThat(salvage.documents()).containsEntry("note", DOCUMENTS);
        assertThat(salvage.changes()).isEqualTo(2 * DOCUMENTS);
        Path target = folder.resolve("again.fahrbahn");
        salvage.into(target, clock);
        try (SeasonFile again = SeasonFile.open(target, clock);
                SeasonFile before = SeasonFile.open(file, clock)) {
            assertThat(again.contents()).isEqualTo(before.contents());
            assertThat(again.history("note", "robot1", "n1")).hasSize(2);
        }
        assertThatThrownBy(() -> salvage.into(target, clock)).hasMessageContaining("such a file already");
    }

    @Test
    void aBitThatFlipsInsideANumberIsFoundAndTheStateBeforeIsShown() throws Exception {
        Path file = sound();
        byte[] bytes = Files.readAllBytes(file);
        byte[] wanted = "{\"n\":7,\"state\":2".getBytes(java.nio.charset.StandardCharsets.UTF_8);
        int at = indexOf(bytes, wanted);
        bytes[at + 5] ^= 1; // 7 becomes 6: valid JSON, and the tables hang together
        Files.write(file, bytes);
        try (SeasonFile season = SeasonFile.open(file, clock)) {
            SeasonFile.Contents contents = season.contents();
            assertThat(contents.damaged()).singleElement().asString().contains("note n7", "the state before is shown");
            assertThat(bodies(contents.documents())).containsEntry("robot1 n7", Seasons.body(7, 1));
            assertThat(season.history("note", "robot1", "n7"))
                    .as("what is damaged is no history")
                    .hasSize(1);
        }
        assertThat(Salvage.of(file).lost()).singleElement().asString().contains("note n7");
    }

    private static int indexOf(byte[] bytes, byte[] wanted) {
        for (int at = 0; at + wanted.length <= bytes.length; at++) {
            if (java.util.Arrays.equals(bytes, at, at + wanted.length, wanted, 0, wanted.length)) {
                return at;
            }
        }
        throw new AssertionError("not there");
    }

    @Test
    void damagedSeasonsOpenOrSayWhyAndNothingIsShownThatWasNeverWritten() throws Exception {
        byte[] sound = Files.readAllBytes(sound());
        int seasons = times(24, 510);
        int opened = 0;
        int refused = 0;
        int salvaged = 0;
        long documents = 0;
        for (int i = 0; i < seasons; i++) {
            byte[] bytes = Damage.of(sound, i);
            Path file = Files.write(folder.resolve("damaged.fahrbahn"), bytes);
            Map<String, String> shown = new HashMap<>();
            List<String> told = new ArrayList<>();
            try (SeasonFile season = SeasonFile.open(file, clock)) {
                shown.putAll(bodies(season.contents().documents()));
                told.addAll(season.contents().damaged());
                season.steps(200);
                opened++;
            } catch (BadFileException why) {
                assertThat(why.getMessage()).contains("damaged.fahrbahn");
                refused++;
            }
            shown.forEach(
                    (name, body) -> assertThat(body).as("%d: %s", i(name), name).isIn(written(name)));
            if (!shown.isEmpty() && shown.size() < DOCUMENTS) {
                assertThat(told).as("what is missing is said").isNotEmpty();
            }
            Files.write(file, sound);
            SeasonFile.open(file, clock).close(); // whoever was refused has let go of it
            Files.write(file, bytes); // opening may have mended an index
            try {
                Salvage salvage = Salvage.of(file);
                saysWhatIsMissing(i, salvage);
                Path target = folder.resolve("salvaged-" + i);
                salvage.into(target, clock);
                try (SeasonFile again = SeasonFile.open(target, clock)) {
                    Map<String, String> had = bodies(again.contents().documents());
                    had.forEach((name, body) -> assertThat(body).isIn(written(name)));
                    documents += had.size();
                }
                salvaged++;
                Files.delete(target);
            } catch (BadFileException nothing) {
                assertThat(bytes.length).as("%d: only a stump holds nothing", i).isLessThan(12 * PAGE);
            }
            Files.deleteIfExists(file);
        }
        System.out.printf(
                java.util.Locale.ROOT,
                "corruption: %d seasons, %d opened, %d refused with words, %d salvaged with %.1f of %d documents each%n",
                seasons,
                opened,
                refused,
                salvaged,
                documents / (double) salvaged,
                DOCUMENTS);
        assertThat(opened + refused).isEqualTo(seasons);
        assertThat(documents / (double) salvaged)
                .as("documents that can be had")
                .isGreaterThan(0.8 * DOCUMENTS);
    }

    private static final Pattern GONE = Pattern.compile("(\\d+) changes? of which nothing");

    /** Never less than is missing, held against what was written; or that it cannot be told. */
    private static void saysWhatIsMissing(int seed, Salvage salvage) {
        int missing = 2 * DOCUMENTS - salvage.changes();
        long said = 0;
        boolean untold = false;
        for (String line : salvage.lost()) {
            Matcher gone = GONE.matcher(line);
            said += gone.find() ? Long.parseLong(gone.group(1)) : line.endsWith("(damaged)") ? 1 : 0;
            untold |= line.contains("cannot be told") || line.contains("cannot be read:");
        }
        if (missing > 0) {
            assertThat(salvage.lost()).as("%d: %d missing", seed, missing).isNotEmpty();
            assertThat(untold || said >= missing)
                    .as("%d: %d missing, %s", seed, missing, salvage.lost())
                    .isTrue();
        }
    }

    /** Half of a file: as many are said to be gone as are. */
    @Test
    void whatACutFileHasLostIsCounted() throws Exception {
        byte[] sound = Files.readAllBytes(sound());
        Path file = folder.resolve("cut.fahrbahn");
        int cut = 0;
        for (int pages = 4; pages < sound.length / PAGE; pages++) {
            Files.write(file, java.util.Arrays.copyOf(sound, pages * PAGE));
            Salvage salvage;
            try {
                salvage = Salvage.of(file);
            } catch (BadFileException nothing) {
                continue;
            }
            saysWhatIsMissing(pages, salvage);
            assertThat(salvage.lost()).anyMatch(line -> line.contains("cut off"));
            SeasonCheck check = SeasonCheck.of(file, clock);
            assertThat(check.sound()).isFalse();
            assertThat(check.lost()).isEqualTo(salvage.lost());
            cut++;
        }
        assertThat(cut).isGreaterThan(3);
    }

    /** A number far out of the row is no loss where the engine finds every row, and nothing counts up to it. */
    @Test
    void numbersThatAreLeftOutAreNoLoss() throws Exception {
        for (long number : new long[] {1L << 50, Long.MAX_VALUE}) {
            Path file = folder.resolve("far" + number + ".fahrbahn");
            Seasons.fill(file, DOCUMENTS, clock);
            try (Connection engine = DriverManager.getConnection("jdbc:sqlite:" + file);
                    Statement statement = engine.createStatement()) {
                statement.execute("UPDATE revision SET number = " + number
                        + " WHERE number = (SELECT MAX(number) FROM revision)");
                statement.execute("UPDATE sqlite_sequence SET seq = " + number);
            }
            SeasonCheck check = SeasonCheck.of(file, clock);
            assertThat(check.lost()).isEmpty();
            assertThat(check.sound()).isTrue();
            assertThat(check.changes()).isEqualTo(2 * DOCUMENTS);
        }
    }

    /** Killed in the middle of a write: the change that was cut short is taken back in a copy, and the file stays as it is. */
    @Test
    void aSeasonThatWasCutShortIsReadAsItWasBefore() throws Exception {
        Path file = sound();
        Path killed = folder.resolve("killed.fahrbahn");
        try (Connection engine = DriverManager.getConnection("jdbc:sqlite:" + file);
                Statement statement = engine.createStatement()) {
            statement.execute("PRAGMA cache_size = 1");
            statement.execute("BEGIN");
            statement.execute("UPDATE revision SET body = body || ' cut short'");
            Files.copy(file, killed);
            Files.copy(folder.resolve("sound.fahrbahn-journal"), folder.resolve("killed.fahrbahn-journal"));
            statement.execute("ROLLBACK");
        }
        byte[] before = Files.readAllBytes(killed);
        SeasonCheck check = SeasonCheck.of(killed, clock);
        assertThat(check.sound()).as(check.problem()).isTrue();
        assertThat(check.changes()).isEqualTo(2 * DOCUMENTS);
        try (SeasonFile read = SeasonFiles.openToRead(killed, clock);
                SeasonFile sound = SeasonFile.open(file, clock)) {
            assertThat(read.contents()).isEqualTo(sound.contents());
        }
        assertThat(Files.readAllBytes(killed)).isEqualTo(before);
        SeasonFile.open(killed, clock).close();
        assertThat(folder.resolve("killed.fahrbahn-journal"))
                .as("whoever may write puts it right")
                .doesNotExist();
    }

    /** The first page overwritten: everything but it can be had. */
    @Test
    void aSeasonWithoutItsFirstPageIsDamagedAndAStrangersFileIsNot() throws Exception {
        byte[] bytes = Files.readAllBytes(sound());
        java.util.Arrays.fill(bytes, 0, 100, (byte) 'x');
        Path file = Files.write(folder.resolve("beheaded.fahrbahn"), bytes);
        assertThatThrownBy(() -> SeasonFile.open(file, clock)).isInstanceOf(DamagedSeasonException.class);
        SeasonCheck check = SeasonCheck.of(file, clock);
        assertThat(check.sound()).isFalse();
        assertThat(check.changes()).isEqualTo(2 * DOCUMENTS);
        assertThat(check.salvage()).isPresent();
        Path strange = Files.writeString(folder.resolve("strange.fahrbahn"), "dear diary ".repeat(1000));
        assertThatThrownBy(() -> SeasonFile.open(strange, clock))
                .isNotInstanceOf(DamagedSeasonException.class)
                .hasMessageContaining("strange.fahrbahn");
    }

    /** Sixteen thousand rows that all claim the same bytes of their page, on each of its pages. */
    @Test
    void rowsThatLieInEachOtherAreReadOnce() throws Exception {
        int page = 65_536;
        byte[] bytes = new byte[64 * page];
        System.arraycopy("SQLite format 3\0".getBytes(java.nio.charset.StandardCharsets.US_ASCII), 0, bytes, 0, 16);
        bytes[17] = 1; // of 65,536 bytes each
        for (int start = page; start < bytes.length; start += page) {
            int cells = 16_000;
            int content = 8 + 2 * cells;
            bytes[start] = 0x0d;
            bytes[start + 3] = (byte) (cells >> 8);
            bytes[start + 4] = (byte) cells;
            for (int i = 0; i < cells; i++) {
                bytes[start + 8 + 2 * i] = (byte) (content >> 8);
                bytes[start + 9 + 2 * i] = (byte) content;
            }
            // 32,000 bytes: a header of two, and one text of 31,996
            byte[] cell = {(byte) 0x81, (byte) 0xfa, 0, 1, 4, (byte) 0x83, (byte) 0xf4, 5};
            System.arraycopy(cell, 0, bytes, start + content, cell.length);
        }
        int[] rows = new int[1];
        new PageScan(bytes).rows((number, values) -> rows[0]++);
        assertThat(rows[0])
                .as("as many as fit into a page of 65,536 bytes, two each")
                .isEqualTo(2 * 63);
    }

    @Test
    void anEngineThatComesToNoEndIsStopped() throws Exception {
        try (Connection engine = DriverManager.getConnection("jdbc:sqlite::memory:");
                Statement statement = engine.createStatement()) {
            org.sqlite.ProgressHandler.setHandler(engine, Patience.STEPS, Patience.of(0.05));
            assertThatThrownBy(() ->
                            statement.executeQuery("WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n)"
                                    + " SELECT MAX(i) FROM n"))
                    .satisfies(endless -> assertThat(SeasonDatabase.failure(folder, endless))
                            .isInstanceOf(DamagedSeasonException.class)
                            .hasMessageContaining("no end"));
        }
    }

    /** As it was written, by something that wrote no sense. */
    @Test
    void aDocumentThatMakesNoSenseIsNotSound() throws Exception {
        Path file = sound();
        try (SeasonFile season = SeasonFile.open(file, clock)) {
            season.write(Seasons.edit("strange", Change.put("robot", "", "r1", "{\"name\": 7}")));
        }
        SeasonCheck check = SeasonCheck.of(file, clock);
        assertThat(check.sound()).isFalse();
        assertThat(check.lost()).singleElement().asString().startsWith("robot r1");
    }

    /** Runs point to the setup they were made with. Where that is gone, the history of the robot has a copy. */
    @Test
    void aSetupThatRunsPointToComesBackFromTheHistoryOfItsRobot() throws Exception {
        Path file = folder.resolve("pointed.fahrbahn");
        Setting setting = Shared.setting(Setups.pair());
        String body = SetupJson.write(setting.setup());
        try (SeasonFile season = SeasonFiles.openOrCreate(file, clock)) {
            season.write(Seasons.edit("a robot", Change.put("setup", "r1", Kind.ONLY, body)));
            season.write(Seasons.edit("another state", Change.put("setup", "r1", Kind.ONLY, "{}")));
            season.write(Seasons.edit("a setting", Change.put("setting", "", setting.id(), body)));
            season.write(Seasons.edit("a run", Change.put("run", "r1", "1", "{\"setting\":\"" + setting.id() + "\"}")));
        }
        try (Connection engine = DriverManager.getConnection("jdbc:sqlite:" + file);
                Statement statement = engine.createStatement()) {
            statement.execute("DELETE FROM revision WHERE kind = 'setting'");
        }
        Path target = folder.resolve("pointed again.fahrbahn");
        Salvage.of(file).into(target, clock);
        try (SeasonFile again = SeasonFile.open(target, clock)) {
            assertThat(again.body("setting", "", setting.id())).contains(body);
        }
    }

    /** A step without a time, or of a cause that no version knows, is not sound. */
    @ParameterizedTest
    @ValueSource(strings = {"at = 'yesterday'", "cause = 'strange'", "label = 'another'", "sum = 1"})
    void aBadStepIsNotSound(String change) throws Exception {
        Path file = sound();
        try (Connection engine = DriverManager.getConnection("jdbc:sqlite:" + file);
                Statement statement = engine.createStatement()) {
            statement.execute("PRAGMA ignore_check_constraints = 1");
            statement.execute("UPDATE step SET " + change + " WHERE number = (SELECT MAX(number) FROM step)");
        }
        SeasonCheck check = SeasonCheck.of(file, clock);
        assertThat(check.sound()).isFalse();
        assertThat(check.problem()).isNotBlank();
        assertThat(check.changes()).isEqualTo(2 * DOCUMENTS);
    }

    /** What is made of a season is there whole or not at all. */
    @Test
    void aSeasonThatCannotBeWrittenIsNotLeftEmpty() {
        Path target = folder.resolve("never.fahrbahn");
        FileStep good = new FileStep(
                clock.instant(), FileStep.Cause.NOTE, "a step", List.of(Change.put("note", "robot1", "n1", "{}")));
        FileStep worse = new FileStep(clock.instant(), FileStep.Cause.NOTE, null, List.of());
        assertThatThrownBy(() -> SeasonFiles.createWith(target, List.of(good, worse), clock))
                .isInstanceOf(Exception.class);
        assertThat(target).doesNotExist();
        assertThat(folder).isEmptyDirectory();
    }

    private static int i(String name) {
        return Integer.parseInt(name.replaceAll(".*n", ""));
    }

    private static List<String> written(String name) {
        return List.of(Seasons.body(i(name), 1), Seasons.body(i(name), 2));
    }

    @Test
    void whatIsNoSeasonHoldsNothing() throws Exception {
        assertThatThrownBy(() -> Salvage.of(Files.writeString(folder.resolve("x"), "dear diary")))
                .hasMessageContaining("nothing of a season");
        assertThatThrownBy(() -> Salvage.of(folder.resolve("none"))).hasMessageContaining("no such file");
    }
}
