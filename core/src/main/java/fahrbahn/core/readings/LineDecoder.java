package fahrbahn.core.readings;

import fahrbahn.core.csv.CsvRows;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Turns the lines of a live stream into readings. A line of names alone is a header, also in the middle of the stream: it
 * counts once the next line fits it, so that a scrap of text cannot derail a running stream. A stream that is joined after its
 * header gets columns named by their place, from its first line of nothing but numbers. Broken lines are counted and skipped. Not thread-safe: one decoder a stream.
 */
public final class LineDecoder {
    /** More than any robot has sensors; what sends more is something else. */
    public static final int MOST_COLUMNS = 64;

    private record Header(List<String> names, char separator) {}

    private Header announced;
    private Columns columns;
    private char separator = ',';
    private long brokenLines;

    /** The reading on this line; empty for a comment, a header, a blank or a broken line. */
    public Optional<Reading> line(String line) {
        if (line.isBlank() || line.startsWith("#")) {
            return Optional.empty();
        }
        try {
            return decode(line);
        } catch (BadReadingsException broken) {
            brokenLines++;
            return Optional.empty();
        }
    }

    /** Sensor names, once a first reading has shown which columns carry numbers; empty until then. */
    public List<String> sensors() {
        return columns == null ? List.of() : columns.sensors();
    }

    /** Lines skipped so far because they could not be understood. */
    public long brokenLines() {
        return brokenLines;
    }

    private Optional<Reading> decode(String line) throws BadReadingsException {
        if (columns != null && announced == null) {
            Reading plain = columns.plain(line);
            if (plain != null) {
                return Optional.of(plain);
            }
        }
        char lineSeparator = CsvRows.separatorOf(line);
        List<String> fields = fields(line, lineSeparator);
        if (fields.size() > MOST_COLUMNS) {
            throw new BadReadingsException(fields.size() + " columns; a robot sends at most " + MOST_COLUMNS);
        }
        if (fields.stream().allMatch(LineDecoder::isName)) {
            announced = new Header(fields, lineSeparator);
            return Optional.empty();
        }
        if (columns == null && announced == null) {
            if (fields.stream().anyMatch(field -> Double.isNaN(CsvRows.number(field, lineSeparator)))) {
                throw new BadReadingsException("before a header only a line of numbers is understood: " + line);
            }
            announced = new Header(placeNames(fields.size()), lineSeparator);
        }
        if (announced != null) {
            Header header = announced;
            try {
                List<String> row = fields(line, header.separator());
                Columns next = Columns.of(header.names(), header.separator(), row);
                Reading reading = next.reading(row);
                columns = next;
                separator = header.separator();
                announced = null;
                return Optional.of(reading);
            } catch (BadReadingsException doesNotFit) {
                if (columns == null) {
                    throw doesNotFit; // the header stands; this was the broken line
                }
                announced = null;
            }
        }
        return Optional.of(columns.reading(fields(line, separator)));
    }

    private static boolean isName(String field) {
        return !field.isEmpty()
                && Character.isLetter(field.charAt(0))
                && field.chars().noneMatch(Character::isISOControl);
    }

    static List<String> placeNames(int count) {
        List<String> names = new ArrayList<>();
        for (int i = 1; i <= count; i++) {
            names.add("sensor " + i);
        }
        return names;
    }

    private static List<String> fields(String line, char separator) throws BadReadingsException {
        try {
            return CsvRows.fields(line, separator);
        } catch (IOException | UncheckedIOException broken) {
            throw new BadReadingsException("not a line of values: " + line);
        }
    }
}
