package fahrbahn.core.readings;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import java.time.Instant;
import java.util.List;

/**
 * Readings taken on one surface at one time.
 *
 * @param id unlike any other capture's
 * @param surface {@link #DARK}, {@link #LIGHT}, {@link #EDGE} or a free name
 * @param at when it was taken
 * @param source where the readings came from, in words
 * @param sensors names in the order of each reading's values
 * @param readings at least two
 */
public record Capture(
        String id, String surface, Instant at, String source, List<String> sensors, List<Reading> readings) {
    public static final String DARK = "dark";
    public static final String LIGHT = "light";
    public static final String EDGE = "edge";

    public Capture {
        Check.text("id", id, "an identifier");
        Check.text("surface", surface, "the name of a surface");
        sensors = List.copyOf(sensors);
        readings = List.copyOf(readings);
        if (readings.size() < 2) {
            throw new BadValueException("readings", readings.size(), "at least 2");
        }
    }

    /** All readings of one sensor, by its place among the sensors. */
    public double[] values(int sensor) {
        return readings.stream().mapToDouble(r -> r.value(sensor)).toArray();
    }

    /** All readings of the sensor with this name; empty when the capture has none. */
    public double[] values(String sensor) {
        int index = sensors.indexOf(sensor);
        return index < 0 ? new double[0] : values(index);
    }
}
