package fahrbahn.app.start;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.InMemory;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.season.Backups;
import fahrbahn.store.season.SeasonFiles;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Opening seasons without a window, and the folder they are in. */
class OpenerTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-05-04T09:00:00Z"), ZoneOffset.UTC);

    @TempDir(factory = InMemory.class)
    private Path folder;

    private Home home;
    private Opener opener;

    @BeforeEach
    void home() {
        open(folder.resolve("home 50%t"));
    }

    private void open(Path wanted) {
        home = Home.in(wanted);
        Backups backups = new Backups(home.backups(), CLOCK, 1 << 30);
        opener = new Opener(home, backups, CLOCK, Runnable::run, Runnable::run);
    }

    private static void close(Opener.Result result) {
        ((Opener.Opened) result).season().ledger().close();
    }

    @Test
    void theDemoIsMadeAfreshOnlyWhenNobodyHasItOpen() throws Exception {
        // As one leaves it that was killed while it was made.
        SeasonFiles.create(home.demo(), CLOCK).close();
        Opener.Opened demo = (Opener.Opened) opener.demo(false);
        assertThat(demo.season().ledger().owners(Kinds.SETUP))
                .as("made anew, whole")
                .hasSize(3);
        byte[] whole = Files.readAllBytes(home.demo());
        assertThatThrownBy(() -> opener.demo(true)).hasMessageContaining("open in another window");
        assertThat(Files.readAllBytes(home.demo())).as("it is as it was").isEqualTo(whole);
        demo.season().ledger().undo();
        close(demo);
        Opener.Opened again = (Opener.Opened) opener.demo(true);
        assertThat(again.season().ledger().redo()).as("of the first day").isEmpty();
        close(again);
        Files.writeString(home.demo(), "no season");
        assertThatThrownBy(() -> opener.demo(true)).hasMessageContaining("not a season file");
        try (Stream<Path> all = Files.list(home.folder())) {
            assertThat(all.map(p -> p.getFileName().toString())).containsExactlyInAnyOrder("demo.fahrbahn", "backups");
        }
    }

    @Test
    void aNewSeasonTakesAnyNameAndIsForItsOwnerAlone() throws Exception {
        close(opener.begin("Spring #2: 50% & \u00fcber/unter; why?"));
        Path file = home.named("Spring #2: 50% & \u00fcber/unter; why?");
        assertThat(file.getFileName()).hasToString("Spring #2- 50% & \u00fcber-unter; why?.fahrbahn");
        close(opener.open(file));
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .isEqualTo("rw-------");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(home.folder())))
                .isEqualTo("rwx------");
        home.used(file);
        Files.createFile(home.season());
        assertThat(home.recent()).as("an empty file is no season").containsExactly(file);
        home.logHere();
        assertThat(PosixFilePermissions.toString(
                        Files.getPosixFilePermissions(home.folder().resolve("fahrbahn.log.0"))))
                .isEqualTo("rw-------");
    }

    @Test
    void aHomeThatCannotBeWrittenIsSaidAndAnotherTaken() throws Exception {
        Path inTheWay = Files.writeString(folder.resolve("file"), "in the way");
        open(inTheWay.resolve("home"));
        assertThat(home.problem()).contains("cannot be written", home.folder().toString());
        close(opener.begin("Spring"));
        assertThat(Files.exists(home.named("Spring"))).isTrue();
    }

    @Test
    void aListOfSeasonsThatIsNoneStopsNobody() throws Exception {
        Files.write(home.folder().resolve("recent.txt"), new byte[] {(byte) 0xff, 0, 12, '\n', 0, '\n'});
        assertThat(home.recent()).isEmpty();
        SeasonFiles.create(home.season(), CLOCK).close();
        assertThat(home.recent()).containsExactly(home.season());
    }

    @Test
    void aSeasonFromElsewhereIsRefusedWithWords() throws Exception {
        Path stranger = Files.writeString(folder.resolve("x.fahrbahn"), "dear diary");
        assertThatThrownBy(() -> opener.open(stranger)).hasMessageContaining("not a season file");
        assertThatThrownBy(() -> opener.open(folder)).hasMessageContaining("no such season");
    }
}
