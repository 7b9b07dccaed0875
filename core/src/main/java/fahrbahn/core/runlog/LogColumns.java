package fahrbahn.core.runlog;

import fahrbahn.core.check.BadValueException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What the columns of a log are, by their names. The robot's own sensors come first: a robot whose sensors are called left and right logs
 * readings under those names, and its wheels are {@code leftWheel} and {@code rightWheel}.
 */
final class LogColumns {
    /** What our own traces have behind a robot's log, in their order; let be when they are read. */
    static final List<String> TRACED = List.of(
            "byKp",
            "byKi",
            "byKd",
            "leftMmPerS",
            "rightMmPerS",
            "offsetMm",
            "sMm",
            "xMm",
            "yMm",
            "headingDeg",
            "doing");

    private static final Set<String> LET_BE =
            Stream.concat(TRACED.stream(), Stream.of("surface", "positionMm")).collect(Collectors.toUnmodifiableSet());

    /** Our own traces call a sensor so that is named like another column of theirs. */
    static final String READING = " reading";

    private static final Map<String, RunLog.Column> WHEELS =
            Map.of(wheel("left"), RunLog.Column.LEFT, wheel("right"), RunLog.Column.RIGHT);

    /** Names of the time in lower case, letters alone, and how many of its units make a second. */
    private static final Map<String, Double> TIMES = Map.ofEntries(
            Map.entry("ts", 1.0),
            Map.entry("times", 1.0),
            Map.entry("seconds", 1.0),
            Map.entry("sec", 1.0),
            Map.entry("s", 1.0),
            Map.entry("ms", 1e3),
            Map.entry("tms", 1e3),
            Map.entry("timems", 1e3),
            Map.entry("millis", 1e3),
            Map.entry("milliseconds", 1e3),
            Map.entry("us", 1e6),
            Map.entry("tus", 1e6),
            Map.entry("timeus", 1e6),
            Map.entry("micros", 1e6));

    /** A time without a unit: seconds, unless a tick would then take longer than any loop does. */
    private static final Set<String> TIMES_OF_ANY_UNIT = Set.of("t", "time", "timestamp");

    /** No loop takes so long, s. */
    private static final double NO_LOOP_S = 0.5;

    private final List<String> header;
    private final Set<String> sensors;
    private final int timeAt;

    private LogColumns(List<String> header, Set<String> sensors, int timeAt) {
        this.header = header;
        this.sensors = sensors;
        this.timeAt = timeAt;
    }

    static String wheel(String side) {
        return side + "Wheel";
    }

    /**
     * @param sensors names of the robot's sensors; empty when nobody knows the robot
     * @throws BadValueException when there is no time, or a name stands twice
     */
    static LogColumns of(List<String> header, Collection<String> sensors) {
        String names = "'" + String.join(", ", header) + "'";
        if (new HashSet<>(header).size() < header.size()) {
            throw new BadValueException("line 1", names, "every column name once");
        }
        int timeAt = header.indexOf("tS");
        for (int i = 0; i < header.size() && timeAt < 0; i++) {
            String plain = plain(header.get(i));
            boolean time = TIMES.containsKey(plain) || TIMES_OF_ANY_UNIT.contains(plain);
            timeAt = time && !sensors.contains(header.get(i)) ? i : timeAt;
        }
        if (timeAt < 0) {
            throw new BadValueException("line 1", names, "column names with 'tS' among them, or a time in ms as 'tMs'");
        }
        return new LogColumns(List.copyOf(header), Set.copyOf(sensors), timeAt);
    }

    private static String plain(String name) {
        return name.toLowerCase(Locale.ROOT).replaceAll("[^a-z]", "");
    }

    int count() {
        return header.size();
    }

    String name(int column) {
        return header.get(column);
    }

    /** Whether what stands in it is not looked at. */
    boolean letBe(int column) {
        return LET_BE.contains(header.get(column)) && !sensors.contains(header.get(column));
    }

    /** @param ticks a value a column each */
    RunLog log(List<double[]> ticks) {
        List<String> names = new ArrayList<>();
        List<double[]> readings = new ArrayList<>();
        double[][] columns = new double[RunLog.Column.values().length][];
        for (int i = 0; i < header.size(); i++) {
            Optional<RunLog.Column> command = command(header.get(i));
            if (i == timeAt || letBe(i)) {
                continue;
            }
            if (command.isPresent()) {
                columns[command.get().ordinal()] = values(ticks, i);
            } else {
                names.add(sensor(header.get(i)));
                readings.add(values(ticks, i));
            }
        }
        return new RunLog(seconds(values(ticks, timeAt)), names, readings.toArray(double[][]::new), columns);
    }

    private static double[] values(List<double[]> ticks, int column) {
        return ticks.stream().mapToDouble(tick -> tick[column]).toArray();
    }

    private static String sensor(String name) {
        return name.endsWith(READING) ? name.substring(0, name.length() - READING.length()) : name;
    }

    private Optional<RunLog.Column> command(String name) {
        if (WHEELS.containsKey(name)) {
            return Optional.of(WHEELS.get(name));
        }
        boolean reads = sensors.contains(name) && !header.contains(name + READING);
        for (RunLog.Column column : RunLog.Column.values()) {
            if (column.word().equals(name) && !reads && !header.contains(wheel(name))) {
                return Optional.of(column);
            }
        }
        return Optional.empty();
    }

    private double[] seconds(double[] times) {
        String plain = plain(header.get(timeAt));
        double perSecond = TIMES.getOrDefault(plain, Double.NaN);
        if (Double.isNaN(perSecond)) {
            double span = times.length < 2 ? 0 : times[times.length - 1] - times[0];
            perSecond = span / Math.max(1, times.length - 1) > NO_LOOP_S ? 1e3 : 1;
        }
        double[] seconds = times.clone();
        for (int i = 0; i < seconds.length && perSecond != 1; i++) {
            seconds[i] /= perSecond;
        }
        return seconds;
    }
}
