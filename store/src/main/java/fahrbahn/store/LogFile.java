package fahrbahn.store;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.runlog.RunLog;
import fahrbahn.core.runlog.RunLogFile;
import java.nio.file.Path;

/** A robot's log of a run from a CSV file on disk. */
public final class LogFile {
    private LogFile() {}

    /** @throws BadFileException naming the file, the line, the value and what was expected */
    public static RunLog read(Path file) throws BadFileException {
        return TextFile.table(file, "log of a run", text -> {
            try {
                return RunLogFile.read(text);
            } catch (BadValueException broken) {
                throw new BadFileException(file + ": " + broken.getMessage(), broken);
            }
        });
    }
}
