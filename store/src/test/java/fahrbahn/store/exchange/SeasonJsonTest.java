package fahrbahn.store.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.drill.DrillFault;
import fahrbahn.core.drill.DrillScore;
import fahrbahn.core.hall.HallDay;
import fahrbahn.core.hall.HallStep;
import fahrbahn.core.language.Language;
import fahrbahn.core.language.Style;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.HandOver;
import fahrbahn.core.program.TypedBack;
import fahrbahn.store.document.DrillJson;
import fahrbahn.store.document.HallJson;
import fahrbahn.store.document.HandOverJson;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.season.Change;
import fahrbahn.store.season.FileStep;
import fahrbahn.store.season.SeasonFile;
import fahrbahn.store.season.SeasonFiles;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A whole season out and back: every document, known to this version or not. */
class SeasonJsonTest {
    private static final Clock CLOCK = Clock.systemUTC();

    @TempDir
    private Path folder;

    private static List<Change> documents(Path season) throws Exception {
        try (SeasonFile file = SeasonFiles.openToRead(season, CLOCK)) {
            return file.contents().documents();
        }
    }

    @Test
    void everythingComesBack() throws Exception {
        Path season = folder.resolve("a.fahrbahn");
        try (SeasonFile file = SeasonFiles.create(season, CLOCK)) {
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
        assertThat(Files.readString(json))
                .contains("fahrbahn-season", "something-newer", "Łoś")
                .doesNotContain("gone");
        Path back = folder.resolve("b.fahrbahn");
        SeasonJson.into(json, back, CLOCK);
        assertThat(new HashSet<>(documents(back)))
                .isEqualTo(new HashSet<>(documents(season)))
                .hasSize(2);
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

    /** As large as photographs make a season; what was written is read. */
    @Test
    void fortyMegabytesComeBack() throws Exception {
        Path season = folder.resolve("large.fahrbahn");
        String photo = "{\"jpeg\":\"" + "A".repeat(3 << 20) + "\"}";
        List<Change> changes = IntStream.range(0, 14)
                .mapToObj(i -> Change.put("photo", "", "p" + i, photo))
                .toList();
        try (SeasonFile file = SeasonFiles.create(season, CLOCK)) {
            file.write(new FileStep(Instant.EPOCH, FileStep.Cause.EDIT, "photographs", changes));
        }
        Path json = folder.resolve("large.json");
        SeasonJson.write(season, json, CLOCK);
        assertThat(Files.size(json)).isGreaterThan(40L << 20);
        Path back = folder.resolve("back.fahrbahn");
        SeasonJson.into(json, back, CLOCK);
        assertThat(documents(back)).isEqualTo(documents(season));
    }

    /** Cut off, gone on with, or of another shape: a sentence with the file's name, and no season begun. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"format\":\"fahrbahn-season\",\"version\":1,\"documents\":[{\"kind\":\"a\",",
                "{\"format\":\"fahrbahn-season\",\"version\":1,\"documents\":[]} more",
                "{\"format\":\"fahrbahn-season\",\"version\":1,\"documents\":[3]}",
                "{\"format\":\"fahrbahn-season\",\"version\":1,\"documents\":7}",
                "{\"format\":\"fahrbahn-season\",\"version\":1}",
                "[]",
                ""
            })
    void whatIsHalfOfOneIsRefused(String text) throws Exception {
        Path json = Files.writeString(folder.resolve("half.json"), text);
        assertThatThrownBy(() -> SeasonJson.into(json, folder.resolve("x.fahrbahn"), CLOCK))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("half.json");
        assertThat(folder.resolve("x.fahrbahn")).doesNotExist();
    }

    /** Documents of Hand-over come back as they were. */
    @Test
    void handOversHallsAndDrillsComeBack() throws Exception {
        HandOver handOver = new HandOver(
                Instant.EPOCH,
                Grain.HUNDREDTHS,
                List.of(new TypedBack.Handed("KP", 24), new TypedBack.Handed("DARK_0", 132.25)));
        assertThat(HandOverJson.parse(HandOverJson.write(handOver))).isEqualTo(handOver);
        Style style = new Style(Language.BLOCKS, Grain.WHOLE);
        assertThat(HandOverJson.parseStyle(HandOverJson.write(style))).isEqualTo(style);
        HallDay day = HallDay.begun(Instant.EPOCH, 5).with(HallStep.SIGN, Instant.EPOCH.plusSeconds(70));
        assertThat(HallJson.parse(HallJson.write(day))).isEqualTo(day);
        DrillScore score = DrillScore.NONE
                .with(new DrillScore.Answer("", DrillFault.LAG, DrillFault.TOO_SOFT))
                .with(new DrillScore.Answer("Ada", DrillFault.CREASE, DrillFault.CREASE).thenMended(false));
        assertThat(DrillJson.parse(DrillJson.write(score))).isEqualTo(score);
        assertThatThrownBy(() -> HandOverJson.parse(
                        "{\"at\": \"1970-01-01T00:00:00Z\", \"numbers\": \"some\", \"constants\": []}"))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("numbers");
    }
}
