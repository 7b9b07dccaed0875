package fahrbahn.store.file;

import java.io.IOException;
import java.io.Reader;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/** Reading of text files, bounded, with one message for one that cannot be read. */
public final class TextFile {
    /** Documents are written by people and programs alike; beyond this it is a mistake. */
    public static final long MOST_DOCUMENT_BYTES = 20L << 20;

    /** With the photographs of a season; no more is written either, so that what was written can be read. */
    public static final long MOST_SEASON_BYTES = 400L << 20;

    /** With the photographs of a log book, which is held whole. */
    public static final long MOST_BOOK_BYTES = 150L << 20;

    /** Ten minutes of sixteen sensors at a thousand readings a second are half of it. */
    public static final long MOST_TABLE_BYTES = 200L << 20;

    private static final String BYTE_ORDER_MARK = "\uFEFF";

    private TextFile() {}

    /** Turns a text into what it stands for. */
    public interface Maker<T> {
        T make(Reader text) throws IOException, BadFileException;
    }

    /** A document, whole, without a byte order mark. @param what the file should hold, to read after "a" */
    public static String read(Path file, String what) throws BadFileException {
        return read(file, what, MOST_DOCUMENT_BYTES);
    }

    /** The same of one that may be as long as is said. */
    public static String read(Path file, String what, long mostBytes) throws BadFileException {
        check(file, what, mostBytes);
        return reading(file, what, () -> {
            String text = Files.readString(file);
            return text.startsWith(BYTE_ORDER_MARK) ? text.substring(1) : text;
        });
    }

    /** A table, row by row. @param what the file should hold, to read after "a" */
    public static <T> T table(Path file, String what, Maker<T> maker) throws BadFileException {
        return text(file, what, MOST_TABLE_BYTES, maker);
    }

    /** A season or its log book, read on as it comes. */
    public static <T> T season(Path file, String what, Maker<T> maker) throws BadFileException {
        return text(file, what, MOST_SEASON_BYTES, maker);
    }

    private static <T> T text(Path file, String what, long mostBytes, Maker<T> maker) throws BadFileException {
        check(file, what, mostBytes);
        return reading(file, what, () -> {
            try (Reader text = Files.newBufferedReader(file)) {
                return maker.make(text);
            }
        });
    }

    private interface Work<T> {
        T run() throws IOException, BadFileException;
    }

    private static <T> T reading(Path file, String what, Work<T> work) throws BadFileException {
        try {
            return work.run();
        } catch (NoSuchFileException missing) {
            throw new BadFileException(file + ": there is no such file. Check the name and the folder", missing);
        } catch (CharacterCodingException notText) {
            throw new BadFileException(file + ": not a text file in UTF-8; a " + what + " was expected", notText);
        } catch (IOException unreadable) {
            throw new BadFileException(file + ": cannot be read (" + unreadable.getMessage() + ")", unreadable);
        }
    }

    private static void check(Path file, String what, long mostBytes) throws BadFileException {
        if (Files.exists(file) && !Files.isRegularFile(file)) {
            throw new BadFileException(file + ": not a file; a " + what + " was expected");
        }
        long bytes = reading(file, what, () -> Files.size(file));
        if (bytes > mostBytes) {
            throw new BadFileException(
                    file + ": " + (bytes >> 20) + " MB long; a " + what + " has at most " + (mostBytes >> 20) + " MB");
        }
    }
}
