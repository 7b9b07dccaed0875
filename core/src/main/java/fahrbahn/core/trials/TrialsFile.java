package fahrbahn.core.trials;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.check.Text;
import fahrbahn.core.csv.CsvRows;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.csv.CSVRecord;

/** Runs in CSV: columns {@code setting}, {@code completed}, {@code timeS}, {@code alongMm}, {@code acrossMm}; others are let be. */
public final class TrialsFile {
    private static final List<String> YES = List.of("true", "yes", "1");
    private static final List<String> NO = List.of("false", "no", "0");

    /** Seconds and millimetres beyond this are a slipped decimal point. */
    private static final double MOST = 1e6;

    private TrialsFile() {}

    /**
     * The runs by setting, in the order in which the settings first come.
     *
     * @throws BadValueException naming the line, the column, the value and what was expected; nothing is half read
     * @throws IOException when the text cannot be read
     */
    public static List<Group> read(Reader text) throws IOException {
        Map<String, List<Outcome>> bySetting = new LinkedHashMap<>();
        try (CsvRows rows = CsvRows.open(text)) {
            List<String> header = null;
            for (CSVRecord row : rows.parser()) {
                List<String> fields = CsvRows.fields(row);
                if (header == null) {
                    header = fields;
                    need(header, "setting");
                    need(header, "completed");
                } else {
                    add(
                            bySetting,
                            header,
                            fields,
                            rows.separator(),
                            rows.parser().getCurrentLineNumber());
                }
            }
        } catch (UncheckedIOException broken) {
            throw new BadValueException("file", "broken: " + broken.getCause().getMessage(), "a table of runs in CSV");
        }
        if (bySetting.isEmpty()) {
            throw new BadValueException("file", "empty", "a line with the column names, then a line a run");
        }
        return bySetting.entrySet().stream()
                .map(e -> new Group(e.getKey(), e.getValue()))
                .toList();
    }

    private static void need(List<String> header, String column) {
        if (!header.contains(column)) {
            throw new BadValueException(
                    "line 1", "'" + String.join(", ", header) + "'", "column names with '" + column + "' among them");
        }
    }

    private static void add(
            Map<String, List<Outcome>> bySetting, List<String> header, List<String> row, char separator, long line) {
        if (row.size() != header.size()) {
            throw new BadValueException(
                    "line " + line, row.size() + " values", header.size() + " values, as in the header");
        }
        try {
            String setting = Check.text("setting", row.get(header.indexOf("setting")), "the name of a setting");
            Outcome outcome = Outcome.of(
                            truth(row.get(header.indexOf("completed"))), number(header, row, "timeS", separator))
                    .withStop(number(header, row, "alongMm", separator), number(header, row, "acrossMm", separator));
            bySetting.computeIfAbsent(setting, s -> new ArrayList<>()).add(outcome);
        } catch (BadValueException broken) {
            throw broken.inside("line " + line);
        }
    }

    private static boolean truth(String text) {
        String word = text.toLowerCase(Locale.ROOT);
        if (!YES.contains(word) && !NO.contains(word)) {
            throw new BadValueException("completed", "'" + text + "'", "true or false");
        }
        return YES.contains(word);
    }

    private static double number(List<String> header, List<String> row, String column, char separator) {
        int field = header.indexOf(column);
        if (field < 0 || row.get(field).isEmpty()) {
            return Double.NaN;
        }
        double value = CsvRows.number(row.get(field), separator);
        if (!(Math.abs(value) <= MOST)) {
            throw new BadValueException(
                    column,
                    "'" + row.get(field) + "'",
                    "a number of at most " + Text.number(MOST) + ", or empty if not measured");
        }
        return value;
    }
}
