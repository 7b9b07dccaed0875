package fahrbahn.bench;

import fahrbahn.app.runs.BookModel;
import fahrbahn.bench.Promises.Figure;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;

/** In the window: the log book of 10,000 runs, what no robot sends, a flood of readings, the replay. */
final class WindowPromises {
    private static final int FRAMES = 180;
    private static final int MEGABYTES = 400;
    private static final long BETWEEN_ASKS_NS = 2_000_000;
    private static final List<String> FILTERS = List.of("lost", "#wet ran", "time<22", "-lost", "");

    private WindowPromises() {}

    static List<Figure> measure() throws Exception {
        Path home = Files.createTempDirectory("window");
        Path season = home.resolve("large.fahrbahn");
        LargeSeason.write(season, Clock.systemUTC(), LargeSeason.RUNS, 0);
        BenchWindow window = BenchWindow.open(home, season);
        List<Figure> figures = new ArrayList<>(book(window));
        figures.add(
                new Figure("slowest answer while a peer sends what no robot sends, ms", slowestAnswerMs(window), 500));
        figures.add(new Figure("longest without a frame, 50,000 readings a second, ms", longestFrameMs(window), 1000));
        figures.add(new Figure("a frame of the replay, window's thread, median, ms", replayMs(window), 8));
        window.close();
        return figures;
    }

    private static List<Figure> book(BenchWindow window) throws Exception {
        window.press("station-runs");
        window.until(() -> !window.shop().busyProperty().get());
        BookModel book = window.shop().runs().book();
        BooleanSupplier there = () -> book.shown().get().isPresent();
        double first = window.shownMs(
                () -> {
                    ((Button) window.node("page-log-book")).fire();
                    book.show();
                },
                there);
        double slowest = 0;
        for (String words : FILTERS) {
            double ms = window.shownMs(
                    () -> {
                        ((TextField) window.node("bookSearch")).setText(words);
                        book.show();
                    },
                    there);
            slowest = Math.max(slowest, ms);
        }
        return List.of(
                new Figure("log book of 10,000 runs first shown, ms", first, 1000),
                new Figure("a key in its search, slowest, ms", slowest, 100));
    }

    private static double slowestAnswerMs(BenchWindow window) throws Exception {
        byte[] garbage = new byte[1 << 20];
        new Random(3).nextBytes(garbage);
        byte[] line = "x".repeat(1 << 20).getBytes(StandardCharsets.UTF_8);
        double slowest = 0;
        List<Flood.Peer> peers = List.of(
                out -> {
                    for (int i = 0; i < 185_000; i++) {
                        out.write(("a" + i + ",b" + i + "\n1,2\n").getBytes(StandardCharsets.UTF_8));
                    }
                },
                out -> Flood.lines(out, 800, 3_000, 0),
                out -> {
                    for (int i = 0; i < MEGABYTES; i++) {
                        out.write(garbage);
                    }
                },
                out -> {
                    for (int i = 0; i < MEGABYTES; i++) {
                        out.write(line);
                    }
                },
                out -> Flood.lines(out, 63, 100_000, 0));
        window.press("station-measure");
        for (Flood.Peer peer : peers) {
            try (Flood flood = new Flood(peer)) {
                window.on(() -> {
                    window.shop().live().connectTo(flood.address());
                    return null;
                });
                while (!flood.over()) {
                    slowest = Math.max(slowest, answerMs());
                    LockSupport.parkNanos(BETWEEN_ASKS_NS); // or asking itself would be the flood
                }
                window.on(() -> {
                    window.shop().live().disconnect();
                    return null;
                });
            }
        }
        return slowest;
    }

    private static double answerMs() throws InterruptedException {
        long start = System.nanoTime();
        CountDownLatch answered = new CountDownLatch(1);
        Platform.runLater(answered::countDown);
        answered.await();
        return (System.nanoTime() - start) / 1e6;
    }

    private static double longestFrameMs(BenchWindow window) throws Exception {
        double[] longest = {0};
        AnimationTimer watch = new AnimationTimer() {
            private long last;

            @Override
            public void handle(long now) {
                longest[0] = Math.max(longest[0], last == 0 ? 0 : (now - last) / 1e6);
                last = now;
            }
        };
        try (Flood flood = new Flood(out -> Flood.lines(out, 16, 200_000, 50_000))) {
            window.on(() -> {
                window.shop().live().connectTo(flood.address());
                watch.start();
                return null;
            });
            window.until(flood::over);
        }
        return window.on(() -> {
            watch.stop();
            window.shop().live().disconnect();
            return longest[0];
        });
    }

    /** By the thread's own processor time, from the end of one layout to the end of the next, while a robot moves. */
    private static double replayMs(BenchWindow window) throws Exception {
        window.press("station-drive");
        window.press("runTwin");
        window.until(() -> window.shop().drive().driveProperty().get().isPresent());
        List<Double> shares = Collections.synchronizedList(new ArrayList<>());
        ThreadMXBean threads = ManagementFactory.getThreadMXBean();
        Runnable[] after = new Runnable[1];
        window.on(() -> {
            long[] before = {-1};
            after[0] = () -> {
                long worked = threads.getCurrentThreadCpuTime();
                if (before[0] >= 0) {
                    shares.add((worked - before[0]) / 1e6);
                }
                before[0] = worked;
            };
            window.scene().addPostLayoutPulseListener(after[0]);
            return null;
        });
        window.until(() -> shares.size() >= FRAMES);
        window.on(() -> {
            window.scene().removePostLayoutPulseListener(after[0]);
            return null;
        });
        List<Double> sorted = new ArrayList<>(shares);
        Collections.sort(sorted);
        return sorted.get(sorted.size() / 2);
    }
}
