package fahrbahn.core.stopping;

import fahrbahn.core.check.Check;

/**
 * What the rules decide by, and how well it is sensed.
 *
 * @param wayMm from the last place the program was sure of to where it is to decide; above 0
 * @param wheelStepMm way of one count of the wheel encoder; 0 or more
 * @param markNoiseMm standard deviation of where a sensor sees the edge of a mark; 0 or more
 * @param distanceNoiseMm standard deviation of a reading of the distance sensor; 0 or more
 * @param missShare of the distance sensor's readings that miss; 0 or more, below 1
 */
public record Sensing(double wayMm, double wheelStepMm, double markNoiseMm, double distanceNoiseMm, double missShare) {
    /** Encoders of a degree on usual wheels, marks seen to half a millimetre, a distance sensor of the common kind: our reckoning. */
    public static final Sensing TYPICAL = new Sensing(800, 0.5, 0.5, 3, 0.02);

    public Sensing {
        Check.positive("wayMm", wayMm);
        Check.notNegative("wheelStepMm", wheelStepMm);
        Check.notNegative("markNoiseMm", markNoiseMm);
        Check.notNegative("distanceNoiseMm", distanceNoiseMm);
        Check.require(missShare >= 0 && missShare < 1, "missShare", missShare, "0 or more and below 1");
    }

    public Sensing withWayMm(double newWayMm) {
        return new Sensing(newWayMm, wheelStepMm, markNoiseMm, distanceNoiseMm, missShare);
    }

    public Sensing withWheelStepMm(double newStepMm) {
        return new Sensing(wayMm, newStepMm, markNoiseMm, distanceNoiseMm, missShare);
    }

    public Sensing withMarkNoiseMm(double newNoiseMm) {
        return new Sensing(wayMm, wheelStepMm, newNoiseMm, distanceNoiseMm, missShare);
    }

    public Sensing withDistanceNoiseMm(double newNoiseMm) {
        return new Sensing(wayMm, wheelStepMm, markNoiseMm, newNoiseMm, missShare);
    }

    public Sensing withMissShare(double newShare) {
        return new Sensing(wayMm, wheelStepMm, markNoiseMm, distanceNoiseMm, newShare);
    }
}
