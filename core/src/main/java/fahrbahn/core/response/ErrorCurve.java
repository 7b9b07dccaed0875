package fahrbahn.core.response;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;

/**
 * The error of a law as a function of where its sensors are over a straight line, noise and rounding left out.
 * Errors are in the law's scale units.
 */
public sealed interface ErrorCurve permits EdgeCurve, PairCurve {
    /** Where the search for a root ends: a millionth of a micrometre is far below any cause of error on a table. */
    double ROOT_TOLERANCE_MM = 1e-9;

    static ErrorCurve of(Setup setup) {
        return setup.law().kind() == Law.Kind.EDGE ? EdgeCurve.of(setup) : PairCurve.of(setup);
    }

    /** Error with the law's point this far left of the line's centre. */
    double errorAt(double offsetMm);

    /** Where the robot rides: the offset, left positive, at which the error is zero. */
    double rideOffsetMm();

    /** Largest error the robot can be shown on the scarcer side of its target, without sign: what a bend has to work with. */
    double errorReach();

    /** Slope of the error where the robot rides, per mm to the left; its sign says which way to steer. */
    default double slopePerMm() {
        // Central difference; the curve's length scale is the spot, so 1 um errs by less than one part in 1e7.
        double h = 1e-3;
        double ride = rideOffsetMm();
        return (errorAt(ride + h) - errorAt(ride - h)) / (2 * h);
    }

    /** Scaled reading of one sensor at an offset from the centre of the line. */
    static double scaledReading(Sensor sensor, Scale scale, Polarity polarity, double widthMm, double offsetMm) {
        double coverage = Spot.coverage(offsetMm, widthMm, sensor.spotSigmaMm());
        double ground = polarity.ground(sensor);
        return scale.scaled(sensor, ground + (polarity.line(sensor) - ground) * coverage);
    }

    /** Bisection of an error that changes sign between the two offsets. */
    default double root(double fromMm, double toMm, String field, Object value, String rule) {
        double low = fromMm;
        double high = toMm;
        double atLow = errorAt(low);
        if (!(atLow * errorAt(high) <= 0)) {
            throw new BadValueException(field, value, rule);
        }
        while (Math.abs(high - low) > ROOT_TOLERANCE_MM) {
            double middle = (low + high) / 2;
            double atMiddle = errorAt(middle);
            if (atMiddle == 0) {
                return middle; // a symmetric layout rides exactly in its middle
            }
            if (atLow * atMiddle <= 0) {
                high = middle;
            } else {
                low = middle;
                atLow = atMiddle;
            }
        }
        return (low + high) / 2;
    }
}
