package fahrbahn.core.readings;

import fahrbahn.core.csv.CsvRows;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A whole file of readings. Nothing is half imported: the first broken row refuses the file. A table of nothing but numbers, as cut out of
 * a spreadsheet, has columns named by their place.
 *
 * @param sensors names in the order of each reading's values
 */
public record ReadingsFile(List<String> sensors, List<Reading> readings) {
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
        try (CsvRows rows = CsvRows.open(text)) {
            return read(rows.parser(), rows.separator());
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
                    boolean named = row.stream().anyMatch(field -> Double.isNaN(CsvRows.number(field, separator)));
                    header = named ? row : LineDecoder.placeNames(row.size());
                    if (named) {
                        continue;
                    }
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
}
