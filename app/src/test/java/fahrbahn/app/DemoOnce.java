package fahrbahn.app;

import fahrbahn.app.demo.DemoSeason;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.time.Clock;

/** The demo club, made once for all tests of one test run, for that takes seconds: each works on a copy. */
public final class DemoOnce {
    private static Path made;

    private DemoOnce() {}

    /** @param season there is nothing yet */
    public static synchronized void copyTo(Path season) throws Exception {
        if (made == null) {
            made = made();
        }
        Files.createDirectories(season.getParent());
        Files.copy(made, season);
    }

    /** The programs that Maven tests with are its children: the first that needs the demo makes it, the other waits for it. */
    private static Path made() throws Exception {
        long run = ProcessHandle.current()
                .parent()
                .map(ProcessHandle::pid)
                .orElse(ProcessHandle.current().pid());
        Path folder = Files.createDirectories(Path.of("target", "demo-of-" + run));
        Path demo = folder.resolve("demo.fahrbahn");
        try (FileChannel channel =
                        FileChannel.open(folder.resolve("lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock alone = channel.lock()) {
            if (!Files.exists(demo)) {
                Path begun = Files.createTempDirectory(folder, "begun").resolve("demo.fahrbahn");
                DemoSeason.open(begun, Clock.systemUTC()).close();
                Files.move(begun, demo, StandardCopyOption.ATOMIC_MOVE);
            }
        }
        return demo;
    }
}
