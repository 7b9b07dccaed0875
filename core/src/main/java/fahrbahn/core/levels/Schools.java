package fahrbahn.core.levels;

/**
 * Two ways to calibrate one sensor, side by side: spots placed by hand, and a sweep. What each would give, and what it would do.
 *
 * @param spots level halfway between the hand-placed surfaces
 * @param sweep level halfway between the surfaces of the sweep
 * @param bare level halfway between the sweep's extremes
 * @param sensor with the readings of the spots
 */
public record Schools(double spots, double sweep, double bare, SensorLevels sensor, double spotSigmaMm) {
    /** At this part of the contrast apart the two schools are said to disagree: what a reading's own noise rarely makes. */
    private static final double DISAGREE_SHARE = 0.05;

    /** From the middle of an edge to where half of a spot has become all of it. */
    private static final double EDGE_SIGMAS = Math.sqrt(Math.PI / 2);

    public static Schools of(SensorLevels sensor, Sweep sweep, double spotSigmaMm) {
        return new Schools(sensor.levels().midpoint(), sweep.midpoint(), sweep.bareMidpoint(), sensor, spotSigmaMm);
    }

    /** How far a robot that rides an edge would ride from where the spots' level puts it, mm; by the slope of a Gaussian spot. */
    public double rideShiftMm(double level) {
        return (level - spots) / (sensor.levels().contrast() / (spotSigmaMm * Math.sqrt(2 * Math.PI)));
    }

    /** Whether a robot that rides an edge could ride at a level: further from where the spots have it than this it sees no edge any more. */
    public boolean rides(double level) {
        return Math.abs(rideShiftMm(level)) < EDGE_SIGMAS * spotSigmaMm;
    }

    /** How often the readings of the hand-placed surfaces are misread at a level. */
    public Misreads misreads(double level) {
        return sensor.misreads(level);
    }

    public boolean disagree() {
        return Math.abs(sweep - spots) > DISAGREE_SHARE * sensor.levels().contrast();
    }
}
