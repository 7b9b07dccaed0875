package fahrbahn.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SeasonFileTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-05-04T09:00:00Z"), ZoneOffset.UTC);

    @TempDir
    private Path folder;

    private Path file;

    @BeforeEach
    void name() {
        file = folder.resolve("a season.fahrbahn");
    }

    @Test
    void everyChangeIsThereAfterReopening() throws Exception {
        try (SeasonFile season = SeasonFile.create(file, CLOCK)) {
            season.apply(List.of(Change.put("run", "b", "{\"n\":1}"), Change.put("run", "a", "{\"n\":2}")));
            season.apply(List.of(Change.put("run", "b", "{\"n\":3}")));
        }
        try (SeasonFile season = SeasonFile.open(file, CLOCK)) {
            assertThat(season.documents("run"))
                    .containsExactly(Map.entry("b", "{\"n\":3}"), Map.entry("a", "{\"n\":2}"));
            assertThat(season.history("run", "b"))
                    .extracting(Revision::body)
                    .containsExactly(Optional.of("{\"n\":1}"), Optional.of("{\"n\":3}"));
        }
    }

    @Test
    void undoAndRedoWalkTheStepsAlsoAfterReopening() throws Exception {
        try (SeasonFile season = SeasonFile.create(file, CLOCK)) {
            season.apply(List.of(Change.put("k", "x", "1"), Change.put("k", "y", "1")));
            season.apply(List.of(Change.put("k", "x", "2")));
            season.apply(List.of(Change.remove("k", "y")));
            season.undo();
            assertThat(season.documents("k")).containsEntry("x", "2").containsEntry("y", "1");
        }
        try (SeasonFile season = SeasonFile.open(file, CLOCK)) {
            season.undo();
            assertThat(season.documents("k")).containsEntry("x", "1");
            season.redo();
            season.redo();
            assertThat(season.documents("k")).containsOnlyKeys("x").containsEntry("x", "2");
            assertThat(season.canRedo()).isFalse();
            season.undo();
            season.apply(List.of(Change.put("k", "z", "9")));
            assertThat(season.redo()).isEmpty();
            season.undo();
            season.undo();
            season.undo();
            assertThat(season.documents("k")).isEmpty();
            assertThat(season.canUndo()).isFalse();
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
        try (SeasonFile first = SeasonFile.create(file, CLOCK)) {
            assertThatThrownBy(() -> SeasonFile.open(file, CLOCK)).hasMessageContaining("open in another window");
            first.apply(List.of(Change.put("k", "x", "1")));
            assertThat(first.documents("k")).hasSize(1);
        }
    }

    @Test
    void aLaterVersionIsLeftToTheLaterProgram() throws Exception {
        SeasonFile.create(file, CLOCK).close();
        try (var connection = DriverManager.getConnection("jdbc:sqlite:" + file)) {
            connection.createStatement().execute("PRAGMA user_version = 99");
        }
        assertThatThrownBy(() -> SeasonFile.open(file, CLOCK)).hasMessageContaining("season version 99");
    }
}
