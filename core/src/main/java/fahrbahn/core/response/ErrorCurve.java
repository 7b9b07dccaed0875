package fahrbahn.core.response;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Text;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.List;

/**
 * The error of a law as a function of where its sensors are over a straight line, noise and rounding left out.
 * Errors are in the law's scale units, except those of a weighted mean, which are in units of its weights.
 */
public final class ErrorCurve {
    /** Where the search for a root ends: a millionth of a micrometre is far below any cause of error on a table. */
    static final double ROOT_TOLERANCE_MM = 1e-9;

    /** Beyond this many sigmas from the line the reading has settled to 1 part in 1e9. */
    private static final double SETTLED_SIGMAS = 6;

    /** Samples of the curve in the length of its smallest spot when its extremes are looked for; between them it is a parabola to 1e-4. */
    private static final int STEPS_A_SPOT = 10;

    /** Of a spot that is next to nothing beside its line there is nothing to be seen in between either. */
    private static final int MOST_STEPS = 2000;

    /** Half-width of a central difference, mm: the curve's length scale is the spot, so it errs by less than one part in 1e7. */
    private static final double DIFFERENCE_MM = 1e-3;

    /** A slope this small a share of the usual one steers nothing: by then the pitch is some 1.2 line widths. */
    private static final double FLAT_SHARE = 0.002;

    private static final int PITCH_BISECTIONS = 20;

    /** Enough to see how steep a curve is anywhere. */
    private static final int COARSE_POINTS = 32;

    private final List<Sensor> sensors;
    private final Line line;
    private final Law law;
    private final ErrorRule rule;
    private final double[] besideMm;
    private final double rideOffsetMm;

    private ErrorCurve(Setup setup, double pitchFactor) {
        sensors = setup.lawSensors();
        line = setup.line();
        law = setup.law();
        rule = ErrorRule.of(setup);
        double middle = sensors.stream().mapToDouble(Sensor::leftMm).average().orElseThrow();
        besideMm = sensors.stream()
                .mapToDouble(s -> pitchFactor * (s.leftMm() - middle))
                .toArray();
        rideOffsetMm = law.signal().tracksEdge() ? edgeRide() : levelRide();
    }

    /**
     * @throws BadValueException when the robot would ride nowhere, for the pattern law, which makes no error, and for a weighted mean whose
     *     sensors lie so far apart that it does not change where the robot rides
     */
    public static ErrorCurve of(Setup setup) {
        ErrorCurve curve = new ErrorCurve(setup, 1);
        if (setup.law().signal().isMean() && curve.flat()) {
            refuse(setup, curve);
        }
        return curve;
    }

    private static void refuse(Setup setup, ErrorCurve flat) {
        double pitch = (flat.besideMm[0] - flat.besideMm[flat.besideMm.length - 1]) / (flat.besideMm.length - 1);
        double low = 0;
        double high = 1;
        for (int i = 0; i < PITCH_BISECTIONS; i++) {
            double middle = (low + high) / 2;
            if (new ErrorCurve(setup, middle).flat()) {
                high = middle;
            } else {
                low = middle;
            }
        }
        throw new BadValueException(
                "robot.sensors.pitchMm",
                pitch,
                Text.of(
                        "at most %.1f mm from sensor to sensor for a weighted mean over a line of %.4g mm: further apart the mean does not"
                                + " change in the middle, and nothing steers. Sensors closer together, a wider line or a law of patterns",
                        Math.floor(10 * low * pitch) / 10, setup.line().widthMm()));
    }

    /** Whether the error all but stands still where the robot rides, beside how it rises further out. */
    public boolean flat() {
        double out = outMm() + Math.abs(rideOffsetMm);
        double usual = 0;
        for (int i = 1; i <= COARSE_POINTS; i++) {
            double away = out * i / COARSE_POINTS;
            usual = Math.max(usual, Math.abs(errorAt(rideOffsetMm + away)) / away);
            usual = Math.max(usual, Math.abs(errorAt(rideOffsetMm - away)) / away);
        }
        return !(Math.abs(slopePerMm()) >= FLAT_SHARE * usual);
    }

    /** Which way to steer for a positive error, 1 or -1: told by what both sides show, so that a blind band in the middle does not hide it. */
    public double steerSign() {
        double rise = errorAt(rideOffsetMm + reach(1).awayMm())
                - errorAt(rideOffsetMm - reach(-1).awayMm());
        return rise > 0 ? -1 : 1;
    }

    /** Error with the law's point, the middle between its sensors, this far left of the line's centre. */
    public double errorAt(double offsetMm) {
        double[] scaled = new double[besideMm.length];
        for (int i = 0; i < scaled.length; i++) {
            scaled[i] = scaledReading(i, offsetMm + besideMm[i]);
        }
        return rule.error(scaled, 0);
    }

    /**
     * Error with each of the law's sensors at a place of its own, as on a bend, where a row lies obliquely across its line.
     *
     * @param offsetsMm of each sensor, left to right, from the line's centre, left positive
     */
    public double errorAt(double[] offsetsMm) {
        double[] scaled = new double[offsetsMm.length];
        for (int i = 0; i < scaled.length; i++) {
            scaled[i] = scaledReading(i, offsetsMm[i]);
        }
        return rule.error(scaled, 0);
    }

    /** Scaled reading of one of the law's sensors at an offset from the centre of the line. */
    private double scaledReading(int i, double offsetMm) {
        return scaledReading(sensors.get(i), law.scale(), line.polarity(), line.widthMm(), offsetMm);
    }

    static double scaledReading(Sensor sensor, Scale scale, Polarity polarity, double widthMm, double offsetMm) {
        double coverage = Spot.coverage(offsetMm, widthMm, sensor.spotSigmaMm());
        double ground = polarity.ground(sensor);
        return scale.scaled(sensor, ground + (polarity.line(sensor) - ground) * coverage);
    }

    /** Where the robot rides: the offset, left positive, at which the error is zero. */
    public double rideOffsetMm() {
        return rideOffsetMm;
    }

    /** Slope of the error where the robot rides, per mm to the left; its sign says which way to steer. */
    public double slopePerMm() {
        return (errorAt(rideOffsetMm + DIFFERENCE_MM) - errorAt(rideOffsetMm - DIFFERENCE_MM)) / (2 * DIFFERENCE_MM);
    }

    /**
     * The lead of the law as a whole: that of its sensors, each weighted with its part in the slope. A sensor that does not see
     * the line where the robot rides has no say.
     */
    public double leadMm() {
        double[] scaled = new double[sensors.size()];
        for (int i = 0; i < scaled.length; i++) {
            scaled[i] = scaledReading(i, rideOffsetMm + besideMm[i]);
        }
        double slopes = 0;
        double weighted = 0;
        for (int i = 0; i < scaled.length; i++) {
            double here = scaled[i];
            scaled[i] = scaledReading(i, rideOffsetMm + besideMm[i] + DIFFERENCE_MM);
            double above = rule.error(scaled, 0);
            scaled[i] = scaledReading(i, rideOffsetMm + besideMm[i] - DIFFERENCE_MM);
            double slope = above - rule.error(scaled, 0);
            scaled[i] = here;
            slopes += slope;
            weighted += slope * sensors.get(i).forwardMm();
        }
        return weighted / slopes;
    }

    /** Standard deviation of the error from the sensors' noise and rounding where the robot rides, on one tick. */
    public double noise() {
        double[] scaled = new double[sensors.size()];
        for (int i = 0; i < scaled.length; i++) {
            scaled[i] = scaledReading(i, rideOffsetMm + besideMm[i]);
        }
        double variance = 0;
        for (int i = 0; i < scaled.length; i++) {
            Sensor sensor = sensors.get(i);
            double oneSigma = law.scale().gain(sensor)
                    * Math.sqrt(sensor.noise() * sensor.noise() + sensor.step() * sensor.step() / 12);
            double here = scaled[i];
            scaled[i] = here + oneSigma;
            double above = rule.error(scaled, 0);
            scaled[i] = here - oneSigma;
            double effect = (above - rule.error(scaled, 0)) / 2;
            scaled[i] = here;
            variance += effect * effect;
        }
        return Math.sqrt(variance);
    }

    /** @param way 1 to the left of the riding point, -1 to its right */
    public Reach reach(int way) {
        return Reach.of(this, way);
    }

    /** A fraction of the smallest spot, however far there is to go, but no more steps than {@link #MOST_STEPS}. */
    double searchStepMm(double out) {
        double spot = sensors.stream().mapToDouble(Sensor::spotSigmaMm).min().orElseThrow();
        return Math.max(out / MOST_STEPS, Math.min(out, spot / STEPS_A_SPOT));
    }

    /** Offset beyond which no sensor of the law sees the line at all. */
    double outMm() {
        double spot = sensors.stream().mapToDouble(Sensor::spotSigmaMm).max().orElseThrow();
        return besideMm[0] + line.widthMm() / 2 + SETTLED_SIGMAS * spot;
    }

    private double edgeRide() {
        double onLine = errorAt(0) + law.target();
        double onGround = errorAt(outMm()) + law.target();
        String expected = Text.of(
                "between %.4g and %.4g, what this sensor shows across the edge (%s numbers)",
                Math.min(onLine, onGround),
                Math.max(onLine, onGround),
                law.scale().word());
        return law.side().sign() * root(0, outMm(), "law.target", law.target(), expected);
    }

    /** The root nearest to the middle of the law's sensors, found by looking outward a fraction of a spot at a time. */
    private double levelRide() {
        if (errorAt(0) == 0) {
            return 0; // a symmetric layout rides exactly in its middle
        }
        String expected = "scaled so that the sensors of both sides agree somewhere over the line";
        double out = outMm();
        double step = searchStepMm(out);
        for (double far = step; far <= out; far += step) {
            for (int side = -1; side <= 1; side += 2) {
                if (errorAt(side * (far - step)) * errorAt(side * far) < 0) {
                    return root(
                            side * (far - step),
                            side * far,
                            "law.scale",
                            law.scale().word(),
                            expected);
                }
            }
        }
        throw new BadValueException("law.scale", law.scale().word(), expected);
    }

    /** Bisection of an error that changes sign between the two offsets. */
    private double root(double fromMm, double toMm, String field, Object value, String expected) {
        double low = fromMm;
        double high = toMm;
        double atLow = errorAt(low);
        if (!(atLow * errorAt(high) <= 0)) {
            throw new BadValueException(field, value, expected);
        }
        while (Math.abs(high - low) > ROOT_TOLERANCE_MM) {
            double middle = (low + high) / 2;
            double atMiddle = errorAt(middle);
            if (atMiddle == 0) {
                return middle;
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
