package fahrbahn.core.levels;

/**
 * Two ways to calibrate one sensor, side by side: spots placed by hand, and a sweep. What each would give, and what it would do.
 *
 * @param spots level halfway between the hand-placed surfaces
 * @param sweep level halfway between the surfaces of the sweep
 * @param bare level halfway between the sweep's extremes
 */
public record Schools(double spots, double sweep, double bare, Levels levels, double spotSigmaMm) {
    /** At this part of the contrast apart the two schools are said to disagree: what a reading's own noise rarely makes. */
    private static final double DISAGREE_SHARE = 0.05;

    public static Schools of(Levels levels, Sweep sweep, double spotSigmaMm) {
        return new Schools(levels.midpoint(), sweep.midpoint(), sweep.bareMidpoint(), levels, spotSigmaMm);
    }

    /** How far a robot that rides an edge would ride from where the spots' level puts it, mm; by the slope of a Gaussian spot. */
    public double rideShiftMm(double level) {
        return (level - spots) / (levels.contrast() / (spotSigmaMm * Math.sqrt(2 * Math.PI)));
    }

    /** Chance that a reading on plain dark or light is misread at a level. */
    public double misread(double level) {
        return levels.misread(level);
    }

    public boolean disagree() {
        return Math.abs(sweep - spots) > DISAGREE_SHARE * levels.contrast();
    }
}
