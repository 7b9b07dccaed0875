package fahrbahn.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.club.RobotKind;
import fahrbahn.app.runs.QuickLog;
import fahrbahn.app.season.OpenSeason;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Run;
import fahrbahn.store.Kinds;
import fahrbahn.store.Ledger;
import fahrbahn.store.Put;
import fahrbahn.store.Scribe;
import fahrbahn.store.SeasonFile;
import fahrbahn.store.Shared;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Isolated;

/** Years of work in one season. Prints the figures of docs/performance.md. */
@Isolated
@Timeout(120)
class LargeSeasonTest {
    private static final int RUNS = 10_000;
    private static final int CAPTURES = 200;
    private static final int READINGS = 200;
    private static final int SETTINGS = 12;

    @TempDir
    private Path folder;

    private final Shop.MovableClock clock = new Shop.MovableClock();

    private Path season(String name, int runs, int captures) throws Exception {
        Path file = folder.resolve(name);
        Ledger ledger = Ledger.open(
                SeasonFile.create(file, clock), new Scribe.Desk(Runnable::run, Runnable::run, (n, why) -> {}));
        Setup setup = RobotKind.PAIR.setup("Wren");
        List<Put<?>> puts = new ArrayList<>(List.of(Put.of(Kinds.SETUP, "main", setup)));
        Random random = new Random(1);
        for (int i = 0; i < runs; i++) {
            puts.add(Put.of(Kinds.RUN, "main", "run" + i, run(setup, i, runs, random)));
        }
        for (int i = 0; i < captures; i++) {
            Capture capture = capture(i, random);
            puts.add(Put.of(Kinds.CAPTURE, "main", capture.id(), capture));
        }
        // In steps of a few, as they come about.
        for (int i = 0; i < puts.size(); i += 20) {
            ledger.change("step " + i, puts.subList(i, Math.min(puts.size(), i + 20)));
        }
        ledger.close();
        return file;
    }

    private Run run(Setup setup, int i, int runs, Random random) {
        Setup used = setup.withLaw(setup.law().withGains(0.2 + 0.05 * (i * SETTINGS / runs), 0, 0.8));
        double volts = 7.2 + Math.round(90 * random.nextDouble()) / 100.0;
        Basis basis = Basis.of(
                        Shop.MORNING.minus(Duration.ofMinutes(5L * (runs - i))),
                        new Conditions("home", Lamp.ON, 9, volts, "soft"))
                .withSetting(Shared.setting(used));
        return new Run("run" + i, Run.Source.TABLE, "main", basis, Outcome.of(random.nextInt(10) > 0, 21), "");
    }

    private Capture capture(int i, Random random) {
        List<Reading> readings = new ArrayList<>();
        for (int k = 0; k < READINGS; k++) {
            double[] values = {
                Math.rint((i % 2 == 0 ? 200 : 700) + 3 * random.nextGaussian()),
                Math.rint((i % 2 == 0 ? 210 : 690) + 3 * random.nextGaussian())
            };
            readings.add(new Reading(k * 0.01, "", Double.NaN, values));
        }
        return new Capture(
                "c" + i,
                i % 2 == 0 ? Capture.DARK : Capture.LIGHT,
                Shop.MORNING.minus(Duration.ofMinutes(CAPTURES - i)),
                "test",
                List.of("left", "right"),
                readings);
    }

    /**
     * Until every station shows and everything has been judged, what the window does in the background included. Of the best of five,
     * for the first ones load classes.
     */
    private double openingMs(Path file) throws Exception {
        double best = Double.POSITIVE_INFINITY;
        for (int i = 0; i < 5; i++) {
            long start = System.nanoTime();
            Workshop shop = opened(file);
            best = Math.min(best, (System.nanoTime() - start) / 1e6);
            shop.close();
        }
        return best;
    }

    /** Of the first 15 after opening, as a coach meets them. */
    private static double medianLogMs(Workshop shop) {
        double[] logs = new double[15];
        for (int i = 0; i < logs.length; i++) {
            long start = System.nanoTime();
            shop.runs().log().log(true, new QuickLog.Typed(String.valueOf(20 + i), "", "", "", "", ""));
            logs[i] = (System.nanoTime() - start) / 1e6;
        }
        Arrays.sort(logs);
        return logs[logs.length / 2];
    }

    private static double milliseconds(Runnable work) {
        long start = System.nanoTime();
        work.run();
        return (System.nanoTime() - start) / 1e6;
    }

    private Workshop opened(Path file) throws Exception {
        return new Workshop(
                OpenSeason.read(SeasonFile.open(file, clock), Runnable::run, Runnable::run),
                Runnable::run,
                Runnable::run,
                clock);
    }

    @Test
    void tenThousandRunsOpenInASecondAndOneMoreIsLoggedAtOnce() throws Exception {
        double empty = openingMs(season("empty", 0, 0));
        double quarter = openingMs(season("quarter", RUNS / 4, CAPTURES / 4));
        Path whole = season("whole", RUNS, CAPTURES);
        double full = openingMs(whole);
        Workshop shop = opened(whole);
        assertThat(shop.season().runs()).hasSize(RUNS);
        assertThat(shop.season().captures()).hasSize(CAPTURES);
        double log = medianLogMs(shop);
        double book = milliseconds(() -> shop.runs().book().look());
        double[] filters = new double[9];
        String[] asked = {"lost", "soft kp>0.4", "ran", "volts<7.5", "-lost", "time>0", "wren", "kp=0.3 lost", ""};
        for (int i = 0; i < filters.length; i++) {
            String words = asked[i];
            filters[i] = milliseconds(() -> shop.runs().book().search(words));
        }
        double compare = milliseconds(() -> shop.runs().compare().look());
        double filter = Arrays.stream(filters).max().orElseThrow();
        double lists = milliseconds(() -> shop.handover().lists().staleThisSeason());
        assertThat(shop.runs().book().shownProperty().get()).hasSize(RUNS + 15);
        shop.close();
        System.out.printf(
                java.util.Locale.ROOT,
                "log book of 10,000 runs: first shown in %.0f ms, its groups compared in %.0f ms, the slowest of %d filters, each for the first time, in %.0f ms; what lists learn of it in %.0f ms%n",
                book,
                compare,
                filters.length,
                filter,
                lists);
        assertThat(book).as("ms until the book is shown").isLessThan(1000);
        assertThat(compare).as("ms until groups are shown and compared").isLessThan(1000);
        assertThat(filter).as("ms of the slowest filter").isLessThan(100);
        assertThat(lists).as("ms until lists have learnt of the log book").isLessThan(500);
        System.out.printf(
                java.util.Locale.ROOT,
                "large season: opened in %.0f ms, a quarter of it in %.0f, an empty one in %.0f; a run logged in %.1f ms%n",
                full,
                quarter,
                empty,
                log);
        assertThat(full - empty).as("ms more than an empty season").isLessThan(1000);
        assertThat(log).as("ms until a run is shown and written, median").isLessThan(50);
        // Four times as much: were anything quadratic it would take sixteen times as long.
        assertThat((full - empty) / (quarter - empty)).as("growth").isLessThan(8);
    }
}
