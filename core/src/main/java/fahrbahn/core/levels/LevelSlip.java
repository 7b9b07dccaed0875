package fahrbahn.core.levels;

/**
 * Why a level that somebody typed lies where it does. The likely cause is looked for only where it is plainly wrong: outside both surfaces, or
 * as if it were another sensor's.
 *
 * @param typed what was typed
 * @param meant what it would be if the cause is right
 */
public record LevelSlip(Cause cause, double typed, double meant) {
    /** What may have happened. */
    public enum Cause {
        /** A percentage where the sensor's own numbers belong. */
        PERCENT_FOR_RAW,
        /** A decimal point ten or a hundred times off. */
        DECIMAL_SLIPPED,
        /** Those of two sensors changed over. */
        SENSORS_SWAPPED,
        /** Counted from light down instead of from dark up. */
        POLARITY_REVERSED,
        /** Lighter, or darker, than both surfaces. */
        OUTSIDE
    }

    private static final double[] SLIPS = {10, 0.1, 100, 0.01, 1000, 0.001};

    /** A guess has to come this near to the middle, of the contrast, to be believed. */
    private static final double NEAR_SHARE = 0.3;

    /** @return null where nothing looks slipped */
    static LevelSlip of(double typed, Levels levels) {
        double dark = levels.dark().mean();
        double light = levels.light().mean();
        double low = Math.min(dark, light);
        double high = Math.max(dark, light);
        if (typed > low && typed < high) {
            return null;
        }
        double fromPercent = dark + typed / 100 * (light - dark);
        if (typed > 0 && typed < 100 && near(fromPercent, levels)) {
            return new LevelSlip(Cause.PERCENT_FOR_RAW, typed, fromPercent);
        }
        for (double slip : SLIPS) {
            if (near(typed * slip, levels)) {
                return new LevelSlip(Cause.DECIMAL_SLIPPED, typed, typed * slip);
            }
        }
        // A program that inverts its readings counts from the top of a range that is near to light.
        double mirrored = dark + light - typed;
        if (typed < 0 && near(-typed, levels)) {
            return new LevelSlip(Cause.POLARITY_REVERSED, typed, -typed);
        }
        return new LevelSlip(Cause.OUTSIDE, typed, near(mirrored, levels) ? mirrored : levels.midpoint());
    }

    private static boolean near(double level, Levels levels) {
        return Math.abs(level - levels.midpoint()) <= NEAR_SHARE * levels.contrast();
    }

    /** Whether two typed levels are plainly each other's: both lie nearer to the other sensor's middle, and by far. */
    static boolean swapped(double typedA, Levels a, double typedB, Levels b) {
        double own = Math.abs(typedA - a.midpoint()) / a.contrast() + Math.abs(typedB - b.midpoint()) / b.contrast();
        double other = Math.abs(typedA - b.midpoint()) / b.contrast() + Math.abs(typedB - a.midpoint()) / a.contrast();
        return own > NEAR_SHARE / 2 && other < own / 4;
    }
}
