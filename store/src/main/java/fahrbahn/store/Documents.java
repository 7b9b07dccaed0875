package fahrbahn.store;

import fahrbahn.core.check.BadValueException;
import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/** Reading of the open JSON formats: one message for a bad file, naming the file, the field, the value and what was expected. */
final class Documents {
    private Documents() {}

    /** Turns fields into a value; what it refuses is reported as a bad file. */
    interface Maker<T> {
        T make(Fields root);
    }

    /** @param what the file should hold, to read after "a" */
    static <T> T read(Path file, String what, Maker<T> maker) throws BadFileException {
        try {
            return parse(Files.readString(file), maker);
        } catch (NoSuchFileException missing) {
            throw new BadFileException(file + ": there is no such file. Check the name and the folder", missing);
        } catch (CharacterCodingException notText) {
            throw new BadFileException(
                    file + ": not a text file in UTF-8; a " + what + " in JSON was expected", notText);
        } catch (IOException unreadable) {
            throw new BadFileException(file + ": cannot be read (" + unreadable.getMessage() + ")", unreadable);
        } catch (BadFileException broken) {
            throw new BadFileException(file + ": " + broken.getMessage(), broken);
        }
    }

    static <T> T parse(String json, Maker<T> maker) throws BadFileException {
        try {
            return maker.make(Fields.parse(json));
        } catch (BadValueException refused) {
            throw new BadFileException(refused.getMessage(), refused);
        }
    }

    static void checkFormat(Fields root, String format, int version) {
        if (!root.text("format").equals(format)) {
            throw new BadValueException("format", "\"" + root.text("format") + "\"", "\"" + format + "\"");
        }
        if (!(root.number("version") == version)) {
            throw new BadValueException("version", root.number("version"), version + ", the one this program reads");
        }
    }
}
