package fahrbahn.core.setup;

import fahrbahn.core.check.Bounds;
import fahrbahn.core.check.Check;

/**
 * How the robot stands on the table; matters where the table is not flat.
 *
 * @param supportForwardMm where the third support, a ball or a skid, touches: ahead of the turning point, negative behind; not 0
 * @param sensorHeightMm sensors above a flat table; above 0
 * @param wheelRadiusMm of the driven wheels, or of the front of the tracks; above 0
 * @param tracks true for tracks, which scrub when they turn
 */
public record Chassis(double supportForwardMm, double sensorHeightMm, double wheelRadiusMm, boolean tracks) {
    /** A ball behind the wheels, sensors a finger's breadth up: our choice for robots nobody has measured. */
    public static final Chassis TYPICAL = new Chassis(-70, 9, 28, false);

    /** On wheels of the usual size. */
    public Chassis(double supportForwardMm, double sensorHeightMm) {
        this(supportForwardMm, sensorHeightMm, 28, false);
    }

    public Chassis {
        Check.within("supportForwardMm", supportForwardMm, Bounds.ROBOT_MM);
        Check.require(supportForwardMm != 0, "supportForwardMm", supportForwardMm, "other than 0");
        Check.positive("sensorHeightMm", sensorHeightMm, Bounds.ROBOT_MM);
        Check.positive("wheelRadiusMm", wheelRadiusMm, Bounds.ROBOT_MM);
    }

    public Chassis withSupportForwardMm(double newSupportForwardMm) {
        return new Chassis(newSupportForwardMm, sensorHeightMm, wheelRadiusMm, tracks);
    }

    public Chassis withSensorHeightMm(double newSensorHeightMm) {
        return new Chassis(supportForwardMm, newSensorHeightMm, wheelRadiusMm, tracks);
    }

    public Chassis withWheelRadiusMm(double newWheelRadiusMm) {
        return new Chassis(supportForwardMm, sensorHeightMm, newWheelRadiusMm, tracks);
    }

    public Chassis withTracks(boolean newTracks) {
        return new Chassis(supportForwardMm, sensorHeightMm, wheelRadiusMm, newTracks);
    }
}
