package fahrbahn.store.season;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.InMemory;
import fahrbahn.core.Repeated;
import fahrbahn.store.QuickStart;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.util.List;
import java.util.Random;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/** A program that is killed while it copies a season: each copy there is is whole, and little is left lying about. */
@Timeout(1800)
class KilledBackupTest extends Repeated {
    private static final int DOCUMENTS = 400;

    @TempDir(factory = InMemory.class)
    private Path folder;

    /** Changes a season and copies it, again and again, and says so. */
    static final class Copier {
        private Copier() {}

        public static void main(String[] arguments) throws Exception {
            Path work = Path.of(arguments[0]);
            Backups backups = new Backups(work.resolve("copies"), Clock.systemUTC(), 1L << 40);
            if (!Files.exists(work.resolve("season"))) {
                Seasons.fill(work.resolve("season"), DOCUMENTS, Clock.systemUTC());
            }
            try (SeasonFile season = SeasonFile.open(work.resolve("season"), Clock.systemUTC())) {
                do {
                    season.write(
                            Seasons.edit("a change", Change.put("note", "", "x", "\"" + season.lastStep() + "\"")));
                    backups.make(season);
                    Files.writeString(
                            work.resolve("said"), "copied\n", StandardOpenOption.CREATE, StandardOpenOption.APPEND);
                } while (arguments.length > 1);
            }
        }
    }

    private static int said(Path work) throws IOException {
        Path said = work.resolve("said");
        return Files.exists(said) ? Files.readAllLines(said).size() : 0;
    }

    @Test
    void everyCopyThereIsIsWhole() throws Exception {
        QuickStart programs = new QuickStart(Files.createDirectory(folder.resolve("programs")), Copier.class);
        Path work = Files.createDirectory(folder.resolve("work"));
        Backups backups = new Backups(work.resolve("copies"), Clock.systemUTC(), 1L << 40);
        Random random = new Random(5);
        int kills = times(3, 60);
        int cutShort = 0;
        for (int i = 0; i < kills; i++) {
            int before = said(work);
            Process program = programs.start(work, "on");
            while (said(work) <= before + random.nextInt(3)) {
                assertThat(program.isAlive()).isTrue();
                LockSupport.parkNanos(1_000_000);
            }
            LockSupport.parkNanos((long) (random.nextDouble() * 20e6));
            program.destroyForcibly();
            program.waitFor();
            cutShort += parts(work) > 0 ? 1 : 0;
            assertThat(parts(work)).as("the one that was being made").isLessThanOrEqualTo(1);
            List<Backups.Backup> all = backups.of(work.resolve("season"));
            assertThat(all).isNotEmpty();
            for (Backups.Backup copy : all) {
                try (SeasonFile season = SeasonFile.open(copy.file(), Clock.systemUTC(), true)) {
                    assertThat(season.lastStep()).isEqualTo(copy.step());
                    assertThat(season.contents().damaged()).isEmpty();
                }
            }
        }
        System.out.printf("killed while copying: %d programs, %d in the middle of a copy%n", kills, cutShort);
    }

    private static long parts(Path work) throws IOException {
        try (Stream<Path> all = Files.walk(work.resolve("copies"))) {
            return all.filter(p -> p.toString().endsWith(".part")).count();
        }
    }
}
