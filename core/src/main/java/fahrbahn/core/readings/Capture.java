package fahrbahn.core.readings;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import java.time.Instant;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * Readings taken on one surface at one time.
 *
 * @param id unlike any other capture's
 * @param surface {@link #DARK}, {@link #LIGHT}, {@link #EDGE} or a free name
 * @param at when it was taken
 * @param source where the readings came from, in words
 * @param sensors names in the order of each reading's values
 * @param readings at least two
 * @param conditions under which
 */
public record Capture(
        String id,
        String surface,
        Instant at,
        String source,
        List<String> sensors,
        List<Reading> readings,
        Conditions conditions) {
    public static final String DARK = "dark";
    public static final String LIGHT = "light";
    public static final String EDGE = "edge";

    /** Rolled or slid over everything there is. */
    public static final String SWEEP = "sweep";

    /** Slid across one line along a ruler. */
    public static final String SLIDE = "slide";

    /** Where readings come from that somebody read off a display. */
    public static final String TYPED = "typed";

    /** Lifted off the table: there is no surface. */
    public static final String AIR = "air";

    public Capture {
        Check.text("id", id, "an identifier");
        Check.text("surface", surface, "the name of a surface");
        sensors = List.copyOf(sensors);
        readings = List.copyOf(readings);
        if (readings.size() < 2) {
            throw new BadValueException("readings", readings.size(), "at least 2");
        }
    }

    /** A capture nobody noted the conditions of. */
    public Capture(String id, String surface, Instant at, String source, List<String> sensors, List<Reading> readings) {
        this(id, surface, at, source, sensors, readings, Conditions.UNKNOWN);
    }

    public Capture withReadings(List<Reading> newReadings) {
        return new Capture(id, surface, at, source, sensors, newReadings, conditions);
    }

    public Capture withId(String newId) {
        return new Capture(newId, surface, at, source, sensors, readings, conditions);
    }

    /** Few and rounded: as a display showed them. */
    public boolean typed() {
        return source.equals(TYPED);
    }

    /** One surface held under the sensors; not a sweep, a slide or air. */
    public boolean spot() {
        return !surface.equals(SWEEP) && !surface.equals(SLIDE) && !surface.equals(AIR);
    }

    /** Time of each reading from the first, s; the reading's number where the source gave no time. */
    public double[] timesS() {
        double first = readings.get(0).tS();
        double[] times = new double[readings.size()];
        for (int i = 0; i < times.length; i++) {
            double t = readings.get(i).tS() - first;
            times[i] = Double.isNaN(t) ? i : t;
        }
        return times;
    }

    /** True when the source gave a time with each reading. */
    public boolean timed() {
        return readings.stream().noneMatch(r -> Double.isNaN(r.tS()));
    }

    /** All readings of one sensor, by its place among the sensors, as they were reported. */
    public double[] reported(int sensor) {
        return readings.stream().mapToDouble(r -> r.value(sensor)).toArray();
    }

    /** Readings of one sensor, by its place among the sensors; those that say there is no surface under it are left out. */
    public double[] values(int sensor) {
        return pick(reported(sensor), sensor);
    }

    /** The same of the sensor with this name; empty when the capture has none. */
    public double[] values(String sensor) {
        int index = sensors.indexOf(sensor);
        return index < 0 ? new double[0] : values(index);
    }

    /** Time of each of a sensor's {@link #values}, from the capture's first reading. */
    public double[] timesS(int sensor) {
        return pick(timesS(), sensor);
    }

    /** Place along the ruler of each of a sensor's {@link #values}, mm; NaN where not said. */
    public double[] positionsMm(int sensor) {
        return pick(readings.stream().mapToDouble(Reading::positionMm).toArray(), sensor);
    }

    /** True when the source gave a place along a ruler with each reading. */
    public boolean placed() {
        return readings.stream().allMatch(r -> Double.isFinite(r.positionMm()));
    }

    private double[] pick(double[] all, int sensor) {
        boolean[] none = NoSurface.in(reported(sensor), !spot());
        return IntStream.range(0, all.length)
                .filter(i -> !none[i])
                .mapToDouble(i -> all[i])
                .toArray();
    }

    /** The reading by which a sensor says that there is no surface; empty when it always saw one. */
    public OptionalDouble noSurface(int sensor) {
        double[] reported = reported(sensor);
        boolean[] none = NoSurface.in(reported, !spot());
        return IntStream.range(0, none.length)
                .filter(i -> none[i])
                .mapToDouble(i -> reported[i])
                .findFirst();
    }
}
