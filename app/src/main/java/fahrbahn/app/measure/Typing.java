package fahrbahn.app.measure;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.readings.ColourColumns;
import fahrbahn.core.readings.Reading;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Readings of one surface while they are typed off the robot's display, sensor after sensor: a number a reading, or three with strokes between
 * of a colour sensor, {@code 42/20/55}.
 *
 * @param surface what the sensors stand on
 * @param sensors left to right
 * @param typed the readings of the first of them, as many as have been typed; each of one number or of three
 */
public record Typing(String surface, List<String> sensors, List<List<List<Double>>> typed) {
    private static final int LEAST = 2;
    private static final int MOST = 200;

    public Typing {
        sensors = List.copyOf(sensors);
        typed = List.copyOf(typed);
    }

    static Typing of(String surface, List<String> sensors) {
        return new Typing(surface, sensors, List.of());
    }

    /** What is asked for next. */
    public String asks() {
        return surface + ", sensor " + sensors.get(typed.size())
                + (sensors.size() > 1 ? " (" + (typed.size() + 1) + " of " + sensors.size() + ")" : "");
    }

    /** Whether anything has been typed. */
    boolean begun() {
        return !typed.isEmpty();
    }

    boolean complete() {
        return typed.size() == sensors.size();
    }

    /**
     * The same with the readings of the next sensor; an empty line leaves this one out, and its older readings stand.
     *
     * @throws BadValueException with words when they are none
     */
    Typing with(String text) {
        if (text.isBlank()) {
            List<String> others = new ArrayList<>(sensors);
            others.remove(typed.size());
            return new Typing(surface, others, typed);
        }
        List<List<Double>> row = new ArrayList<>();
        for (String word : text.strip().split("[\\s;]+")) {
            row.add(reading(word));
        }
        if (row.stream().anyMatch(r -> r.size() != row.get(0).size())) {
            throw new BadValueException(
                    "the row",
                    "'" + text.strip() + "'",
                    "one number for each reading, or three for each like 42/20/55");
        }
        if (row.size() < LEAST || row.size() > MOST) {
            throw new BadValueException(
                    "the row", Words.count(row.size(), "reading", "readings"), "at least two readings, e.g. 620 622");
        }
        List<List<List<Double>>> all = new ArrayList<>(typed);
        all.add(List.copyOf(row));
        return new Typing(surface, sensors, all);
    }

    private static List<Double> reading(String word) {
        List<Double> numbers = new ArrayList<>();
        for (String part : word.split("/", -1)) {
            numbers.add(
                    Words.parse(part)
                            .orElseThrow(
                                    () -> new BadValueException(
                                            "the reading",
                                            "'" + word + "'",
                                            "a number, or red/green/blue of a colour sensor; several separated by spaces, like 88 89 84")));
        }
        if (numbers.size() != 1 && numbers.size() != ColourSpace.CHANNELS) {
            throw new BadValueException("the reading", "'" + word + "'", "one number, or three like 42/20/55");
        }
        return List.copyOf(numbers);
    }

    private static boolean colour(List<List<Double>> row) {
        return row.get(0).size() == ColourSpace.CHANNELS;
    }

    /** What makes a capture: all sensors together where each has as many readings, else each sensor by itself. */
    List<Typing> together() {
        if (typed.stream().map(List::size).distinct().count() <= 1) {
            return List.of(this);
        }
        return IntStream.range(0, typed.size())
                .mapToObj(i -> new Typing(surface, List.of(sensors.get(i)), List.of(typed.get(i))))
                .toList();
    }

    /** Names of the values of each of the readings: a colour sensor has its channels after it. */
    List<String> columns() {
        List<String> columns = new ArrayList<>();
        for (int i = 0; i < typed.size(); i++) {
            columns.add(sensors.get(i));
            if (colour(typed.get(i))) {
                columns.addAll(ColourColumns.channelNames(sensors.get(i)));
            }
        }
        return columns;
    }

    /** The rows as readings of all sensors; nobody noted when. */
    List<Reading> readings() {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < typed.get(0).size(); i++) {
            List<Double> values = new ArrayList<>();
            for (List<List<Double>> row : typed) {
                List<Double> numbers = row.get(i);
                if (colour(row)) {
                    values.add(ColourColumns.line(Channel.ALL, numbers.get(0), numbers.get(1), numbers.get(2)));
                }
                values.addAll(numbers);
            }
            readings.add(new Reading(
                    Double.NaN,
                    surface,
                    Double.NaN,
                    values.stream().mapToDouble(v -> v).toArray()));
        }
        return readings;
    }
}
