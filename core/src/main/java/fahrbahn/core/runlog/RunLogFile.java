package fahrbahn.core.runlog;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.csv.CsvRows;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;

/**
 * A log in CSV: a line with the column names, then a line a tick. {@code tS} is needed; {@code error}, {@code steering}, {@code left} and
 * {@code right} are what they are called, {@code surface} and what this program writes beside them are let be, every other column is a sensor.
 * Lines that begin with # are comments. A last line that was cut off, as when the robot is switched off, is left out.
 */
public final class RunLogFile {
    /** What our own traces have behind a robot's log, in their order; let be when they are read. */
    public static final List<String> TRACED = List.of(
            "byKp",
            "byKi",
            "byKd",
            "leftMmPerS",
            "rightMmPerS",
            "offsetMm",
            "sMm",
            "xMm",
            "yMm",
            "headingDeg",
            "doing");

    private static final Set<String> LET_BE =
            Stream.concat(TRACED.stream(), Stream.of("surface", "positionMm")).collect(Collectors.toUnmodifiableSet());

    /** Our own traces call a sensor so that is named like a command. */
    public static final String READING = " reading";

    private static final String TIME = "tS";

    /** Larger numbers are no times, readings or commands. */
    private static final double MOST = 1e9;

    /** A log of an hour at a thousand ticks a second. */
    private static final int MOST_TICKS = 3_600_000;

    private RunLogFile() {}

    /**
     * @throws BadValueException naming the line, the column, the value and what was expected; nothing is half read
     * @throws IOException when the text cannot be read
     */
    public static RunLog read(Reader text) throws IOException {
        List<String> header = null;
        List<double[]> ticks = new ArrayList<>();
        try (CsvRows rows = CsvRows.open(text)) {
            BadValueException cut = null;
            for (CSVRecord row : rows.parser()) {
                List<String> fields = CsvRows.fields(row);
                if (fields.get(0).startsWith("#")) {
                    continue;
                }
                if (header == null) {
                    header = header(fields);
                    continue;
                }
                if (cut != null) {
                    throw cut; // it was not the last
                }
                long line = rows.parser().getCurrentLineNumber();
                if (fields.size() < header.size()) {
                    cut = new BadValueException(
                            "line " + line, fields.size() + " values", header.size() + " values, as in the header");
                } else {
                    ticks.add(tick(header, fields, rows.separator(), line));
                    if (ticks.size() > MOST_TICKS) {
                        throw new BadValueException("ticks", "more than " + MOST_TICKS, "an hour's log or less");
                    }
                }
            }
        } catch (UncheckedIOException broken) {
            throw new BadValueException("file", "broken: " + broken.getCause().getMessage(), "a log of a run in CSV");
        }
        if (header == null) {
            throw new BadValueException("file", "empty", "a line with the column names, then a line a tick");
        }
        return log(header, ticks);
    }

    private static List<String> header(List<String> fields) {
        if (!fields.contains(TIME)) {
            throw new BadValueException(
                    "line 1", "'" + String.join(", ", fields) + "'", "column names with '" + TIME + "' among them");
        }
        if (new HashSet<>(fields).size() < fields.size()) {
            throw new BadValueException("line 1", "'" + String.join(", ", fields) + "'", "every column name once");
        }
        return fields;
    }

    private static double[] tick(List<String> header, List<String> fields, char separator, long line) {
        if (fields.size() > header.size()) {
            throw new BadValueException(
                    "line " + line, fields.size() + " values", header.size() + " values, as in the header");
        }
        double[] values = new double[fields.size()];
        for (int i = 0; i < values.length; i++) {
            if (LET_BE.contains(header.get(i))) {
                continue;
            }
            try {
                values[i] = CsvRows.number(fields.get(i), separator);
            } catch (BadValueException | NumberFormatException noNumber) {
                values[i] = Double.NaN;
            }
            if (!(Math.abs(values[i]) <= MOST)) {
                throw new BadValueException(header.get(i), "'" + fields.get(i) + "'", "a number of a log")
                        .inside("line " + line);
            }
        }
        return values;
    }

    private static RunLog log(List<String> header, List<double[]> ticks) {
        List<String> sensors = new ArrayList<>();
        List<double[]> readings = new ArrayList<>();
        double[][] columns = new double[RunLog.Column.values().length][];
        double[] tS = null;
        for (int i = 0; i < header.size(); i++) {
            int at = i;
            String name = header.get(i);
            double[] values = ticks.stream().mapToDouble(tick -> tick[at]).toArray();
            RunLog.Column column = column(name);
            if (name.equals(TIME)) {
                tS = values;
            } else if (column != null) {
                columns[column.ordinal()] = values;
            } else if (!LET_BE.contains(name)) {
                sensors.add(name.endsWith(READING) ? name.substring(0, name.length() - READING.length()) : name);
                readings.add(values);
            }
        }
        return new RunLog(tS, sensors, readings.toArray(double[][]::new), columns);
    }

    private static RunLog.Column column(String name) {
        for (RunLog.Column column : RunLog.Column.values()) {
            if (column.word().equals(name)) {
                return column;
            }
        }
        return null;
    }
}
