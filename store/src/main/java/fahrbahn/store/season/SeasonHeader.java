package fahrbahn.store.season;

import fahrbahn.store.file.BadFileException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;

/**
 * The first bytes of a season file, looked at before the database engine may touch it: a stranger's file is left exactly as it
 * is. Offsets from "Database File Format", section 1.3, of the SQLite documentation.
 */
final class SeasonHeader {
    /** "FAHR". */
    static final int APPLICATION_ID = 0x46414852;

    private static final byte[] MAGIC = "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);
    private static final int SIZE = 100;
    private static final int USER_VERSION_OFFSET = 60;
    private static final int APPLICATION_ID_OFFSET = 68;

    /** No later Fahrbahn will have come to this version. */
    private static final int FAR_AHEAD = 100_000;

    private SeasonHeader() {}

    /** An empty file is none: nothing was ever saved in it. */
    static boolean absent(Path file) {
        try {
            return !Files.exists(file) || Files.isRegularFile(file) && Files.size(file) == 0;
        } catch (IOException unreadable) {
            return false; // it will be told why when it is opened
        }
    }

    /**
     * @throws DamagedSeasonException when it does not begin as a season and yet holds what was written to one
     * @throws BadFileException when the file is missing, not a season, or of a later version than this program writes
     */
    static void check(Path file) throws BadFileException {
        if (!Files.isRegularFile(file) || absent(file)) {
            throw new BadFileException(file + ": there is no such season file. Check the name and the folder");
        }
        byte[] header;
        try (InputStream bytes = Files.newInputStream(file)) {
            header = bytes.readNBytes(SIZE);
        } catch (IOException unreadable) {
            throw new BadFileException(file + ": cannot be read (" + unreadable.getMessage() + ")", unreadable);
        }
        boolean database = header.length == SIZE && Arrays.equals(MAGIC, Arrays.copyOf(header, MAGIC.length));
        if (!database || ByteBuffer.wrap(header).getInt(APPLICATION_ID_OFFSET) != APPLICATION_ID) {
            if (Salvage.finds(file)) {
                throw new DamagedSeasonException(file, "its first page", null);
            }
            throw new BadFileException(file
                    + ": not a season file. Nothing in it was changed; choose a file that Fahrbahn made (*.fahrbahn)");
        }
        int version = ByteBuffer.wrap(header).getInt(USER_VERSION_OFFSET);
        if (version < SeasonSchema.VERSION && version != 0 || version > FAR_AHEAD) {
            throw new DamagedSeasonException(file, "its first page says version " + version, null);
        }
        if (version > SeasonSchema.VERSION) {
            throw new BadFileException(file + ": written by a later Fahrbahn (season version " + version
                    + ", this one reads up to " + SeasonSchema.VERSION + "). Open it with that one");
        }
    }
}
