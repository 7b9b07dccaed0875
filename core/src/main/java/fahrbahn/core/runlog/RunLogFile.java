package fahrbahn.core.runlog;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.csv.CsvRows;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.apache.commons.csv.CSVRecord;

/**
 * A log in CSV: a line with the column names, then a line a tick. {@code tS}, or a time in ms, is needed. A column that is called like a sensor of
 * the robot is its readings; {@code error}, {@code steering}, {@code left} and {@code right} are what they are called, the wheels also
 * {@code leftWheel} and {@code rightWheel}; {@code surface} and what this program writes beside them are let be, every other column is a sensor.
 * Lines that begin with # are comments. A last line that was cut off, as when the robot is switched off, is left out.
 */
public final class RunLogFile {
    /** What our own traces have behind a robot's log, in their order. */
    public static final List<String> TRACED = LogColumns.TRACED;

    /** Our own traces call a sensor so that is named like another column of theirs. */
    public static final String READING = LogColumns.READING;

    /** Larger numbers are no times, readings or commands. */
    private static final double MOST = 1e9;

    /** A log of an hour at a thousand ticks a second. */
    private static final int MOST_TICKS = 3_600_000;

    private RunLogFile() {}

    /** The column of a wheel's commands where a sensor is called {@code left} or {@code right}. */
    public static String wheel(String side) {
        return LogColumns.wheel(side);
    }

    /**
     * @param sensors names of the robot's sensors, which come before all other meanings of a name; empty when nobody knows the robot
     * @throws BadValueException naming the line, the column, the value and what was expected; nothing is half read
     * @throws IOException when the text cannot be read
     */
    public static RunLog read(Reader text, Collection<String> sensors) throws IOException {
        LogColumns columns = null;
        List<double[]> ticks = new ArrayList<>();
        try (CsvRows rows = CsvRows.open(text)) {
            BadValueException cut = null;
            for (CSVRecord row : rows.parser()) {
                List<String> fields = CsvRows.fields(row);
                if (fields.get(0).startsWith("#")) {
                    continue;
                }
                if (columns == null) {
                    columns = LogColumns.of(fields, sensors);
                    continue;
                }
                if (cut != null) {
                    throw cut; // it was not the last
                }
                long line = rows.parser().getCurrentLineNumber();
                if (fields.size() < columns.count()) {
                    cut = new BadValueException(
                            "line " + line, fields.size() + " values", columns.count() + " values, as in the header");
                } else {
                    ticks.add(tick(columns, fields, rows.separator(), line));
                    if (ticks.size() > MOST_TICKS) {
                        throw new BadValueException("ticks", "more than " + MOST_TICKS, "an hour's log or less");
                    }
                }
            }
        } catch (UncheckedIOException broken) {
            throw new BadValueException("file", "broken: " + broken.getCause().getMessage(), "a log of a run in CSV");
        }
        if (columns == null) {
            throw new BadValueException("file", "empty", "a line with the column names, then a line a tick");
        }
        return columns.log(ticks);
    }

    private static double[] tick(LogColumns columns, List<String> fields, char separator, long line) {
        if (fields.size() > columns.count()) {
            throw new BadValueException(
                    "line " + line, fields.size() + " values", columns.count() + " values, as in the header");
        }
        double[] values = new double[fields.size()];
        for (int i = 0; i < values.length; i++) {
            if (columns.letBe(i)) {
                continue;
            }
            try {
                values[i] = CsvRows.number(fields.get(i), separator);
            } catch (BadValueException | NumberFormatException noNumber) {
                values[i] = Double.NaN;
            }
            if (!(Math.abs(values[i]) <= MOST)) {
                throw new BadValueException(columns.name(i), "'" + fields.get(i) + "'", "a number of a log")
                        .inside("line " + line);
            }
        }
        return values;
    }
}
