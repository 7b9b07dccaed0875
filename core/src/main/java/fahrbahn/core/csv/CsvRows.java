package fahrbahn.core.csv;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * RFC 4180 rows, with comment lines and with room for blanks around values. The separator, comma, semicolon or tab, is found from
 * the header line; with the latter two a decimal comma is understood.
 */
public record CsvRows(CSVParser parser, char separator) implements AutoCloseable {
    private static final CSVFormat BASE = CSVFormat.RFC4180
            .builder()
            .setCommentMarker('#')
            .setIgnoreSurroundingSpaces(true)
            .setIgnoreEmptyLines(true)
            .get();

    private static final Pattern DECIMAL_COMMA = Pattern.compile("[+-]?\\d*,\\d+([eE][+-]?\\d+)?");

    private static final Pattern COMMA_BESIDE_NO_DIGIT = Pattern.compile("(?<!\\d),|,(?!\\d)");

    /** Ten minutes of a thousand readings a second are a fifth of it. */
    private static final int MOST_ROWS = 3_000_000;

    private static final int BYTE_ORDER_MARK = 0xFEFF;

    /** Room for a long header line when the separator is looked for. */
    private static final int HEADER_LOOK_AHEAD = 1 << 16;

    /** The rows of a text, header line first. A byte order mark is passed over. */
    public static CsvRows open(Reader text) throws IOException {
        BufferedReader reader = new BufferedReader(text, HEADER_LOOK_AHEAD);
        char separator = separatorAhead(reader);
        return new CsvRows(format(separator).parse(reader), separator);
    }

    @Override
    public void close() throws IOException {
        parser.close();
    }

    private static CSVFormat format(char separator) {
        return BASE.builder().setDelimiter(separator).get();
    }

    /** @throws BadValueException when the table is longer than memory is meant to hold */
    public static List<String> fields(CSVRecord row) {
        Check.require(row.getRecordNumber() <= MOST_ROWS, "rows", "more than " + MOST_ROWS, "at most " + MOST_ROWS);
        return row.stream().map(CsvText::read).toList();
    }

    /** The fields of one line; empty for a comment or a blank line. @throws IOException when it is not a line of values */
    public static List<String> fields(String line, char separator) throws IOException {
        try (CSVParser parser = CSVParser.parse(line, format(separator))) {
            List<CSVRecord> rows = parser.getRecords();
            return rows.isEmpty() ? List.of() : fields(rows.get(0));
        }
    }

    /**
     * The separator a line uses: a tab or a semicolon where every comma stands between digits, for then it is a decimal comma; else
     * whichever of tab, semicolon and comma it has most of.
     */
    public static char separatorOf(String headerLine) {
        if (!COMMA_BESIDE_NO_DIGIT.matcher(headerLine).find()) {
            for (char candidate : new char[] {'\t', ';'}) {
                if (headerLine.indexOf(candidate) >= 0) {
                    return candidate;
                }
            }
        }
        char best = ',';
        long most = 0;
        for (char candidate : new char[] {',', ';', '\t'}) {
            long count = headerLine.chars().filter(c -> c == candidate).count();
            if (count > most) {
                most = count;
                best = candidate;
            }
        }
        return best;
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
        return separatorOf(start.toString());
    }

    /** NaN when the text is not a finite plain number. */
    public static double number(String text, char separator) {
        String plain = separator != ',' && DECIMAL_COMMA.matcher(text).matches() ? text.replace(',', '.') : text;
        if (plain.isEmpty() || !looksNumeric(plain)) {
            return Double.NaN;
        }
        try {
            double value = Double.parseDouble(plain);
            return Double.isFinite(value) ? value : Double.NaN;
        } catch (NumberFormatException notANumber) {
            return Double.NaN;
        }
    }

    /** Keeps out what Java alone takes for a number: NaN, Infinity, 0x1p3, 1f. */
    private static boolean looksNumeric(String text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (!(c >= '0' && c <= '9') && c != '.' && c != '-' && c != '+' && c != 'e' && c != 'E') {
                return false;
            }
        }
        return true;
    }
}
