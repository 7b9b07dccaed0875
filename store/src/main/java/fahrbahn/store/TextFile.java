package fahrbahn.store;

import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/** Reading of whole text files, with one message for one that cannot be read. */
public final class TextFile {
    private TextFile() {}

    /** @param what the file should hold, to read after "a" */
    public static String read(Path file, String what) throws BadFileException {
        try {
            return Files.readString(file);
        } catch (NoSuchFileException missing) {
            throw new BadFileException(file + ": there is no such file. Check the name and the folder", missing);
        } catch (CharacterCodingException notText) {
            throw new BadFileException(
                    file + ": not a text file in UTF-8; a " + what + " in JSON was expected", notText);
        } catch (IOException unreadable) {
            throw new BadFileException(file + ": cannot be read (" + unreadable.getMessage() + ")", unreadable);
        }
    }
}
