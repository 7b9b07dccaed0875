package fahrbahn.core.readings;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** RFC 4180 rows, with comment lines and with room for blanks around values. */
final class CsvRows {
    private static final CSVFormat BASE = CSVFormat.RFC4180
            .builder()
            .setCommentMarker('#')
            .setIgnoreSurroundingSpaces(true)
            .setIgnoreEmptyLines(true)
            .get();

    private CsvRows() {}

    static CSVFormat format(char separator) {
        return BASE.builder().setDelimiter(separator).get();
    }

    static List<String> fields(CSVRecord row) {
        return row.stream().toList();
    }

    /** The fields of one line; empty for a comment or a blank line. */
    static List<String> fields(String line, char separator) throws BadReadingsException {
        try (CSVParser parser = CSVParser.parse(line, format(separator))) {
            List<CSVRecord> rows = parser.getRecords();
            return rows.isEmpty() ? List.of() : fields(rows.get(0));
        } catch (IOException | UncheckedIOException broken) {
            throw new BadReadingsException("not a line of values: " + line);
        }
    }
}
