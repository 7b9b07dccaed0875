package fahrbahn.app.start;

import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import fahrbahn.store.file.Privacy;
import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.logging.FileHandler;
import java.util.logging.Handler;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.logging.SimpleFormatter;

/** The folder of the coach's season and of the log: {@code ~/.fahrbahn} unless the launcher says otherwise. */
public final class Home {
    private static final Logger LOG = Logger.getLogger(Home.class.getName());
    private static final int MOST_RECENT = 9;
    private static final int LOG_BYTES = 1 << 20;
    private static final int LOG_FILES = 3;

    private final Path folder;
    private final String problem;

    private Home(Path folder, String problem) {
        this.folder = folder;
        this.problem = problem;
    }

    /** Where that folder cannot be, one for this sitting; {@link #problem} says so. */
    public static Home open() {
        String said = System.getProperty("fahrbahn.home");
        return in(said == null ? Path.of(System.getProperty("user.home"), ".fahrbahn") : Path.of(said));
    }

    /** The same in a folder of one's choice. */
    static Home in(Path folder) {
        try {
            Privacy.folder(folder);
            if (Files.isWritable(folder)) {
                return new Home(folder, "");
            }
            return elsewhere(folder, "no right to write");
        } catch (IOException cannot) {
            return elsewhere(folder, cannot.getClass().getSimpleName());
        }
    }

    private static Home elsewhere(Path wanted, String why) {
        try {
            Path folder = Files.createTempDirectory("fahrbahn");
            return new Home(
                    folder,
                    "The folder " + wanted + " cannot be written (" + why + "). New seasons are kept in " + folder
                            + " for now. Save them elsewhere before you switch off, or make the folder writable.");
        } catch (IOException nowhere) {
            return new Home(
                    wanted, "Neither " + wanted + " nor any other folder can be written: nothing new can be saved.");
        }
    }

    /** Why seasons are not where they ought to be, in words; empty when they are. */
    public String problem() {
        return problem;
    }

    Path folder() {
        return folder;
    }

    /** How the window was left. @param writer where it is written */
    public Remembered remembered(Executor writer) {
        return Remembered.in(folder, writer);
    }

    /** Where copies of seasons are kept. */
    public Path backups() {
        return folder.resolve("backups");
    }

    /** The season that was there before seasons had names. */
    public Path season() {
        return folder.resolve("season.fahrbahn");
    }

    /** Where a new season of this name goes. Characters that no file name takes everywhere become dashes. */
    Path named(String name) {
        return folder.resolve(name.strip().replaceAll("[\\p{Cntrl}/\\\\:*\"<>|]", "-") + ".fahrbahn");
    }

    private Path recentFile() {
        return folder.resolve("recent.txt");
    }

    /** Seasons used last, the latest first; those that are gone are left out. */
    public List<Path> recent() {
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
                .filter(Home::something)
                .distinct()
                .limit(MOST_RECENT)
                .toList();
    }

    /** An empty file is no season. */
    private static boolean something(Path file) {
        try {
            return Files.isRegularFile(file) && Files.size(file) > 0;
        } catch (IOException unreadable) {
            return true; // opening it tells why
        }
    }

    /** Puts a season at the head of the list. */
    public void used(Path file) {
        Path path = file.toAbsolutePath();
        StringBuilder lines = new StringBuilder(path + "\n");
        recent().stream()
                .filter(p -> !p.equals(path))
                .forEach(p -> lines.append(p).append('\n'));
        try {
            Export.text(recentFile(), lines.toString());
            Privacy.ownerOnly(recentFile());
        } catch (BadFileException | IOException cannot) {
            LOG.log(Level.WARNING, "the list of seasons used last", cannot);
        }
    }

    public Path demo() {
        return folder.resolve("demo.fahrbahn");
    }

    /** Sends what goes wrong to a file, not to the screen; where no file can be, nowhere. */
    public void logHere() {
        Logger root = Logger.getLogger("");
        for (Handler other : root.getHandlers()) {
            root.removeHandler(other);
        }
        try {
            String pattern = folder.resolve("fahrbahn.log").toString().replace("%", "%%"); // a % begins a code there
            FileHandler handler = new FileHandler(pattern, LOG_BYTES, LOG_FILES, true);
            handler.setFormatter(new SimpleFormatter());
            root.addHandler(handler);
            root.setLevel(Level.INFO);
            try (DirectoryStream<Path> logs = Files.newDirectoryStream(folder, "fahrbahn.log*")) {
                for (Path log : logs) {
                    Privacy.ownerOnly(log);
                }
            }
        } catch (IOException noLog) {
            root.setLevel(Level.OFF);
        }
    }
}
