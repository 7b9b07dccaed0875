package fahrbahn.store.exchange;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.runlog.RunLog;
import fahrbahn.core.runlog.RunLogFile;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.TextFile;
import java.nio.file.Path;
import java.util.Collection;

/** A robot's log of a run from a CSV file on disk. */
public final class LogFile {
    private LogFile() {}

    /**
     * @param sensors names of the robot's sensors; empty when nobody knows the robot
     * @throws BadFileException naming the file, the line, the value and what was expected
     */
    public static RunLog read(Path file, Collection<String> sensors) throws BadFileException {
        return TextFile.table(file, "log of a run", text -> {
            try {
                return RunLogFile.read(text, sensors);
            } catch (BadValueException broken) {
                throw new BadFileException(file + ": " + broken.getMessage(), broken);
            }
        });
    }
}
