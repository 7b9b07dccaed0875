package fahrbahn.app;

import fahrbahn.app.demo.DemoSeason;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;

/** The demo club, made once for all tests of a program, for that takes seconds: each works on a copy. */
public final class DemoOnce {
    private static Path made;

    private DemoOnce() {}

    /** @param season there is nothing yet */
    public static synchronized void copyTo(Path season) throws Exception {
        if (made == null) {
            Path folder = Files.createTempDirectory("demo");
            folder.toFile().deleteOnExit();
            made = folder.resolve("demo.fahrbahn");
            DemoSeason.open(made, Clock.systemUTC()).close();
            made.toFile().deleteOnExit();
        }
        Files.createDirectories(season.getParent());
        Files.copy(made, season);
    }
}
