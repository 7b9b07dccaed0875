package fahrbahn.store;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/** Writes files for others, whole or not at all: what was there before is only replaced by what is complete. */
public final class Export {
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
            Files.move(beside, file, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException cannot) {
            try {
                Files.deleteIfExists(beside);
            } catch (IOException leftOver) {
                cannot.addSuppressed(leftOver);
            }
            throw new BadFileException(
                    file + " cannot be written (" + cannot.getMessage() + "). Choose another folder", cannot);
        }
    }
}
