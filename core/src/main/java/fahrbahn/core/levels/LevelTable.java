package fahrbahn.core.levels;

import fahrbahn.core.check.Rounding;
import fahrbahn.core.readings.SurfaceStats;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Sensor;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Every level of one sensor, school by school, as its program takes it.
 *
 * @param choices midpoint and best odds first; measured on the edge and typed where there are such
 * @param slip why the typed level lies where it does; empty when nothing is odd
 */
public record LevelTable(SensorLevels sensor, List<LevelChoice> choices, Optional<LevelSlip> slip) {
    private static final int DIGITS = 4;

    /** A whole number of steps of a third is 110.667 to a coach. */
    private static final int STEP_DIGITS = 6;

    public LevelTable {
        choices = List.copyOf(choices);
    }

    /**
     * @param edge readings with the spot half on the line; fewer than 2 for none
     * @param typed what stands in the program; empty for none
     */
    public static LevelTable of(SensorLevels levels, Sensor sensor, Line line, double[] edge, OptionalDouble typed) {
        boolean darkLine = line.polarity() == Polarity.DARK_ON_LIGHT;
        List<LevelChoice> choices = new ArrayList<>();
        add(choices, LevelSchool.MIDPOINT, levels.levels().midpoint(), levels, sensor, line, darkLine);
        add(choices, LevelSchool.BEST, levels.levels().bestLevel(), levels, sensor, line, darkLine);
        if (edge.length >= 2) {
            double shown = SurfaceStats.of(edge, levels.step()).mean();
            add(choices, LevelSchool.EDGE, shown, levels, sensor, line, darkLine);
        }
        typed.ifPresent(level -> choices.add(
                LevelChoice.of(LevelSchool.TYPED, level, levels, sensor.spotSigmaMm(), line.widthMm(), darkLine)));
        Optional<LevelSlip> slip = typed.isPresent()
                ? Optional.ofNullable(LevelSlip.of(typed.getAsDouble(), levels.levels()))
                : Optional.empty();
        return new LevelTable(levels, choices, slip);
    }

    private static void add(
            List<LevelChoice> choices,
            LevelSchool school,
            double exact,
            SensorLevels levels,
            Sensor sensor,
            Line line,
            boolean darkLine) {
        choices.add(LevelChoice.of(
                school, rounded(exact, levels.step()), levels, sensor.spotSigmaMm(), line.widthMm(), darkLine));
    }

    /** A whole step of the sensor, or four digits when it has none. */
    public static double rounded(double level, double step) {
        return step > 0
                ? Rounding.significant(Math.rint(level / step) * step, STEP_DIGITS)
                : Rounding.significant(level, DIGITS);
    }

    public Optional<LevelChoice> choice(LevelSchool school) {
        return choices.stream().filter(c -> c.school() == school).findFirst();
    }

    /** The choice of a school; a sensor without one keeps the midpoint. */
    public LevelChoice used(LevelSchool school) {
        return choice(school).orElseGet(() -> choice(LevelSchool.MIDPOINT).orElseThrow());
    }

    /** Whether the typed levels of two sensors are plainly each other's. */
    public static boolean swapped(LevelTable a, LevelTable b) {
        Optional<LevelChoice> typedA = a.choice(LevelSchool.TYPED);
        Optional<LevelChoice> typedB = b.choice(LevelSchool.TYPED);
        return typedA.isPresent()
                && typedB.isPresent()
                && LevelSlip.swapped(
                        typedA.get().level(),
                        a.sensor().levels(),
                        typedB.get().level(),
                        b.sensor().levels());
    }
}
