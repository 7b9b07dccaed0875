package fahrbahn.app.start;

import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import java.io.IOException;
import java.io.Reader;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Properties;
import java.util.concurrent.Executor;
import java.util.logging.Level;
import java.util.logging.Logger;

/** How the coach left the window: looks, size, page and address. It is no part of a season; where it cannot be read, nothing is lost. */
public final class Remembered {
    /** What is remembered. */
    public enum What {
        DAY,
        LARGE,
        WIDTH,
        HEIGHT,
        ADDRESS,
        STATION,
        PAGE,
        GREETED
    }

    private static final Logger LOG = Logger.getLogger(Remembered.class.getName());

    private final Path file;
    private final Executor writer;
    private final Properties all = new Properties();

    private Remembered(Path file, Executor writer) {
        this.file = file;
        this.writer = writer;
    }

    /** @param writer where it is written */
    static Remembered in(Path folder, Executor writer) {
        Remembered remembered = new Remembered(folder.resolve("window.properties"), writer);
        if (Files.isRegularFile(remembered.file)) {
            try (Reader text = Files.newBufferedReader(remembered.file)) {
                remembered.all.load(text);
            } catch (IOException | IllegalArgumentException unreadable) {
                LOG.log(Level.WARNING, "how the window was left", unreadable);
            }
        }
        return remembered;
    }

    public Optional<String> get(What what) {
        return Optional.ofNullable(all.getProperty(what.name()));
    }

    public boolean is(What what) {
        return get(what).map(Boolean::parseBoolean).orElse(false);
    }

    /** A number between two bounds; empty when there is none. */
    public Optional<Double> number(What what, double least, double most) {
        try {
            return get(what).map(Double::parseDouble).filter(v -> v >= least && v <= most);
        } catch (NumberFormatException damaged) {
            return Optional.empty();
        }
    }

    public void set(What what, Object value) {
        String words = String.valueOf(value);
        if (words.equals(all.setProperty(what.name(), words))) {
            return;
        }
        StringWriter text = new StringWriter();
        try {
            all.store(text, null);
        } catch (IOException never) {
            throw new IllegalStateException("a string can be written", never);
        }
        writer.execute(() -> write(text.toString()));
    }

    private void write(String text) {
        try {
            Export.text(file, text);
        } catch (BadFileException cannot) {
            LOG.log(Level.WARNING, "how the window is left", cannot);
        }
    }
}
