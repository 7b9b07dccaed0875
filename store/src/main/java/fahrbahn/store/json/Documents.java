package fahrbahn.store.json;

import fahrbahn.core.check.BadValueException;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.TextFile;
import java.nio.file.Path;

/** Reading of the open JSON formats: one message for a bad file, naming the file, the field, the value and what was expected. */
public final class Documents {
    private Documents() {}

    /** Turns fields into a value; what it refuses is reported as a bad file. */
    public interface Maker<T> {
        T make(Fields root);
    }

    /** @param what the file should hold, to read after "a" */
    static <T> T read(Path file, String what, Maker<T> maker) throws BadFileException {
        String text = TextFile.read(file, what);
        try {
            return parse(text, maker);
        } catch (BadFileException broken) {
            throw new BadFileException(file + ": " + broken.getMessage(), broken);
        }
    }

    public static <T> T parse(String json, Maker<T> maker) throws BadFileException {
        try {
            return maker.make(Fields.parse(json));
        } catch (BadValueException refused) {
            throw new BadFileException(refused.getMessage(), refused);
        }
    }

    public static void checkFormat(Fields root, String format, int version) {
        if (!root.text("format").equals(format)) {
            throw new BadValueException("format", "\"" + root.text("format") + "\"", "\"" + format + "\"");
        }
        if (!(root.number("version") == version)) {
            throw new BadValueException("version", root.number("version"), version + ", the one this program reads");
        }
    }
}
