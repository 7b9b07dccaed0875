package fahrbahn.core.readings;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A whole file of readings. Nothing is half imported: the first broken row refuses the file.
 *
 * @param sensors names in the order of each reading's values
 */
public record ReadingsFile(List<String> sensors, List<Reading> readings) {
    private static final int BYTE_ORDER_MARK = 0xFEFF;

    /** Room for a long header line when the separator is looked for. */
    private static final int HEADER_LOOK_AHEAD = 1 << 16;

    public ReadingsFile {
        sensors = List.copyOf(sensors);
        readings = List.copyOf(readings);
    }

    /**
     * Reads CSV to its end.
     *
     * @throws BadReadingsException naming the line, the value and what was expected
     * @throws IOException when the text cannot be read
     */
    public static ReadingsFile read(Reader text) throws IOException, BadReadingsException {
        BufferedReader reader = new BufferedReader(text, HEADER_LOOK_AHEAD);
        char separator = separatorAhead(reader);
        try (CSVParser parser = CsvRows.format(separator).parse(reader)) {
            return read(parser, separator);
        } catch (UncheckedIOException broken) {
            throw new BadReadingsException(
                    "Not a table of readings: " + broken.getCause().getMessage());
        }
    }

    private static ReadingsFile read(CSVParser parser, char separator) throws BadReadingsException {
        List<String> header = null;
        Columns columns = null;
        List<Reading> readings = new ArrayList<>();
        for (CSVRecord csvRow : parser) {
            List<String> row = CsvRows.fields(csvRow);
            long line = parser.getCurrentLineNumber();
            try {
                if (header == null) {
                    header = row;
                    continue;
                }
                if (columns == null) {
                    columns = Columns.of(header, separator, row);
                }
                readings.add(columns.reading(row));
            } catch (BadReadingsException broken) {
                throw new BadReadingsException(line, broken.getMessage() + ". Nothing was imported");
            }
        }
        if (columns == null) {
            throw new BadReadingsException(
                    header == null
                            ? "The file is empty: a line with the column names was expected, then a line a reading"
                            : "The file has column names but no readings below them");
        }
        return new ReadingsFile(columns.sensors(), readings);
    }

    private static char separatorAhead(BufferedReader reader) throws IOException {
        reader.mark(HEADER_LOOK_AHEAD);
        StringBuilder start = new StringBuilder();
        boolean inComment = false;
        boolean atLineStart = true;
        int next = reader.read();
        boolean marked = next == BYTE_ORDER_MARK;
        if (marked) {
            next = reader.read();
        }
        for (int read = 1; next >= 0 && read < HEADER_LOOK_AHEAD - 2; read++) {
            inComment = atLineStart ? next == '#' : inComment;
            atLineStart = next == '\n' || next == '\r';
            if (atLineStart && !start.toString().isBlank()) {
                break;
            }
            if (!inComment && !atLineStart) {
                start.append((char) next);
            }
            next = reader.read();
        }
        reader.reset();
        if (marked) {
            reader.read();
        }
        return Columns.separatorOf(start.toString());
    }
}
