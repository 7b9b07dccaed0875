package fahrbahn.app.levels;

import fahrbahn.core.check.Rounding;
import fahrbahn.core.difference.Aspect;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.levels.LevelChoice;
import fahrbahn.core.levels.LevelSchool;
import fahrbahn.core.levels.LevelTable;
import fahrbahn.core.levels.Levels;
import fahrbahn.core.levels.SensorLevels;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.words.Words;
import java.util.List;
import java.util.Optional;

/**
 * Captured levels and the robot: how it differs from them, and what it is with them.
 *
 * @param sensors as captured
 * @param tables their levels, school by school
 * @param school whose levels are used
 * @param chosen whether the coach chose it
 */
record LevelsOnRobot(List<SensorLevels> sensors, List<LevelTable> tables, LevelSchool school, boolean chosen) {
    /** As many as a program's target is worth. */
    private static final int TARGET_DIGITS = 4;

    /** How the robot's numbers differ from those captured; empty when they do not. */
    static Optional<Cause> differ(List<SensorLevels> sensors, Setup setup) {
        for (Sensor sensor : setup.robot().sensors()) {
            Optional<SensorLevels> measured = measured(sensors, sensor);
            if (measured.isPresent() && measured.get().differsFrom(sensor)) {
                Levels levels = measured.get().levels();
                return Optional.of(Cause.circumstance(
                        Aspect.CAPTURES,
                        "sensor " + sensor.name(),
                        surfaces(sensor.dark(), sensor.light()),
                        surfaces(levels.dark().mean(), levels.light().mean())));
            }
        }
        return Optional.empty();
    }

    private static String surfaces(double dark, double light) {
        return Words.number(dark) + " on dark, " + Words.number(light) + " on light";
    }

    private static Optional<SensorLevels> measured(List<SensorLevels> sensors, Sensor sensor) {
        return sensors.stream().filter(s -> s.sensor().equals(sensor.name())).findFirst();
    }

    /** The robot with them: dark, light and noise of each sensor, and what follows for the target. */
    Setup on(Setup setup) {
        Robot robot = setup.robot();
        for (int i = 0; i < robot.sensors().size(); i++) {
            Sensor sensor = robot.sensors().get(i);
            Optional<SensorLevels> measured = measured(sensors, sensor);
            if (measured.isPresent()) {
                robot = robot.withSensor(i, measured.get().on(sensor));
            }
        }
        return withTarget(setup.withRobot(robot));
    }

    /** A lone sensor rides where its level is; in raw numbers every law compares with one. What looks slipped is put on no robot. */
    Setup withTarget(Setup setup) {
        Sensor first = setup.lawSensors().get(0);
        Optional<LevelChoice> choice = tables.stream()
                .filter(t -> t.sensor().sensor().equals(first.name()))
                .findFirst()
                .filter(t -> school != LevelSchool.TYPED || t.slip().isEmpty())
                .map(t -> t.used(school));
        boolean chosenHere = chosen && setup.law().signal().tracksEdge();
        if (choice.isEmpty() || !(setup.law().scale().isRaw() || chosenHere)) {
            return setup;
        }
        double target = setup.law().scale().scaled(first, choice.get().level());
        return setup.withLaw(setup.law().withTarget(Rounding.significant(target, TARGET_DIGITS)));
    }
}
