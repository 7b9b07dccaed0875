package fahrbahn.app.start;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.DemoOnce;
import fahrbahn.core.Damage;
import fahrbahn.core.InMemory;
import fahrbahn.core.Repeated;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.season.Backups;
import fahrbahn.store.season.Salvage;
import fahrbahn.store.season.SeasonCheck;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/** A season of a club, damaged in every way a disk can: looked over, opened as the window opens it, and salvaged. */
@Timeout(1800)
class DamagedDemoTest extends Repeated {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-05-04T09:00:00Z"), ZoneOffset.UTC);
    private static final Pattern GONE = Pattern.compile("(\\d+) changes? of which nothing");

    @TempDir(factory = InMemory.class)
    private Path folder;

    private double slowestS;

    private interface Doing {
        void run() throws Exception;
    }

    /** Of this thread alone: what else the machine does is not counted. */
    private void timed(Doing doing) throws Exception {
        long before = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
        doing.run();
        slowestS = Math.max(slowestS, (ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() - before) / 1e9);
    }

    @Test
    void whateverHappenedToItNothingIsHiddenAndNothingComesToNoEnd() throws Exception {
        Path file = folder.resolve("club.fahrbahn");
        DemoOnce.copyTo(file);
        byte[] sound = Files.readAllBytes(file);
        int all = SeasonCheck.of(file, CLOCK).changes();
        assertThat(all).isGreaterThan(100);
        Home home = Home.in(folder.resolve("home"));
        Opener opener =
                new Opener(home, new Backups(home.backups(), CLOCK, 1 << 30), CLOCK, Runnable::run, Runnable::run);
        int found = 0;
        int seasons = times(12, 300);
        for (int seed = 0; seed < seasons; seed++) {
            byte[] damaged = Damage.of(sound, seed);
            boolean changed = !java.util.Arrays.equals(damaged, sound);
            Files.write(file, damaged);
            int at = seed;
            timed(() -> opened(opener, file, at, changed));
            Files.write(file, damaged); // opening may have mended an index
            timed(() -> checked(file, at, all));
            try {
                Salvage salvage = Salvage.of(file);
                nothingHidden(at, all, salvage.changes(), salvage.lost());
                timed(() -> {
                    Opener.Opened again = (Opener.Opened) opener.salvage(file);
                    // A setup by content that is gone, and of which its robot's history has no copy.
                    assertThat(again.season().ledger().leftOut())
                            .as("%d", at)
                            .allMatch(line -> line.contains("setting is"));
                    Path made = again.season().path();
                    again.season().ledger().close();
                    Files.delete(made);
                });
                found++;
            } catch (BadFileException nothing) {
                assertThat(damaged.length)
                        .as("%d: only a stump holds nothing", seed)
                        .isLessThan(12 * Damage.PAGE);
            }
        }
        System.out.printf(
                java.util.Locale.ROOT,
                "damaged: %d seasons, %d salvaged, slowest answer %.2f s of a processor%n",
                seasons,
                found,
                slowestS);
    }

    /** Opened, or offered to be salvaged; refused only where there is nothing of a season. */
    private static void opened(Opener opener, Path file, int seed, boolean changed) throws Exception {
        try {
            Opener.Result result = opener.open(file);
            if (result instanceof Opener.Opened opened) {
                assertThat(opened.season().ledger().owners(Kinds.SETUP))
                        .as("%d", seed)
                        .isNotEmpty();
                opened.season().ledger().close();
            } else {
                assertThat(changed).as("%d", seed).isTrue();
            }
        } catch (BadFileException refused) {
            assertThat(refused).as("%d", seed).hasMessageContaining(file.toString());
            boolean later = refused.getMessage().contains("later Fahrbahn");
            assertThat(later || Files.size(file) < 12 * Damage.PAGE)
                    .as("%d: %s", seed, refused.getMessage())
                    .isTrue();
        }
    }

    private static void checked(Path file, int seed, int all) throws Exception {
        SeasonCheck check;
        try {
            check = SeasonCheck.of(file, CLOCK);
        } catch (BadFileException refused) {
            assertThat(refused).as("%d", seed).hasMessageContaining(file.toString());
            return;
        }
        if (check.sound()) {
            assertThat(check.changes()).as("%d", seed).isEqualTo(all);
        } else {
            assertThat(check.problem()).as("%d", seed).isNotBlank();
            nothingHidden(seed, all, check.changes(), check.lost());
        }
    }

    /** Never less than is missing, held against what was written; or that it cannot be told. */
    private static void nothingHidden(int seed, int all, int changes, List<String> lost) {
        long said = 0;
        boolean untold = false;
        for (String line : lost) {
            Matcher gone = GONE.matcher(line);
            said += gone.find() ? Long.parseLong(gone.group(1)) : line.endsWith("(damaged)") ? 1 : 0;
            untold |= line.contains("cannot be told") || line.contains("cannot be read:");
        }
        assertThat(untold || said >= all - changes)
                .as("%d: %d missing, %s", seed, all - changes, lost)
                .isTrue();
    }
}
