package fahrbahn.core.readings;

import fahrbahn.core.csv.CsvRows;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * What each column means, from the header line and the first row. {@code tS}, {@code surface} and {@code positionMm} are known
 * by name; every other column whose first value is a number is a sensor; the rest is ignored.
 */
public final class Columns {
    private static final String TIME = "tS";
    private static final String SURFACE = "surface";
    private static final String POSITION = "positionMm";
    private static final int ABSENT = -1;

    private final List<String> header;
    private final char separator;
    private final List<Integer> sensorFields;
    private final List<String> sensors;
    private final int[] sensorAt;
    private final int timeAt;
    private final int positionAt;

    private Columns(List<String> header, char separator, List<Integer> sensorFields) {
        this.header = List.copyOf(header);
        this.separator = separator;
        this.sensorFields = List.copyOf(sensorFields);
        this.sensors = sensorFields.stream().map(header::get).toList();
        this.sensorAt = sensorFields.stream().mapToInt(i -> i).toArray();
        this.timeAt = header.indexOf(TIME);
        this.positionAt = header.indexOf(POSITION);
    }

    /** @param separator comma, semicolon or tab; with the latter two a decimal comma is understood */
    static Columns of(List<String> header, char separator, List<String> firstRow) throws BadReadingsException {
        Set<String> seen = new HashSet<>();
        for (String name : header) {
            if (!name.isEmpty() && !seen.add(name)) {
                throw new BadReadingsException("the column '" + name + "' stands twice in the header");
            }
        }
        List<Integer> sensorFields = new ArrayList<>();
        for (int i = 0; i < header.size() && i < firstRow.size(); i++) {
            boolean known = Set.of(TIME, SURFACE, POSITION).contains(header.get(i));
            if (!known && !header.get(i).isEmpty() && !Double.isNaN(CsvRows.number(firstRow.get(i), separator))) {
                sensorFields.add(i);
            }
        }
        if (sensorFields.isEmpty()) {
            throw new BadReadingsException("no column of numbers besides tS, surface and positionMm; found "
                    + String.join(", ", header) + ". Give each sensor a column with its name");
        }
        return new Columns(header, separator, sensorFields);
    }

    /** Names of the sensors in the order of their columns. */
    public List<String> sensors() {
        return sensors;
    }

    /** One row, or an exception that says which column is broken and how. */
    Reading reading(List<String> row) throws BadReadingsException {
        if (row.size() != header.size()) {
            throw new BadReadingsException(row.size() + " values where the header has " + header.size() + " columns ("
                    + String.join(", ", header) + ")");
        }
        double[] values = new double[sensorFields.size()];
        for (int i = 0; i < values.length; i++) {
            values[i] = field(row, sensorFields.get(i));
        }
        int surface = header.indexOf(SURFACE);
        return new Reading(
                optional(row, TIME),
                surface == ABSENT ? "" : row.get(surface).toLowerCase(Locale.ROOT),
                optional(row, POSITION),
                values);
    }

    /**
     * The reading on a plain line: numbers and separators, no quotes, as many as the header has. A robot at a thousand lines a second
     * sends nothing else, and this takes a tenth of the time of reading a CSV row.
     *
     * @return null when the line is not that plain; {@link #reading} then says what it is
     */
    Reading plain(String line) {
        if (header.contains(SURFACE) || line.indexOf('"') >= 0) {
            return null;
        }
        double[] all = new double[header.size()];
        int from = 0;
        for (int field = 0; field < all.length; field++) {
            int to = line.indexOf(separator, from);
            boolean last = field == all.length - 1;
            if (last != (to < 0)) {
                return null;
            }
            all[field] = CsvRows.number(
                    line.substring(from, last ? line.length() : to).strip(), separator);
            if (Double.isNaN(all[field])) {
                return null;
            }
            from = to + 1;
        }
        double[] values = new double[sensorAt.length];
        for (int i = 0; i < values.length; i++) {
            values[i] = all[sensorAt[i]];
        }
        return new Reading(
                timeAt == ABSENT ? Double.NaN : all[timeAt],
                "",
                positionAt == ABSENT ? Double.NaN : all[positionAt],
                values);
    }

    private double optional(List<String> row, String name) throws BadReadingsException {
        int field = header.indexOf(name);
        return field == ABSENT || row.get(field).isEmpty() ? Double.NaN : field(row, field);
    }

    private double field(List<String> row, int field) throws BadReadingsException {
        double value = CsvRows.number(row.get(field), separator);
        if (!Double.isFinite(value)) {
            throw new BadReadingsException(
                    "'" + row.get(field) + "' in column " + header.get(field) + " is not a number");
        }
        return value;
    }
}
