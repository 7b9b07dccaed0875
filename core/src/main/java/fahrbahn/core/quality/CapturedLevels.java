package fahrbahn.core.quality;

import fahrbahn.core.levels.LevelTable;
import fahrbahn.core.levels.SensorLevels;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Levels of each sensor that nothing forbids.
 *
 * @param tables the same school by school, in the same order
 * @param forbids the first finding that forbids a level; empty when none does
 */
public record CapturedLevels(List<SensorLevels> sensors, List<LevelTable> tables, Optional<Finding> forbids) {
    public static final CapturedLevels NONE = new CapturedLevels(List.of(), List.of(), Optional.empty());

    /**
     * What they come from.
     *
     * @param counting the captures of dark and light that count
     * @param survey what is known of all captures, these among them
     * @param edge the newest capture of the edge
     * @param typed levels by sensor, as they stand in the program
     */
    public record From(
            List<Capture> counting, Survey survey, Setup setup, Optional<Capture> edge, Map<String, Double> typed) {
        public From {
            counting = List.copyOf(counting);
            typed = Map.copyOf(typed);
        }
    }

    public CapturedLevels {
        sensors = List.copyOf(sensors);
        tables = List.copyOf(tables);
    }

    /** Levels of the robot's sensors, each from its own newest captures; what was found to forbid one is told instead. */
    public static CapturedLevels of(From from) {
        List<SensorLevels> sensors = new ArrayList<>();
        List<LevelTable> tables = new ArrayList<>();
        Optional<Finding> forbids = Optional.empty();
        for (String name : from.survey().pairs().keySet()) {
            Optional<Finding> stop = from.survey().stop(name);
            forbids = forbids.or(() -> stop);
            Optional<Sensor> sensor = from.setup().robot().sensors().stream()
                    .filter(s -> stop.isEmpty() && s.name().equals(name))
                    .findFirst();
            Optional<SensorLevels> levels = sensor.flatMap(s -> SensorLevels.of(from.counting(), name));
            levels.ifPresent(sensors::add);
            levels.ifPresent(l -> tables.add(table(from, sensor.orElseThrow(), l)));
        }
        return new CapturedLevels(sensors, tables, forbids);
    }

    private static LevelTable table(From from, Sensor sensor, SensorLevels levels) {
        double[] edge = from.edge()
                .filter(c -> c.sensors().contains(sensor.name()))
                .map(c -> c.values(sensor.name()))
                .orElse(new double[0]);
        Double typed = from.typed().get(sensor.name());
        return LevelTable.of(
                levels,
                sensor,
                from.setup().line(),
                edge,
                typed == null ? OptionalDouble.empty() : OptionalDouble.of(typed));
    }
}
