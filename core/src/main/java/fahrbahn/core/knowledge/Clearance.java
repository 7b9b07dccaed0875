package fahrbahn.core.knowledge;

import fahrbahn.core.check.Check;
import fahrbahn.core.setup.Chassis;
import fahrbahn.core.setup.Sensor;

/** Whether what hangs low on a robot clears the table where it is not flat. Lengths in mm, angles in rad. */
public final class Clearance {
    private Clearance() {}

    /**
     * How far a part may stand out past the rim of the front wheel at the foot of a ramp: {@code h/tan(a) - r*(1 - tan(a/2))}. When
     * the wheel meets the ramp its centre is {@code r*tan(a/2)} before the foot, and at height h the ramp is {@code h/tan(a)}
     * beyond it.
     *
     * @param heightMm of the part above the table, 0 or more
     * @param wheelRadiusMm above 0
     * @param slopeRad of the ramp, above 0, below a quarter turn
     * @return negative when the part must end behind the rim
     */
    public static double mostOverhangMm(double heightMm, double wheelRadiusMm, double slopeRad) {
        Check.notNegative("heightMm", heightMm);
        Check.positive("wheelRadiusMm", wheelRadiusMm);
        Check.require(slopeRad > 0 && slopeRad < Math.PI / 2, "slopeRad", slopeRad, "above 0, below a quarter turn");
        return heightMm / Math.tan(slopeRad) - wheelRadiusMm * (1 - Math.tan(slopeRad / 2));
    }

    /** How much of that is left for a sensor of this robot; negative when it will scrape. */
    public static double spareAtRampMm(Chassis chassis, Sensor sensor, double slopeRad) {
        double overhang = sensor.forwardMm() - chassis.wheelRadiusMm();
        return mostOverhangMm(chassis.sensorHeightMm(), chassis.wheelRadiusMm(), slopeRad) - overhang;
    }

    /** Steepest ramp this sensor clears, rad; a quarter turn when it stands behind the wheel's rim at any. */
    public static double steepestRampRad(Chassis chassis, Sensor sensor) {
        double low = 1e-3;
        double high = Math.PI / 2 - 1e-3;
        if (spareAtRampMm(chassis, sensor, high) >= 0) {
            return Math.PI / 2;
        }
        while (high - low > 1e-6) {
            double middle = (low + high) / 2;
            if (spareAtRampMm(chassis, sensor, middle) >= 0) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return low;
    }
}
