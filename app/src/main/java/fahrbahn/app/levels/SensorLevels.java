package fahrbahn.app.levels;

import fahrbahn.core.check.Rounding;
import fahrbahn.core.levels.Levels;

/**
 * The levels of one sensor and the readings they come from.
 *
 * @param step smallest change the sensor was seen to make
 */
public record SensorLevels(String sensor, Levels levels, double[] darkReadings, double[] lightReadings, double step) {
    /** The best level as a program takes it: a whole step of the sensor, or four digits when it has none. */
    public double roundedLevel() {
        double best = levels.bestLevel();
        return step > 0 ? Math.rint(best / step) * step : Rounding.significant(best, 4);
    }

    /** Chance of a misread at the rounded level: what is typed is what is judged. */
    public double misread() {
        return levels.misread(roundedLevel());
    }
}
