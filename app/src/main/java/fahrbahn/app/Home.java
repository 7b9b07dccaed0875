package fahrbahn.app;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.logging.FileHandler;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.logging.SimpleFormatter;

/** The folder of the coach's season and of the log: {@code ~/.fahrbahn} unless the launcher says otherwise. */
final class Home {
    private static final int LOG_BYTES = 1 << 20;
    private static final int LOG_FILES = 3;

    private final Path folder;

    private Home(Path folder) {
        this.folder = folder;
    }

    static Home open() throws IOException {
        String said = System.getProperty("fahrbahn.home");
        Path folder = said == null ? Path.of(System.getProperty("user.home"), ".fahrbahn") : Path.of(said);
        Files.createDirectories(folder);
        return new Home(folder);
    }

    Path season() {
        return folder.resolve("season.fahrbahn");
    }

    Path demo() {
        return folder.resolve("demo.fahrbahn");
    }

    /** Sends what goes wrong to a file, not to the screen. */
    void logHere() throws IOException {
        FileHandler handler = new FileHandler(folder.resolve("fahrbahn.log").toString(), LOG_BYTES, LOG_FILES, true);
        handler.setFormatter(new SimpleFormatter());
        Logger root = Logger.getLogger("");
        for (var other : root.getHandlers()) {
            root.removeHandler(other);
        }
        root.addHandler(handler);
        root.setLevel(Level.INFO);
    }
}
