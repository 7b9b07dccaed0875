package fahrbahn.core.setup;

import fahrbahn.core.check.Check;

/**
 * How the robot stands on the table; matters where the table is not flat.
 *
 * @param supportForwardMm where the third support, a ball or a skid, touches: ahead of the turning point, negative behind; not 0
 * @param sensorHeightMm sensors above a flat table; above 0
 */
public record Chassis(double supportForwardMm, double sensorHeightMm) {
    /** A ball behind the wheels, sensors a finger's breadth up: our choice for robots nobody has measured. */
    public static final Chassis TYPICAL = new Chassis(-70, 9);

    public Chassis {
        Check.finite("supportForwardMm", supportForwardMm);
        Check.require(supportForwardMm != 0, "supportForwardMm", supportForwardMm, "other than 0");
        Check.positive("sensorHeightMm", sensorHeightMm);
    }
}
