package fahrbahn.core.response;

import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * The patterns that a row of on/off sensors shows over one plain line, wherever and however askew it lies under them up to a right angle. What
 * is not among them is shown over crossings, corners and marks only, or never.
 */
public final class LineCodes {
    private static final double STEP_MM = 0.5;
    private static final double STEP_RAD = Math.toRadians(3);

    /** Nearer to along the row than this, its whole width lies under one line or none. */
    private static final double MOST_RAD = Math.toRadians(87);

    private LineCodes() {}

    /** Bits, outer left sensor first; 1 sees the line. */
    public static Set<String> of(Setup setup) {
        List<Sensor> row = setup.lawSensors();
        double reach = Math.abs(row.get(0).leftMm())
                + Math.abs(row.get(row.size() - 1).leftMm())
                + 2 * setup.line().widthMm();
        Set<String> codes = new LinkedHashSet<>();
        for (double askew = -MOST_RAD; askew <= MOST_RAD; askew += STEP_RAD) {
            for (double offset = -reach; offset <= reach; offset += STEP_MM) {
                codes.add(code(setup, row, offset, askew));
            }
        }
        return codes;
    }

    /** The pattern with the row straight over the line, its middle this far left of it. */
    static String straight(Setup setup, double offsetMm) {
        return code(setup, setup.lawSensors(), offsetMm, 0);
    }

    private static String code(Setup setup, List<Sensor> row, double offsetMm, double askewRad) {
        StringBuilder bits = new StringBuilder();
        for (int i = 0; i < row.size(); i++) {
            Sensor sensor = row.get(i);
            double across = offsetMm
                    + sensor.leftMm() * Math.cos(askewRad)
                    + (sensor.forwardMm() - setup.leadMm()) * Math.sin(askewRad);
            double coverage = Spot.coverage(across, setup.line().widthMm(), sensor.spotSigmaMm());
            bits.append(coverage >= thresholdShare(setup, sensor, setup.law().threshold(i)) ? '1' : '0');
        }
        return bits.toString();
    }

    /** A threshold as a share of the line in a sensor's spot. */
    static double thresholdShare(Setup setup, Sensor sensor, double threshold) {
        double ground =
                setup.law().scale().scaled(sensor, setup.line().polarity().ground(sensor));
        double line = setup.law().scale().scaled(sensor, setup.line().polarity().line(sensor));
        return (threshold - ground) / (line - ground);
    }
}
