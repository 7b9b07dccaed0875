package fahrbahn.app.levels;

import fahrbahn.app.season.Verdict;
import fahrbahn.app.words.MisreadWords;
import fahrbahn.app.words.Words;
import fahrbahn.core.levels.LevelChoice;
import fahrbahn.core.levels.LevelSchool;
import fahrbahn.core.levels.LevelSlip;
import fahrbahn.core.levels.LevelTable;
import fahrbahn.core.levels.SensorLevels;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.Unscaled;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Levels in sentences. */
final class LevelWords {
    private LevelWords() {}

    /** @param used whether they are on the robot as they are */
    static Verdict verdict(List<LevelTable> tables, Law law, LevelSchool school, boolean used) {
        Optional<String> slip = school == LevelSchool.TYPED ? slip(tables) : Optional.empty();
        if (slip.isPresent()) {
            return Verdict.stop(slip.get());
        }
        String levels = tables.stream()
                .map(t -> t.sensor().sensor() + " " + Words.exact(t.used(school).level()))
                .collect(Collectors.joining(", "));
        LevelChoice worst = tables.stream()
                .map(t -> t.used(school))
                .max(Comparator.comparingDouble(c -> c.misreads().high()))
                .orElseThrow();
        String known = tables.stream()
                .map(LevelTable::sensor)
                .filter(s -> s.plusMinus() > s.step())
                .max(Comparator.comparingDouble(SensorLevels::plusMinus))
                .map(s -> " " + s.sensor() + " is known to \u00b1 " + Words.number(s.plusMinus(), 2)
                        + " only: capture more readings.")
                .orElse("");
        return Verdict.good("Level " + levels + ", " + school.word() + ": misreads " + MisreadWords.of(worst.misreads())
                + ". " + why(law, school) + known + (used ? " N goes on to Gains." : " U puts them on the robot."));
    }

    private static String why(Law law, LevelSchool school) {
        if (school != LevelSchool.pick(law)) {
            return "For this law the pick is " + LevelSchool.pick(law).word() + ".";
        }
        if (school == LevelSchool.MIDPOINT) {
            return "Riding there it has most slope and equal room.";
        }
        return switch (law.kind()) {
            case PAIR -> "A pair steers by the difference; levels tell a crossing and a lost line.";
            case ARRAY_MEAN, ARRAY_DIFFERENCE -> "A row steers by all of them; levels tell which see the line.";
            case EDGE, PATTERN -> "This law asks on which side a reading lies.";
        };
    }

    static final String ONE_SENSOR =
            "One sensor is compared with its own target only: scaling changes the numbers of its gains, not where it rides.";

    /** A sensor's constants and what it makes of dark, halfway and light. */
    static List<String> scaling(Sensor sensor, Scale scale) {
        double half = (sensor.dark() + sensor.light()) / 2;
        boolean raw = scale == Scale.RAW;
        return List.of(
                sensor.name(),
                raw ? "nothing" : Words.exact(sensor.dark()),
                raw ? "1" : Words.number(factor(sensor, scale), 4),
                pair(sensor, scale, sensor.dark()),
                pair(sensor, scale, half),
                pair(sensor, scale, sensor.light()));
    }

    private static double factor(Sensor sensor, Scale scale) {
        return (scale.light(sensor) - scale.dark(sensor)) / (sensor.light() - sensor.dark());
    }

    private static String pair(Sensor sensor, Scale scale, double reading) {
        return Words.number(reading, 4) + " becomes " + Words.number(scale.scaled(sensor, reading), 4);
    }

    static String arithmetic(List<Sensor> sensors, Scale scale) {
        if (scale == Scale.RAW) {
            return "This law works in the sensors' own numbers: nothing is scaled.";
        }
        return sensors.stream()
                .map(s -> s.name() + " = (reading - " + Words.exact(s.dark()) + ") x "
                        + Words.number(factor(s, scale), 4))
                .collect(Collectors.joining("\n"));
    }

    /** What the twin says of a program that takes all sensors for alike. */
    static String unscaled(Unscaled u, Setup setup) {
        double share = Math.abs(u.groundSteering()) / setup.robot().drive().fullCommand();
        if (share < 0.001) {
            return "Its sensors read alike: unscaled it steers " + Words.number(u.groundSteering(), 2)
                    + " on plain ground and leaves a gap of " + Words.millimetres(u.gapMm()) + " by "
                    + Words.millimetres(Math.abs(u.asideMm())) + ".";
        }
        return "Not scaled it steers " + Words.number(Math.abs(u.groundSteering()), 2) + " to the "
                + (u.groundSteering() > 0 ? "left" : "right") + " on plain ground, and leaves a gap of "
                + Words.millimetres(u.gapMm()) + " by " + Words.millimetres(Math.abs(u.asideMm())) + "; scaled by "
                + Words.millimetres(Math.abs(u.scaledAsideMm())) + ". "
                + (u.comesBack() ? "It finds its line again." : "It does not find its line again.");
    }

    /** What seems to have gone wrong with what was typed. */
    private static Optional<String> slip(List<LevelTable> tables) {
        for (int i = 0; i < tables.size(); i++) {
            for (int j = i + 1; j < tables.size(); j++) {
                if (LevelTable.swapped(tables.get(i), tables.get(j))) {
                    return Optional.of(
                            "The levels of " + tables.get(i).sensor().sensor() + " and "
                                    + tables.get(j).sensor().sensor()
                                    + " look changed over: each fits the other's surfaces. Left and right are the robot's own.");
                }
            }
        }
        return tables.stream()
                .filter(t -> t.slip().isPresent())
                .findFirst()
                .map(t -> slip(t, t.slip().get()));
    }

    private static String slip(LevelTable table, LevelSlip slip) {
        String typed =
                "Level " + Words.exact(slip.typed()) + " of " + table.sensor().sensor();
        String meant = Words.number(slip.meant(), 4);
        String surfaces = Words.number(table.sensor().levels().dark().mean()) + " on dark and "
                + Words.number(table.sensor().levels().light().mean()) + " on light";
        return switch (slip.cause()) {
            case PERCENT_FOR_RAW ->
                typed + " looks like a percentage: in this sensor's own numbers that is " + meant + ", for it reads "
                        + surfaces + ". Right and left arrows move it.";
            case DECIMAL_SLIPPED ->
                typed + " looks like a slipped decimal point: " + meant + " would lie between " + surfaces + ".";
            case SENSORS_SWAPPED -> typed + " is another sensor's: " + meant + ".";
            case POLARITY_REVERSED ->
                typed + " has its sign reversed: this sensor reads " + surfaces + ", so " + meant + ".";
            case OUTSIDE ->
                typed + " lies outside both surfaces, " + surfaces + ": every reading falls on one side. Halfway is "
                        + Words.number(table.sensor().levels().midpoint(), 4) + ".";
        };
    }
}
