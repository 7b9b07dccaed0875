package fahrbahn.store.file;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.DirectoryIteratorException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.UUID;
import java.util.logging.Level;
import java.util.logging.Logger;

/**
 * Writes files for others, whole or not at all: what was there before is only replaced by what is complete. It is made in a file of a name that nobody
 * can know before, so that nothing of the user's is written over and no link is followed on the way.
 */
public final class Export {
    private static final Logger LOG = Logger.getLogger(Export.class.getName());

    private static final String START = ".fahrbahn-";
    private static final String END = ".part";

    private Export() {}

    /** @throws BadFileException when it cannot be written; what was there is there still */
    public static void text(Path file, String text) throws BadFileException {
        bytes(file, text.getBytes(StandardCharsets.UTF_8));
    }

    /** @throws BadFileException when it cannot be written, or is a folder, a device or a pipe; what was there is there still */
    public static void bytes(Path file, byte[] content) throws BadFileException {
        streamed(file, out -> out.write(content));
    }

    /** Writes into a stream; what it throws leaves everything as it was. */
    @FunctionalInterface
    public interface Writing {
        void to(OutputStream out) throws IOException, BadFileException;
    }

    /** The same for what is too large to be held whole. */
    public static void streamed(Path file, Writing writing) throws BadFileException {
        Path place = place(file);
        Path beside = null;
        try {
            beside = beside(place);
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(beside))) {
                writing.to(out);
            }
            if (Files.exists(place)) {
                Privacy.copy(place, beside);
            }
            replace(beside, place);
        } catch (BadFileException refused) {
            forget(beside);
            throw refused;
        } catch (IOException cannot) {
            forget(beside);
            throw new BadFileException(
                    file + " cannot be written (" + cannot.getMessage() + "). Choose another folder", cannot);
        }
    }

    /**
     * What is written is not what was read.
     *
     * @param option by which the output was given
     * @throws BadFileException when both are the same file
     */
    public static void notOver(Path input, String option, Path output) throws BadFileException {
        try {
            if (Files.exists(output) && Files.isSameFile(input, output)) {
                throw new BadFileException(option + " is " + output + ", the file that is read; it must be another");
            }
        } catch (IOException unknown) {
            throw new BadFileException(output + " cannot be looked at (" + unknown.getMessage() + ")", unknown);
        }
    }

    /** Where a link leads; nothing but a plain file is replaced. */
    public static Path place(Path file) throws BadFileException {
        if (!Files.exists(file, LinkOption.NOFOLLOW_LINKS)) {
            return file;
        }
        try {
            Path real = file.toRealPath();
            if (Files.isRegularFile(real)) {
                return real;
            }
        } catch (IOException leadsNowhere) {
            throw new BadFileException(file + " is a link that leads nowhere. Choose another name", leadsNowhere);
        }
        throw new BadFileException(
                file + " is " + (Files.isDirectory(file) ? "a folder" : "no plain file but a device or a pipe")
                        + ". Choose another name");
    }

    /** A new file beside a place; it fails where there is one of this name, rather than open it. */
    public static Path beside(Path place) throws IOException {
        Path folder = place.toAbsolutePath().getParent();
        return Files.createFile(folder.resolve(START + UUID.randomUUID() + END));
    }

    /** Takes away what programs that were killed left in a folder of ours, in which none of them writes now. */
    public static void forgetParts(Path folder) {
        try (DirectoryStream<Path> parts = Files.newDirectoryStream(folder, START + "*" + END)) {
            parts.forEach(Export::forget);
        } catch (IOException | DirectoryIteratorException unreadable) {
            LOG.log(Level.WARNING, "what was left in " + folder, unreadable);
        }
    }

    /** Puts a finished file in the place of another, at once where the disk can do so. */
    public static void replace(Path finished, Path file) throws IOException {
        try {
            Files.move(finished, file, StandardCopyOption.ATOMIC_MOVE);
        } catch (AtomicMoveNotSupportedException slower) {
            Files.move(finished, file, StandardCopyOption.REPLACE_EXISTING);
        }
    }

    /** Takes away what was left of an attempt. @param part null where nothing was begun */
    public static void forget(Path part) {
        try {
            if (part != null) {
                Files.deleteIfExists(part);
            }
        } catch (IOException leftOver) {
            LOG.log(Level.WARNING, "what was left of an attempt: " + part, leftOver);
        }
    }
}
