package fahrbahn.store.season;

import fahrbahn.store.file.BadFileException;
import java.nio.file.Path;

/** A season file that is damaged: what can be read of it can be brought into a new one, see {@link Salvage}. */
public final class DamagedSeasonException extends BadFileException {
    private static final long serialVersionUID = 1L;

    private final transient Path file;

    DamagedSeasonException(Path file, String what, Throwable cause) {
        super(
                file + ": the season file is damaged (" + what
                        + "). Nothing in it was changed. Salvage what can be read into a"
                        + " new file, or bring back a backup",
                cause);
        this.file = file;
    }

    public Path file() {
        return file;
    }
}
