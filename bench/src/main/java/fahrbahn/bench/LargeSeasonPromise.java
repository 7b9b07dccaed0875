package fahrbahn.bench;

import fahrbahn.app.kit.Clocks;
import fahrbahn.app.runs.QuickLog;
import fahrbahn.app.season.OpenSeason;
import fahrbahn.app.shell.Workshop;
import fahrbahn.store.season.SeasonFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;

/** A season of 10,000 runs, without a window: all on one thread, what the window does in the background included. */
final class LargeSeasonPromise {
    private static final Clock MORNING = Clock.fixed(Instant.parse("2026-05-04T09:00:00Z"), ZoneOffset.UTC);
    private static final String[] FILTERS = {
        "lost", "soft kp>0.4", "ran", "volts<7.5", "-lost", "time>0", "wren", "kp=0.3 lost", ""
    };

    private LargeSeasonPromise() {}

    static List<Promises.Figure> measure() throws Exception {
        Path folder = Files.createTempDirectory("seasons");
        double empty = openingMs(written(folder, "empty", 0, 0));
        double quarter = openingMs(written(folder, "quarter", LargeSeason.RUNS / 4, LargeSeason.CAPTURES / 4));
        Path whole = written(folder, "whole", LargeSeason.RUNS, LargeSeason.CAPTURES);
        double full = openingMs(whole);
        Workshop shop = opened(whole);
        if (shop.season().runs().size() != LargeSeason.RUNS) {
            throw new IllegalStateException(
                    "not all runs are there: " + shop.season().runs().size());
        }
        double[] logs = new double[15];
        for (int i = 0; i < logs.length; i++) {
            String time = String.valueOf(20 + i);
            logs[i] = milliseconds(() -> shop.runs().log().log(true, new QuickLog.Typed(time, "", "", "", "", "")));
        }
        Arrays.sort(logs);
        double book = milliseconds(() -> shop.runs().book().show());
        double filter = 0;
        for (String words : FILTERS) {
            filter = Math.max(filter, milliseconds(() -> {
                shop.runs().book().search(words);
                shop.runs().book().show();
            }));
        }
        double compare = milliseconds(() -> shop.runs().compare().show());
        double lists = milliseconds(() -> shop.handover().lists().staleThisSeason());
        shop.close();
        return List.of(
                new Promises.Figure("10,000 runs: opened, more than an empty season, ms", full - empty, 1000),
                new Promises.Figure(
                        "four times as much: opened in so many times", (full - empty) / (quarter - empty), 8),
                new Promises.Figure("one more run shown and written, median, ms", logs[logs.length / 2], 50),
                new Promises.Figure("log book first worked out, ms", book, 1000),
                new Promises.Figure("its slowest filter, ms", filter, 100),
                new Promises.Figure("its groups compared, ms", compare, 1000),
                new Promises.Figure("what lists learn of it, ms", lists, 500));
    }

    private static Path written(Path folder, String name, int runs, int captures) throws Exception {
        Path file = folder.resolve(name);
        LargeSeason.write(file, MORNING, runs, captures);
        return file;
    }

    /** The best of five, for the first ones load classes. */
    private static double openingMs(Path file) throws Exception {
        double best = Double.POSITIVE_INFINITY;
        for (int i = 0; i < 5; i++) {
            long start = System.nanoTime();
            Workshop shop = opened(file);
            best = Math.min(best, (System.nanoTime() - start) / 1e6);
            shop.close();
        }
        return best;
    }

    private static Workshop opened(Path file) throws Exception {
        return new Workshop(
                OpenSeason.read(SeasonFile.open(file, MORNING), Runnable::run, Runnable::run),
                Runnable::run,
                Runnable::run,
                new Clocks(MORNING, System::nanoTime, System::nanoTime));
    }

    private static double milliseconds(Runnable work) {
        long start = System.nanoTime();
        work.run();
        return (System.nanoTime() - start) / 1e6;
    }
}
