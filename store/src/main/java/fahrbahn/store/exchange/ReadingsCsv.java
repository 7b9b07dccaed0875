package fahrbahn.store.exchange;

import fahrbahn.core.readings.BadReadingsException;
import fahrbahn.core.readings.ReadingsFile;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.TextFile;
import java.nio.file.Path;

/** Readings from a CSV file on disk. */
public final class ReadingsCsv {
    private ReadingsCsv() {}

    /** @throws BadFileException naming the file, the line, the value and what was expected */
    public static ReadingsFile read(Path file) throws BadFileException {
        return TextFile.table(file, "table of readings", text -> {
            try {
                return ReadingsFile.read(text);
            } catch (BadReadingsException broken) {
                throw new BadFileException(file + ": " + broken.getMessage(), broken);
            }
        });
    }
}
