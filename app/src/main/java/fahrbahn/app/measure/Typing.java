package fahrbahn.app.measure;

import fahrbahn.app.words.Words;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.readings.Reading;
import java.util.ArrayList;
import java.util.List;

/**
 * Readings of one surface while they are typed off the robot's display, sensor after sensor.
 *
 * @param surface what the sensors stand on
 * @param sensors left to right
 * @param typed the readings of the first of them, as many as have been typed
 */
public record Typing(String surface, List<String> sensors, List<List<Double>> typed) {
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
        List<Double> row = new ArrayList<>();
        for (String word : text.strip().split("[\\s;]+")) {
            row.add(Words.parse(word)
                    .orElseThrow(() -> new BadValueException(
                            "the reading",
                            "'" + word + "'",
                            "a number; type several with blanks between, like 88 89 84")));
        }
        if (row.size() < LEAST || row.size() > MOST) {
            throw new BadValueException(
                    "the row", Words.count(row.size(), "reading", "readings"), "at least two: one tells no scatter");
        }
        if (!typed.isEmpty() && row.size() != typed.get(0).size()) {
            throw new BadValueException(
                    "the row",
                    Words.count(row.size(), "reading", "readings"),
                    Words.count(typed.get(0).size(), "reading", "readings") + ", as many as for sensor "
                            + sensors.get(0));
        }
        List<List<Double>> all = new ArrayList<>(typed);
        all.add(List.copyOf(row));
        return new Typing(surface, sensors, all);
    }

    /** The rows as readings of all sensors; nobody noted when. */
    List<Reading> readings() {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < typed.get(0).size(); i++) {
            int row = i;
            double[] values = typed.stream().mapToDouble(t -> t.get(row)).toArray();
            readings.add(new Reading(Double.NaN, surface, Double.NaN, values));
        }
        return readings;
    }
}
