package fahrbahn.store;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.logging.Level;
import java.util.logging.Logger;

/** Writes files for others, whole or not at all: what was there before is only replaced by what is complete. */
public final class Export {
    private static final Logger LOG = Logger.getLogger(Export.class.getName());

    private Export() {}

    /** @throws BadFileException when it cannot be written; what was there is there still */
    public static void text(Path file, String text) throws BadFileException {
        bytes(file, text.getBytes(StandardCharsets.UTF_8));
    }

    /** @throws BadFileException when it cannot be written; what was there is there still */
    public static void bytes(Path file, byte[] content) throws BadFileException {
        Path beside = file.resolveSibling(file.getFileName() + ".part");
        try {
            Files.write(beside, content);
            replace(beside, file);
        } catch (IOException cannot) {
            forget(beside);
            throw new BadFileException(
                    file + " cannot be written (" + cannot.getMessage() + "). Choose another folder", cannot);
        }
    }

    /** Puts a finished file in the place of another, at once where the disk can do so. */
    static void replace(Path finished, Path file) throws IOException {
        try {
            Files.move(finished, file, StandardCopyOption.ATOMIC_MOVE);
        } catch (AtomicMoveNotSupportedException slower) {
            Files.move(finished, file, StandardCopyOption.REPLACE_EXISTING);
        }
    }

    /** Takes away what was left of an attempt. */
    static void forget(Path part) {
        try {
            Files.deleteIfExists(part);
        } catch (IOException leftOver) {
            LOG.log(Level.WARNING, "what was left of an attempt: " + part, leftOver);
        }
    }
}
