package fahrbahn.core.readings;

import java.util.Arrays;

/**
 * One tick: the reading of every sensor at one moment.
 *
 * @param tS time, s; NaN when the source gives none
 * @param surface what the sensors stood on, empty when not said
 * @param positionMm place along a ruler, mm; NaN when not said
 * @param values one reading per sensor, in the order of the columns; NaN where one is missing
 */
public record Reading(double tS, String surface, double positionMm, double[] values) {
    public Reading {
        values = values.clone();
    }

    @Override
    public double[] values() {
        return values.clone();
    }

    /** Reading of one sensor, by its place among the sensor columns. */
    public double value(int sensor) {
        return values[sensor];
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Reading that
                && Double.compare(tS, that.tS) == 0
                && Double.compare(positionMm, that.positionMm) == 0
                && surface.equals(that.surface)
                && Arrays.equals(values, that.values);
    }

    @Override
    public int hashCode() {
        return 31 * Double.hashCode(tS) + Arrays.hashCode(values);
    }

    @Override
    public String toString() {
        return "Reading[" + tS + " s, " + surface + ", " + positionMm + " mm, " + Arrays.toString(values) + "]";
    }
}
