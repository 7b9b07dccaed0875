package fahrbahn.app;

import fahrbahn.store.BadFileException;
import fahrbahn.store.Export;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.logging.FileHandler;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.logging.SimpleFormatter;

/** The folder of the coach's season and of the log: {@code ~/.fahrbahn} unless the launcher says otherwise. */
final class Home {
    private static final Logger LOG = Logger.getLogger(Home.class.getName());
    private static final int MOST_RECENT = 9;
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

    /** The season that was there before seasons had names. */
    Path season() {
        return folder.resolve("season.fahrbahn");
    }

    /** Where a new season of this name goes. Characters that no file name takes everywhere become dashes. */
    Path named(String name) {
        return folder.resolve(name.strip().replaceAll("[^\\p{L}\\p{N} ._-]", "-") + ".fahrbahn");
    }

    private Path recentFile() {
        return folder.resolve("recent.txt");
    }

    /** Seasons used last, the latest first; those that are gone are left out. */
    List<Path> recent() {
        List<Path> all = new ArrayList<>();
        try {
            if (Files.exists(recentFile())) {
                Files.readAllLines(recentFile()).stream()
                        .filter(line -> !line.isBlank())
                        .map(Path::of)
                        .forEach(all::add);
            }
        } catch (IOException | InvalidPathException unreadable) {
            LOG.log(Level.WARNING, "the list of seasons used last", unreadable);
        }
        if (!all.contains(season())) {
            all.add(season());
        }
        return all.stream()
                .filter(Files::isRegularFile)
                .distinct()
                .limit(MOST_RECENT)
                .toList();
    }

    /** Puts a season at the head of the list. */
    void used(Path file) {
        Path path = file.toAbsolutePath();
        StringBuilder lines = new StringBuilder(path + "\n");
        recent().stream()
                .filter(p -> !p.equals(path))
                .forEach(p -> lines.append(p).append('\n'));
        try {
            Export.text(recentFile(), lines.toString());
        } catch (BadFileException cannot) {
            LOG.log(Level.WARNING, "the list of seasons used last", cannot);
        }
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
