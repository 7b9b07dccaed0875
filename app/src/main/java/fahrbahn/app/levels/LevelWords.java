package fahrbahn.app.levels;

import fahrbahn.app.season.Verdict;
import fahrbahn.core.difference.Aspect;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.levels.LevelChoice;
import fahrbahn.core.levels.LevelPick;
import fahrbahn.core.levels.LevelSchool;
import fahrbahn.core.levels.LevelSlip;
import fahrbahn.core.levels.LevelTable;
import fahrbahn.core.levels.SensorLevels;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.ScaleRounding;
import fahrbahn.core.tuning.Unscaled;
import fahrbahn.words.CauseWords;
import fahrbahn.words.MisreadWords;
import fahrbahn.words.Words;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** Levels in sentences. */
final class LevelWords {
    private LevelWords() {}

    /**
     * @param used whether they are on the robot as they are
     * @param doubt what speaks against the captures they come from
     */
    static Verdict verdict(
            List<LevelTable> tables, LevelPick pick, LevelSchool school, boolean used, Optional<String> doubt) {
        Optional<String> slip = school == LevelSchool.TYPED ? slip(tables) : Optional.empty();
        if (slip.isPresent()) {
            return Verdict.stop(slip.get());
        }
        String levels = tables.stream()
                .map(t -> t.sensor().sensor() + " " + Words.exact(t.used(school).level()))
                .collect(Collectors.joining(", "));
        if (doubt.isPresent()) {
            return Verdict.care(doubt.get() + " Until then: threshold " + levels + ".");
        }
        Optional<SensorLevels> unsure = tables.stream()
                .map(LevelTable::sensor)
                .filter(s -> s.plusMinus() > s.step())
                .max(Comparator.comparingDouble(SensorLevels::plusMinus));
        String known = unsure.map(s -> " " + s.sensor() + " is good to ±" + Words.number(s.plusMinus(), 2)
                        + ": capture more readings.")
                .orElse("");
        int fewest = tables.stream()
                .map(t -> t.sensor().levels())
                .mapToInt(s -> Math.min(s.dark().n(), s.light().n()))
                .min()
                .orElseThrow();
        if (tables.stream().anyMatch(t -> t.sensor().levels().few())) {
            String open = unsure.map(s -> s.sensor() + " is good to ±" + Words.number(s.plusMinus(), 2))
                    .orElse(fewest + " on a surface");
            return Verdict.care("Threshold " + levels + ": too few to judge, " + open + "."
                    + (used ? " Capture more in Measure (3)." : " U: use it."));
        }
        LevelChoice worst = tables.stream()
                .map(t -> t.used(school))
                .max(Comparator.comparingDouble(c -> c.misreads().high()))
                .orElseThrow();
        return Verdict.good(
                "Threshold " + levels + ", " + school.word() + ": misreads " + MisreadWords.of(worst.misreads()) + ". "
                        + why(pick, school) + known + (used ? " N: Gains." : " U: use them."));
    }

    /** Where no level stands. @param refused that is what the captures there are were */
    static String nothing(boolean refused) {
        return refused
                ? "No threshold from these captures. Capture both again in Measure (3)."
                : "No dark and light captures yet.";
    }

    /** Captures of another lamp, hall or height. */
    static String older(Cause cause, UnaryOperator<String> venueName) {
        return "These thresholds are older than the "
                + (cause.aspect() == Aspect.VENUE ? "venue" : cause.aspect().word()) + ": "
                + CauseWords.of(List.of(cause), venueName) + ". Capture light and dark again in Measure (3).";
    }

    /** A sensor whose captures read the other way round than its numbers on the robot. */
    static Optional<String> reversed(List<LevelTable> tables, Setup setup) {
        return tables.stream()
                .map(LevelTable::sensor)
                .filter(s -> setup.robot().sensors().stream()
                        .anyMatch(on -> on.name().equals(s.sensor())
                                && (on.light() - on.dark())
                                                * (s.levels().light().mean()
                                                        - s.levels().dark().mean())
                                        < 0))
                .findFirst()
                .map(
                        s -> s.sensor() + " reads "
                                + Words.number(s.levels().light().mean()) + " on light and "
                                + Words.number(s.levels().dark().mean())
                                + " on dark, the opposite of the robot. Capture both again in Measure (3), or press U to use these.");
    }

    private static String why(LevelPick pick, LevelSchool school) {
        if (school != pick.school()) {
            return "Better here: " + pick.school().word() + ".";
        }
        return switch (pick.why()) {
            case RIDES -> "Most sensitive there, with equal room on both sides.";
            case FEW_READINGS -> "With so few readings, use the midpoint.";
            case FEWER_MISREADS -> "Fewer misreads there.";
            case MORE_TOLERANCE -> "Same misreads; it tolerates more light change.";
        };
    }

    /** A tenth more is hardly seen. */
    private static final double SMALL_COST = 1.1;

    static final String ONE_SENSOR =
            "One sensor is compared with its own target only: scaling changes its gains, not where it sits.";

    /** A sensor's constants and what it makes of dark, halfway and light. */
    static List<String> scaling(Sensor sensor, Scale scale) {
        double half = (sensor.dark() + sensor.light()) / 2;
        boolean raw = scale.isRaw();
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
        if (scale.isRaw()) {
            return "This program works in raw readings: nothing is scaled.";
        }
        return sensors.stream()
                .map(s -> s.name() + " = (reading - " + Words.exact(s.dark()) + ") x "
                        + Words.number(factor(s, scale), 4))
                .collect(Collectors.joining("\n"));
    }

    static final String NOT_ROUNDED = "Nothing scaled, so nothing rounded.";

    /** What it costs to keep scaled readings as whole numbers. */
    static String rounding(ScaleRounding r, Scale scale) {
        String step = "In whole numbers 0 to " + Words.exact(scale.top()) + " one step is "
                + Words.number(r.stepReadings(), 2) + " of a reading"
                + (Double.isFinite(r.stepMm())
                        ? ", " + Words.number(Math.abs(r.stepMm()), 2) + " mm beside the line"
                        : "");
        String cost = r.roundedRmsMm() > SMALL_COST * r.rmsMm()
                ? " On a straight it is off by " + Words.number(r.roundedRmsMm(), 2) + " mm RMS instead of "
                        + Words.number(r.rmsMm(), 2) + ": keep fractions, or take a scale with more steps."
                : " On a straight this makes no difference.";
        return step + "; noise is " + Words.number(r.noiseTimes(), 2) + " times as much." + cost;
    }

    /** What the twin says of a program that takes all sensors for alike. */
    static String unscaled(Unscaled u, Setup setup) {
        double share = Math.abs(u.groundSteering()) / setup.robot().drive().fullCommand();
        if (share < 0.001) {
            return "Sensors read alike: unscaled it steers " + Words.number(u.groundSteering(), 2)
                    + " on plain background and crosses a gap of " + Words.millimetres(u.gapMm()) + ", off line by "
                    + aside(u.asideMm()) + ".";
        }
        return "Without scaling (simulated): steers " + Words.number(Math.abs(u.groundSteering()), 2) + " to the "
                + (u.groundSteering() > 0 ? "left" : "right") + " on plain background, crosses a gap of "
                + Words.millimetres(u.gapMm()) + ", off line by " + aside(u.asideMm()) + "; with scaling by "
                + aside(u.scaledAsideMm()) + ". "
                + (u.comesBack() ? "It finds its line again." : "It does not find its line again.");
    }

    /** To hundredths: the twin's table is no finer. */
    private static String aside(double mm) {
        return Words.millimetres(Math.rint(100 * Math.abs(mm)) / 100);
    }

    /** What seems to have gone wrong with what was typed. */
    private static Optional<String> slip(List<LevelTable> tables) {
        for (int i = 0; i < tables.size(); i++) {
            for (int j = i + 1; j < tables.size(); j++) {
                if (LevelTable.swapped(tables.get(i), tables.get(j))) {
                    return Optional.of(
                            "The thresholds of " + tables.get(i).sensor().sensor() + " and "
                                    + tables.get(j).sensor().sensor()
                                    + " look swapped: each fits the other's surfaces.");
                }
            }
        }
        return tables.stream()
                .filter(t -> t.slip().isPresent())
                .findFirst()
                .map(t -> slip(t, t.slip().get()));
    }

    private static String slip(LevelTable table, LevelSlip slip) {
        String typed = "Threshold " + Words.exact(slip.typed()) + " of "
                + table.sensor().sensor();
        String meant = Words.number(slip.meant(), 4);
        String surfaces = Words.number(table.sensor().levels().dark().mean()) + " on dark and "
                + Words.number(table.sensor().levels().light().mean()) + " on light";
        return switch (slip.cause()) {
            case PERCENT_FOR_RAW ->
                typed + " looks like a percentage: as a raw reading that is " + meant + "; it reads " + surfaces
                        + ". Right and left arrows move it.";
            case DECIMAL_SLIPPED ->
                typed + " looks like a slipped decimal point: " + meant + " would be between " + surfaces + ".";
            case SENSORS_SWAPPED -> typed + " is another sensor's: " + meant + ".";
            case POLARITY_REVERSED ->
                typed + " has its sign reversed: this sensor reads " + surfaces + ", so " + meant + ".";
            case OUTSIDE ->
                typed + " is outside both surfaces, " + surfaces + ": every reading falls on one side. Halfway is "
                        + Words.number(table.sensor().levels().midpoint(), 4) + ".";
        };
    }
}
