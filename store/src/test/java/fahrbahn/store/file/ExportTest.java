package fahrbahn.store.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.store.season.SeasonFile;
import fahrbahn.store.season.Seasons;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Exports into a folder of traps: what is no plain file stays as it is, and so does all else of the user's. */
class ExportTest {
    @TempDir
    private Path folder;

    private List<String> names() throws Exception {
        try (Stream<Path> all = Files.list(folder)) {
            return all.map(p -> p.getFileName().toString()).sorted().toList();
        }
    }

    @Test
    void aPartOfTheUsersOwnIsLeftAlone() throws Exception {
        Path own = Files.writeString(folder.resolve("card.svg.part"), "mine");
        Export.text(folder.resolve("card.svg"), "new");
        assertThat(own).hasContent("mine");
        assertThat(folder.resolve("card.svg")).hasContent("new");
        assertThat(names()).as("nothing is left over").containsExactly("card.svg", "card.svg.part");
    }

    /** A link that waits under the name of a part is not followed. */
    @Test
    void aLinkInTheWayIsNotFollowed() throws Exception {
        Path precious = Files.writeString(folder.resolve("precious"), "precious");
        Files.createSymbolicLink(folder.resolve("card.svg.part"), precious);
        Export.text(folder.resolve("card.svg"), "new");
        assertThat(precious).hasContent("precious");
    }

    /** What a coach has linked stays a link, and what it leads to is written whole. */
    @Test
    void aLinkIsKeptAndWhatItLeadsToIsReplaced() throws Exception {
        Path real = Files.writeString(folder.resolve("real.csv"), "old");
        Path link = Files.createSymbolicLink(folder.resolve("link.csv"), real);
        Export.text(link, "new");
        assertThat(Files.isSymbolicLink(link)).isTrue();
        assertThat(real).hasContent("new");
        Path nowhere = Files.createSymbolicLink(folder.resolve("nowhere.csv"), folder.resolve("gone"));
        assertThatThrownBy(() -> Export.text(nowhere, "new")).hasMessageContaining("leads nowhere");
        assertThat(Files.exists(nowhere, LinkOption.NOFOLLOW_LINKS)).isTrue();
    }

    @Test
    void foldersDevicesAndPipesAreRefused() throws Exception {
        Path pipe = folder.resolve("pipe.ics");
        Process made = new ProcessBuilder("mkfifo", pipe.toString()).start();
        assertThat(made.waitFor(60, TimeUnit.SECONDS)).isTrue();
        assertThatThrownBy(() -> Export.text(pipe, "new")).hasMessageContaining("device or a pipe");
        assertThat(Files.readAttributes(pipe, java.nio.file.attribute.BasicFileAttributes.class)
                        .isOther())
                .as("it is a pipe still")
                .isTrue();
        assertThatThrownBy(() -> Export.text(Path.of("/dev/null"), "new")).hasMessageContaining("device or a pipe");
        assertThatThrownBy(() -> Export.text(Files.createDirectory(folder.resolve("d.svg")), "new"))
                .hasMessageContaining("a folder");
    }

    @Test
    void rightsOfWhatIsReplacedStay() throws Exception {
        Path file = Files.writeString(folder.resolve("open.json"), "old");
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-rw-r--"));
        Export.text(file, "new");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .isEqualTo("rw-rw-r--");
    }

    @Test
    void whatIsReadIsNotWrittenOver() throws Exception {
        Path input = Files.writeString(folder.resolve("plan.json"), "{}");
        Path link = Files.createSymbolicLink(folder.resolve("also.json"), input);
        for (Path output : List.of(input, link, folder.resolve("./plan.json"))) {
            assertThatThrownBy(() -> Export.notOver(input, "--ics", output))
                    .isInstanceOf(BadFileException.class)
                    .hasMessageContaining("--ics");
        }
        Export.notOver(input, "--ics", folder.resolve("other.ics"));
    }

    /** A copy of a season goes the same way. */
    @Test
    void aCopyOfASeasonLeavesAPartOfTheUsersOwnAlone() throws Exception {
        Path season = folder.resolve("s.fahrbahn");
        Seasons.HandClock clock = new Seasons.HandClock();
        Seasons.fill(season, 3, clock);
        Path own = Files.writeString(folder.resolve("copy.fahrbahn.part"), "mine");
        try (SeasonFile file = SeasonFile.open(season, clock)) {
            file.copyTo(folder.resolve("copy.fahrbahn"));
        }
        assertThat(own).hasContent("mine");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder.resolve("copy.fahrbahn"))))
                .isEqualTo("rw-------");
    }
}
