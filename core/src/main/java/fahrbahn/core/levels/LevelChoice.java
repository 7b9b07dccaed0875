package fahrbahn.core.levels;

import fahrbahn.core.response.Spot;

/**
 * One level and what it does. The rounded level is judged, for that is what the program gets.
 *
 * @param level in the sensor's own numbers, as its program takes it
 * @param misreads of the captures' readings at it, with their interval
 * @param rideOffsetMm how far from the line's edge a robot rides that steers for it, towards the ground; NaN where the sensor never shows it
 *     across an edge
 * @param slopeShare slope there over the steepest of the edge
 * @param shiftMargin how far all readings may move, either way, until one in a thousand is misread; 0 when more are already
 * @param factorMargin by which share all readings may grow or shrink until then
 */
public record LevelChoice(
        LevelSchool school,
        double level,
        Misreads misreads,
        double rideOffsetMm,
        double slopeShare,
        double shiftMargin,
        double factorMargin) {
    /** The usual limit for a margin. */
    public static final double MARGIN_CHANCE = 1e-3;

    private static final int HALVINGS = 60;
    private static final double FAR_SIGMAS = 6;

    /** @param level rounded as the program takes it @param lineWidthMm above 0 */
    static LevelChoice of(
            LevelSchool school,
            double level,
            SensorLevels sensor,
            double spotSigmaMm,
            double lineWidthMm,
            boolean darkLine) {
        Levels levels = sensor.levels();
        double offset = offsetMm(levels, level, spotSigmaMm, lineWidthMm, darkLine);
        double edge = lineWidthMm / 2;
        return new LevelChoice(
                school,
                level,
                sensor.misreads(level),
                offset - edge,
                steepness(offset, spotSigmaMm, lineWidthMm) / steepest(spotSigmaMm, lineWidthMm),
                levels.shiftMargin(level, MARGIN_CHANCE),
                levels.factorMargin(level, MARGIN_CHANCE));
    }

    /** Distance from the line's middle at which the sensor shows a reading; NaN where it never does. */
    private static double offsetMm(Levels levels, double level, double sigma, double width, boolean darkLine) {
        double line = darkLine ? levels.dark().mean() : levels.light().mean();
        double ground = darkLine ? levels.light().mean() : levels.dark().mean();
        double share = (level - ground) / (line - ground);
        double low = 0;
        double high = width / 2 + FAR_SIGMAS * sigma;
        if (!(share < Spot.coverage(low, width, sigma) && share > Spot.coverage(high, width, sigma))) {
            return Double.NaN;
        }
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (Spot.coverage(middle, width, sigma) > share) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    /** Fall of the coverage per mm, but for a constant. */
    private static double steepness(double offsetMm, double sigma, double width) {
        double near = (width / 2 - offsetMm) / sigma;
        double far = (-width / 2 - offsetMm) / sigma;
        return Math.exp(-near * near / 2) - Math.exp(-far * far / 2);
    }

    /** Of an edge it is in its middle but for the line's other edge, which matters to a spot as wide as the line only. */
    private static double steepest(double sigma, double width) {
        double most = 0;
        for (int i = 0; i <= 200; i++) {
            most = Math.max(most, steepness((width / 2 + 3 * sigma) * i / 200, sigma, width));
        }
        return most;
    }
}
