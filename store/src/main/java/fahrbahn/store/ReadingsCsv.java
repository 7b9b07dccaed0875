package fahrbahn.store;

import fahrbahn.core.readings.BadReadingsException;
import fahrbahn.core.readings.ReadingsFile;
import java.io.IOException;
import java.io.Reader;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/** Readings from a CSV file on disk. */
public final class ReadingsCsv {
    private ReadingsCsv() {}

    /** @throws BadFileException naming the file, the line, the value and what was expected */
    public static ReadingsFile read(Path file) throws BadFileException {
        try (Reader text = Files.newBufferedReader(file)) {
            return ReadingsFile.read(text);
        } catch (NoSuchFileException missing) {
            throw new BadFileException(file + ": there is no such file. Check the name and the folder", missing);
        } catch (CharacterCodingException notText) {
            throw new BadFileException(file + ": not a text file in UTF-8; a table of readings was expected", notText);
        } catch (IOException unreadable) {
            throw new BadFileException(file + ": cannot be read (" + unreadable.getMessage() + ")", unreadable);
        } catch (BadReadingsException broken) {
            throw new BadFileException(file + ": " + broken.getMessage(), broken);
        }
    }
}
