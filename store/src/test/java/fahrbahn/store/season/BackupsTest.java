package fahrbahn.store.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.InMemory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class BackupsTest {
    @TempDir(factory = InMemory.class)
    private Path folder;

    private final Seasons.HandClock clock = new Seasons.HandClock();

    private Backups backups(long mostBytes) {
        return new Backups(folder.resolve("copies"), clock, mostBytes);
    }

    private Path season() {
        return folder.resolve("Spring & autumn?.fahrbahn");
    }

    private void change(Path file, String body) throws Exception {
        try (SeasonFile season = SeasonFiles.openOrCreate(file, clock)) {
            season.write(Seasons.edit("a change", Change.put("run", "r", "x", body)));
        }
    }

    private void back(Backups backups, Path file) throws Exception {
        try (SeasonFile season = SeasonFile.open(file, clock)) {
            backups.make(season);
        }
    }

    @Test
    void aCopyIsMadeWhenSomethingHasChangedAndNotElse() throws Exception {
        Backups backups = backups(1 << 30);
        SeasonFiles.create(season(), clock).close();
        back(backups, season());
        assertThat(backups.of(season())).as("nothing in it yet").isEmpty();
        change(season(), "1");
        back(backups, season());
        back(backups, season());
        assertThat(backups.of(season())).hasSize(1);
        assertThat(backups.of(folder.resolve("other/Spring & autumn?.fahrbahn")))
                .as("another folder's season of the same name")
                .isEmpty();
        Backups.Look look = backups.look(backups.of(season()).get(0));
        assertThat(look.runs()).isEqualTo(1);
        assertThat(look.lastChange()).contains(Seasons.MORNING);
    }

    @Test
    void theLastTenAndOneADayForAMonthAreKept() throws Exception {
        Backups backups = backups(1 << 30);
        for (int day = 0; day < 45; day++) {
            for (int hour = 0; hour < 3; hour++) {
                clock.move(Seasons.MORNING.plus(Duration.ofDays(day)).plus(Duration.ofHours(hour)));
                change(season(), day + "." + hour);
                back(backups, season());
            }
        }
        List<Backups.Backup> all = backups.of(season());
        assertThat(all.subList(0, 10))
                .extracting(Backups.Backup::step)
                .containsExactly(135, 134, 133, 132, 131, 130, 129, 128, 127, 126);
        List<Backups.Backup> older = all.subList(10, all.size());
        assertThat(older)
                .extracting(b -> LocalDate.ofInstant(b.at(), ZoneOffset.UTC))
                .as("one a day")
                .doesNotHaveDuplicates();
        assertThat(older).as("of a month").hasSize(26);
        assertThat(older)
                .allSatisfy(b ->
                        assertThat(b.step() % 3).as("the newest of its day").isZero());
    }

    @Test
    void theBoundOfBytesKeepsTheNewest() throws Exception {
        Backups backups = backups(100_000);
        for (int i = 0; i < 8; i++) {
            clock.move(Seasons.MORNING.plusSeconds(i));
            change(season(), "\"" + i + "x".repeat(4000) + "\"");
            back(backups, season());
        }
        List<Backups.Backup> all = backups.of(season());
        assertThat(all.stream().mapToLong(Backups.Backup::bytes).sum()).isLessThanOrEqualTo(100_000);
        assertThat(all.get(0).step()).isEqualTo(8);
        assertThat(all).hasSizeBetween(1, 4);
    }

    @Test
    void eachCopyCanBeBroughtBackAndThatCanBeTakenBack() throws Exception {
        Backups backups = backups(1 << 30);
        for (int i = 1; i <= 4; i++) {
            clock.move(Seasons.MORNING.plusSeconds(i));
            change(season(), String.valueOf(i));
            if (i < 4) {
                back(backups, season());
            }
        }
        clock.move(Seasons.MORNING.plusSeconds(9));
        List<Backups.Backup> all = backups.of(season());
        assertThat(all).hasSize(3);
        for (Backups.Backup each : all) {
            backups.bringBack(each, season());
            try (SeasonFile season = SeasonFile.open(season(), clock)) {
                assertThat(season.body("run", "r", "x")).contains(String.valueOf(each.step()));
            }
        }
        Backups.Backup before = backups.of(season()).stream()
                .filter(b -> b.step() == 4)
                .findFirst()
                .orElseThrow(() -> new AssertionError("what was there is a copy now"));
        backups.bringBack(before, season());
        try (SeasonFile season = SeasonFile.open(season(), clock)) {
            assertThat(season.body("run", "r", "x")).contains("4");
            assertThatThrownBy(() -> backups.bringBack(all.get(0), season()))
                    .as("while it is open")
                    .hasMessageContaining("open in another window");
        }
    }

    @Test
    void aDamagedSeasonIsKeptAsideWhenACopyTakesItsPlace() throws Exception {
        Backups backups = backups(1 << 30);
        Seasons.fill(season(), 20, clock);
        back(backups, season());
        byte[] bytes = Files.readAllBytes(season());
        java.util.Arrays.fill(bytes, 4096, bytes.length - 4096, (byte) 7);
        Files.write(season(), bytes);
        assertThatThrownBy(() -> SeasonFile.open(season(), clock)).isInstanceOf(DamagedSeasonException.class);
        backups.bringBack(backups.of(season()).get(0), season());
        try (SeasonFile season = SeasonFile.open(season(), clock)) {
            assertThat(season.contents().documents()).hasSize(20);
        }
        try (Stream<Path> all = Files.walk(folder.resolve("copies"))) {
            Path aside = all.filter(f -> f.toString().endsWith("-damaged"))
                    .findFirst()
                    .orElseThrow();
            assertThat(Files.readAllBytes(aside)).isEqualTo(bytes);
        }
        Files.write(backups.of(season()).get(0).file(), bytes);
        assertThatThrownBy(() -> backups.bringBack(backups.of(season()).get(0), season()))
                .as("a copy that is damaged itself")
                .isInstanceOf(DamagedSeasonException.class);
    }

    @Test
    void seasonsAndCopiesAreForTheirOwnerAlone() throws Exception {
        Backups backups = backups(1 << 30);
        change(season(), "1");
        back(backups, season());
        try (Stream<Path> all = Stream.concat(Stream.of(season()), Files.walk(folder.resolve("copies")))) {
            assertThat(all)
                    .allSatisfy(path -> assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(path)))
                            .as("%s", path)
                            .endsWith("------"));
        }
    }

    /** Copies from before are not later than those that are made now, whatever their date; what is made now is kept. */
    @Test
    void aClockThatWasSetBackMakesNoCopyOld() throws Exception {
        Backups backups = backups(1 << 30);
        for (int i = 0; i < 12; i++) {
            clock.move(Seasons.MORNING.plus(Duration.ofDays(i)));
            change(season(), String.valueOf(i));
            back(backups, season());
        }
        clock.move(Seasons.MORNING.minus(Duration.ofDays(400)));
        back(backups, season());
        assertThat(backups.of(season())).as("nothing has changed").hasSize(12);
        for (int i = 0; i < 3; i++) {
            clock.move(clock.instant().plusSeconds(60));
            change(season(), "after " + i);
            back(backups, season());
        }
        List<Backups.Backup> all = backups.of(season());
        assertThat(all.stream().limit(3).map(Backups.Backup::step)).containsExactly(15, 14, 13);
        assertThat(all).hasSize(15);
    }
}
