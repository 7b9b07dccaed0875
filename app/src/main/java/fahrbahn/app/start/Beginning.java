package fahrbahn.app.start;

import fahrbahn.app.kit.Clocks;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.season.Backups;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.FutureTask;
import javafx.application.Platform;

/**
 * What needs no window yet: where seasons are kept, and the one that was asked for, which is read while the window is being made. The toolkit
 * takes half a second to start; by then half of the season is there.
 */
public final class Beginning {
    private static final long MOST_BACKUP_BYTES = 500L << 20;

    private final ExecutorService writer = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "season writer");
        thread.setDaemon(true);
        return thread;
    });
    private final Home home = Home.open();
    private final Backups backups;
    private final Opener opener;
    private final FutureTask<Opener.Result> asked;
    private final boolean any;

    private interface Asked {
        Opener.Result open() throws BadFileException;
    }

    /**
     * @param arguments of the program: a file, or the demo, which may be made afresh; nothing for the start page
     */
    public Beginning(Clocks clocks, List<String> arguments) {
        home.logHere();
        backups = new Backups(home.backups(), clocks.day(), MOST_BACKUP_BYTES);
        opener = new Opener(home, backups, clocks.day(), writer, Platform::runLater);
        any = !arguments.isEmpty();
        Asked how = arguments.contains("demo")
                ? () -> opener.demo(arguments.contains("--fresh"))
                : () -> opener.open(Path.of(arguments.get(0)));
        asked = new FutureTask<>(how::open);
        if (any) {
            Thread reader = new Thread(asked, "reads the season");
            reader.setDaemon(true);
            reader.start();
        }
    }

    /** Runs one task after the other, for the season file. */
    public ExecutorService writer() {
        return writer;
    }

    public Home home() {
        return home;
    }

    public Backups backups() {
        return backups;
    }

    public Opener opener() {
        return opener;
    }

    /** Whether a season was asked for. */
    public boolean asked() {
        return any;
    }

    /** What came of the season that was asked for; waits for it. */
    public Opener.Result result() throws BadFileException {
        try {
            return asked.get();
        } catch (ExecutionException broken) {
            if (broken.getCause() instanceof BadFileException refused) {
                throw refused;
            }
            if (broken.getCause() instanceof RuntimeException unforeseen) {
                throw unforeseen;
            }
            throw new IllegalStateException(broken.getCause());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new BadFileException("The season was not read: the program ends", stopped);
        }
    }
}
