package fahrbahn.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A whole season out and back: every document, known to this version or not. */
class SeasonJsonTest {
    private static final Clock CLOCK = Clock.systemUTC();

    @TempDir
    private Path folder;

    private static List<Change> documents(Path season) throws Exception {
        try (SeasonFile file = SeasonFile.openToRead(season, CLOCK)) {
            return file.contents().documents();
        }
    }

    @Test
    void everythingComesBack() throws Exception {
        Path season = folder.resolve("a.fahrbahn");
        try (SeasonFile file = SeasonFile.create(season, CLOCK)) {
            file.write(new FileStep(
                    Instant.EPOCH,
                    FileStep.Cause.EDIT,
                    "first",
                    List.of(
                            Change.put("setup", "r1", "only", "{\"name\":\"Łoś \\\"x\\\"\",\"n\":1.25}"),
                            Change.put("something-newer", "", "k", "{\"deep\":[1,{\"a\":null}]}"),
                            Change.put("run", "r1", "gone", "{\"a\":1}"))));
            file.write(new FileStep(
                    Instant.EPOCH, FileStep.Cause.EDIT, "second", List.of(Change.remove("run", "r1", "gone"))));
        }
        Path json = folder.resolve("a.json");
        SeasonJson.write(season, json, CLOCK);
        assertThat(Files.readString(json)).contains("fahrbahn-season", "something-newer", "Łoś").doesNotContain("gone");
        Path back = folder.resolve("b.fahrbahn");
        SeasonJson.into(json, back, CLOCK);
        assertThat(new HashSet<>(documents(back))).isEqualTo(new HashSet<>(documents(season))).hasSize(2);
        assertThatThrownBy(() -> SeasonJson.into(json, back, CLOCK)).hasMessageContaining("such a file already");
    }

    @Test
    void whatIsNoSeasonIsRefused() throws Exception {
        Path json = Files.writeString(folder.resolve("x.json"), "{\"format\": \"fahrbahn-setup\", \"version\": 1}");
        assertThatThrownBy(() -> SeasonJson.into(json, folder.resolve("x.fahrbahn"), CLOCK))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("fahrbahn-season");
        assertThat(folder.resolve("x.fahrbahn")).doesNotExist();
    }
}
