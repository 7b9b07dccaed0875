package fahrbahn.core.levels;

import fahrbahn.core.setup.Law;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * Whose levels to take, and why. Where the misreads of two levels do not differ by more than their intervals tell, the one that bears more change of
 * the light is the better, by the worst of all sensors; the midpoint where neither clearly does.
 */
public record LevelPick(LevelSchool school, Why why) {
    /** What decided. */
    public enum Why {
        /** A robot that rides at its level has most slope halfway, and as much room to either side. */
        RIDES,
        /** Of so few readings a fitted scatter moves a level for nothing. */
        FEW_READINGS,
        /** Readings show it. */
        FEWER_MISREADS,
        /** Both a shift and a factor of the light are borne better; halfway where that is not clearly so. */
        MORE_TOLERANCE
    }

    /** A tenth more of what is borne: less than that the scatter of some readings makes. */
    private static final double MORE = 1.1;

    /** For a robot: a single sensor that steers in proportion rides where its level is, any other law asks on which side a reading lies. */
    public static LevelPick of(Law law, List<SensorLevels> sensors) {
        boolean rides = law.signal().tracksEdge() && law.steering() == Law.Steering.GAINS;
        return rides ? new LevelPick(LevelSchool.MIDPOINT, Why.RIDES) : of(sensors);
    }

    /** For levels that are compared with. */
    public static LevelPick of(List<SensorLevels> sensors) {
        if (sensors.stream().anyMatch(s -> s.levels().few())) {
            return new LevelPick(LevelSchool.MIDPOINT, Why.FEW_READINGS);
        }
        boolean bestShown = sensors.stream().anyMatch(s -> fewer(s, best(s), midpoint(s)));
        boolean midpointShown = sensors.stream().anyMatch(s -> fewer(s, midpoint(s), best(s)));
        if (bestShown != midpointShown) {
            return new LevelPick(bestShown ? LevelSchool.BEST : LevelSchool.MIDPOINT, Why.FEWER_MISREADS);
        }
        boolean best = bears(sensors, LevelPick::best, true) > MORE * bears(sensors, LevelPick::midpoint, true)
                && bears(sensors, LevelPick::best, false) > MORE * bears(sensors, LevelPick::midpoint, false);
        return new LevelPick(best ? LevelSchool.BEST : LevelSchool.MIDPOINT, Why.MORE_TOLERANCE);
    }

    /** What the worst of the sensors bears: of a shift, as a share of its contrast, or of a factor. */
    private static double bears(List<SensorLevels> sensors, ToDoubleFunction<SensorLevels> level, boolean shift) {
        return sensors.stream()
                .mapToDouble(s -> {
                    Levels levels = s.levels();
                    double at = level.applyAsDouble(s);
                    return shift
                            ? levels.shiftMargin(at, LevelChoice.MARGIN_CHANCE) / levels.contrast()
                            : levels.factorMargin(at, LevelChoice.MARGIN_CHANCE);
                })
                .min()
                .orElse(0);
    }

    private static boolean fewer(SensorLevels sensor, double level, double other) {
        return sensor.misreads(level).high() < sensor.misreads(other).low();
    }

    private static double best(SensorLevels sensor) {
        return LevelTable.rounded(sensor.levels().bestLevel(), sensor.step());
    }

    private static double midpoint(SensorLevels sensor) {
        return LevelTable.rounded(sensor.levels().midpoint(), sensor.step());
    }
}
