package fahrbahn.store.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.store.file.BadFileException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SeasonFileTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-05-04T09:00:00Z"), ZoneOffset.UTC);

    @TempDir
    private Path folder;

    private Path file;

    @BeforeEach
    void name() {
        file = folder.resolve("a season.fahrbahn");
    }

    private static FileStep step(FileStep.Cause cause, Change... changes) {
        return new FileStep(CLOCK.instant(), cause, "a label", List.of(changes));
    }

    private static FileStep edit(Change... changes) {
        return step(FileStep.Cause.EDIT, changes);
    }

    @Test
    void everyChangeIsThereAfterReopening() throws Exception {
        Change last = Change.put("run", "r", "b", "{\"n\":3}");
        Change other = Change.put("run", "s", "b", "{\"n\":2}");
        try (SeasonFile season = SeasonFiles.create(file, CLOCK)) {
            season.write(edit(Change.put("run", "r", "b", "{\"n\":1}"), other));
            season.write(edit(last));
        }
        try (SeasonFile season = SeasonFile.open(file, CLOCK)) {
            assertThat(season.contents().documents())
                    .as("in the order they were first made")
                    .containsExactly(last, other);
            assertThat(season.history("run", "r", "b"))
                    .extracting(e -> e.getValue().body())
                    .containsExactly(Optional.of("{\"n\":1}"), Optional.of("{\"n\":3}"));
            assertThat(season.body("run", "r", "b")).contains("{\"n\":3}");
            assertThat(season.body("run", "q", "b")).isEmpty();
        }
    }

    @Test
    void stepsThatCanBeUndoneAndRedoneAreToldWithWhatTheyPutInPlace() throws Exception {
        try (SeasonFile season = SeasonFiles.create(file, CLOCK)) {
            season.write(edit(Change.put("k", "", "x", "1")));
            season.write(edit(Change.put("k", "", "x", "2"), Change.put("k", "", "y", "1")));
            season.write(step(FileStep.Cause.NOTE, Change.put("hand", "", "h", "9")));
            season.write(edit(Change.remove("k", "", "y")));
            season.write(step(FileStep.Cause.UNDO, Change.put("k", "", "y", "1")));
        }
        try (SeasonFile season = SeasonFile.open(file, CLOCK)) {
            SeasonFile.Steps steps = season.steps(10);
            assertThat(steps.undo()).hasSize(2);
            assertThat(steps.undo().get(1).changes())
                    .containsExactly(Change.put("k", "", "x", "1"), Change.remove("k", "", "y"));
            assertThat(steps.redo()).hasSize(1);
            assertThat(steps.redo().get(0).changes()).containsExactly(Change.remove("k", "", "y"));
            assertThat(season.steps(1).undo()).as("the newest only").hasSize(1);
            season.write(edit(Change.put("k", "", "z", "1")));
            assertThat(season.steps(10).redo()).isEmpty();
        }
    }

    @Test
    void aStepIsWrittenWholeOrNotAtAll() throws Exception {
        try (SeasonFile season = SeasonFiles.create(file, CLOCK)) {
            Change broken = new Change("k", null, "x", Optional.of("1")); // the table wants an owner
            assertThatThrownBy(() -> season.write(edit(Change.put("k", "", "a", "1"), broken)))
                    .isInstanceOf(BadFileException.class)
                    .hasMessageContaining("could not be saved");
            assertThat(season.contents().documents()).isEmpty();
            season.write(edit(Change.put("k", "", "a", "2")));
            assertThat(season.steps(5).undo()).hasSize(1);
        }
    }

    @Test
    void strangersFilesAreRefusedAndLeftAsTheyAre() throws Exception {
        Files.writeString(file, "dear diary");
        assertThatThrownBy(() -> SeasonFile.open(file, CLOCK))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("not a season file");
        assertThat(Files.readString(file)).isEqualTo("dear diary");

        Path other = folder.resolve("other.db");
        try (var connection = DriverManager.getConnection("jdbc:sqlite:" + other)) {
            connection.createStatement().execute("CREATE TABLE t (x)");
        }
        byte[] before = Files.readAllBytes(other);
        assertThatThrownBy(() -> SeasonFile.open(other, CLOCK)).hasMessageContaining("not a season file");
        assertThat(Files.readAllBytes(other)).isEqualTo(before);
        assertThatThrownBy(() -> SeasonFile.open(folder.resolve("none"), CLOCK))
                .hasMessageContaining("no such season file");
    }

    @Test
    void aSecondWindowIsToldAtOnce() throws Exception {
        try (SeasonFile first = SeasonFiles.create(file, CLOCK)) {
            assertThatThrownBy(() -> SeasonFile.open(file, CLOCK)).hasMessageContaining("open in another window");
            first.write(edit(Change.put("k", "", "x", "1")));
            assertThat(first.contents().documents()).hasSize(1);
        }
    }

    @Test
    void aLaterVersionIsLeftToTheLaterProgram() throws Exception {
        SeasonFiles.create(file, CLOCK).close();
        try (var connection = DriverManager.getConnection("jdbc:sqlite:" + file)) {
            connection.createStatement().execute("PRAGMA user_version = 99");
        }
        assertThatThrownBy(() -> SeasonFile.open(file, CLOCK)).hasMessageContaining("season version 99");
    }

    /** A view that never comes to an end under the name of a table, a trigger, a table of another shape: no season has such, and none of it is run. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "DROP TABLE revision; CREATE VIEW revision AS WITH RECURSIVE c(n) AS (SELECT 1 UNION ALL SELECT n + 1 FROM c)"
                        + " SELECT n AS number, n AS step, 'note' AS kind, '' AS owner, 'x' AS id, '{}' AS body, 0 AS sum FROM c",
                "CREATE TRIGGER every AFTER INSERT ON revision BEGIN DELETE FROM step; END",
                "CREATE VIEW other AS SELECT 1",
                "CREATE INDEX evil ON revision (body)",
                "DROP INDEX revision_of_step; CREATE INDEX revision_of_step ON revision (replace(body, 'a', 'aaaa'))",
                "DROP INDEX revision_of_step; CREATE INDEX revision_of_step ON revision (step) WHERE length(body) > 3",
                "DROP TABLE step; CREATE TABLE step (number INTEGER PRIMARY KEY)"
            })
    void whatNoSeasonHasIsRefusedAndNeverRun(String sql) throws Exception {
        SeasonFiles.create(file, CLOCK).close();
        try (var connection = DriverManager.getConnection("jdbc:sqlite:" + file);
                var statement = connection.createStatement()) {
            for (String one : sql.replace("END", "END\u0000").split(sql.contains("TRIGGER") ? "\u0000" : ";")) {
                if (!one.isBlank()) {
                    statement.execute(one);
                }
            }
        }
        assertThatThrownBy(() -> SeasonFile.open(file, CLOCK)).isInstanceOf(DamagedSeasonException.class);
        assertThatThrownBy(() -> SeasonFiles.openToRead(file, CLOCK)).isInstanceOf(DamagedSeasonException.class);
        assertThatThrownBy(() -> SeasonCheck.of(file, CLOCK)).isInstanceOf(BadFileException.class);
    }

    /** What is done later is never earlier in the season, and time goes on. */
    @Test
    void aClockThatIsSetBackMovesNothingInTheSeason() throws Exception {
        Path file = folder.resolve("clock.fahrbahn");
        Seasons.HandClock computer = new Seasons.HandClock();
        try (SeasonFile season = SeasonFiles.openOrCreate(file, computer)) {
            season.write(Seasons.edit("a change", Change.put("note", "", "x", "1"))); // in the morning
            assertThat(season.aheadOfTheComputer()).isZero();
        }
        computer.move(Seasons.MORNING.minusSeconds(7200));
        try (SeasonFile season = SeasonFile.open(file, computer)) {
            assertThat(season.aheadOfTheComputer()).hasHours(2);
            assertThat(season.clock().instant()).isEqualTo(Seasons.MORNING);
            computer.move(computer.instant().plusSeconds(60));
            assertThat(season.clock().instant()).isEqualTo(Seasons.MORNING.plusSeconds(60));
            computer.move(computer.instant().minusSeconds(600)); // while it is open
            assertThat(season.clock().instant()).isEqualTo(Seasons.MORNING.plusSeconds(60));
            computer.move(computer.instant().plusSeconds(5));
            assertThat(season.clock().instant()).isEqualTo(Seasons.MORNING.plusSeconds(65));
        }
    }
}
