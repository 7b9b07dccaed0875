package fahrbahn.core.marks;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.csv.CsvRows;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVRecord;

/** Colour readings in CSV: columns {@code surface}, {@code red}, {@code green}, {@code blue}, optional {@code capture}; others are let be. */
public final class MarksFile {
    private static final List<String> NEEDED = List.of("surface", "red", "green", "blue");
    private static final String CAPTURE = "capture";

    private MarksFile() {}

    /**
     * @throws BadValueException naming the line, the column, the value and what was expected; nothing is half read
     * @throws IOException when the text cannot be read
     */
    public static List<MarkSample> read(Reader text) throws IOException {
        List<MarkSample> samples = new ArrayList<>();
        try (CsvRows rows = CsvRows.open(text)) {
            List<String> header = null;
            for (CSVRecord row : rows.parser()) {
                List<String> fields = CsvRows.fields(row);
                if (header == null) {
                    header = fields;
                    need(header);
                    continue;
                }
                long line = rows.parser().getCurrentLineNumber();
                if (fields.size() != header.size()) {
                    throw new BadValueException(
                            "line " + line, fields.size() + " values", header.size() + " values, as in the header");
                }
                try {
                    samples.add(sample(header, fields, rows.separator()));
                } catch (BadValueException broken) {
                    throw broken.inside("line " + line);
                }
            }
        } catch (UncheckedIOException broken) {
            throw new BadValueException(
                    "file", "broken: " + broken.getCause().getMessage(), "a table of colour readings in CSV");
        }
        if (samples.isEmpty()) {
            throw new BadValueException("file", "empty", "a line with the column names, then a line a reading");
        }
        return samples;
    }

    private static void need(List<String> header) {
        for (String column : NEEDED) {
            if (!header.contains(column)) {
                throw new BadValueException(
                        "line 1",
                        "'" + String.join(", ", header) + "'",
                        "column names with '" + column + "' among them");
            }
        }
    }

    private static MarkSample sample(List<String> header, List<String> row, char separator) {
        int capture = header.indexOf(CAPTURE);
        return new MarkSample(
                row.get(header.indexOf("surface")),
                capture < 0 ? "" : row.get(capture),
                channel(header, row, "red", separator),
                channel(header, row, "green", separator),
                channel(header, row, "blue", separator));
    }

    private static double channel(List<String> header, List<String> row, String column, char separator) {
        String text = row.get(header.indexOf(column));
        double value = CsvRows.number(text, separator);
        if (!Double.isFinite(value)) {
            throw new BadValueException(column, "'" + text + "'", "a number");
        }
        return value;
    }
}
