package fahrbahn.core.table;

import fahrbahn.core.path.Part;
import fahrbahn.core.path.Path;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Chassis;
import java.util.List;

/**
 * How near a part of the robot comes to the table while it rolls over a bump: the robot stands on its wheels and one support, and the
 * plane through them lifts or lowers the part.
 *
 * @param leastMm smallest clearance on the way; negative when it scrapes
 * @param atMm where the wheels then are, from the bump's beginning
 */
public record BumpClearance(double leastMm, double atMm) {
    /** A fifth of a millimetre of way moves the clearance by far less. */
    private static final double STEP_MM = 0.2;

    /** Higher ones are no bumps. */
    public static final double HIGHEST_MM = 30;

    /** Of a bump as tables have it, our choice. */
    private static final double USUAL_LENGTH_MM = 60;

    /** @param forwardMm of the part, from the turning point; at the height of the sensors */
    public static BumpClearance of(Part.Bump bump, Chassis chassis, double forwardMm) {
        double reach = bump.lengthMm() + Math.abs(forwardMm) + Math.abs(chassis.supportForwardMm());
        Relief relief = Relief.of(
                new Path(new Pose(0, 0, 0), List.of(new Part.Straight(reach), bump, new Part.Straight(reach)), false));
        double least = Double.POSITIVE_INFINITY;
        double at = 0;
        for (double wheels = 0; wheels <= 2 * reach + bump.lengthMm(); wheels += STEP_MM) {
            double lift = relief.liftMm(wheels, forwardMm, chassis.supportForwardMm());
            if (chassis.sensorHeightMm() + lift < least) {
                least = chassis.sensorHeightMm() + lift;
                at = wheels - reach;
            }
        }
        return new BumpClearance(least, at);
    }

    /** Highest bump of a usual length that a part clears, mm; at most {@link #HIGHEST_MM}. */
    public static double highestMm(Chassis chassis, double forwardMm) {
        double low = 0;
        double high = HIGHEST_MM;
        if (of(new Part.Bump(USUAL_LENGTH_MM, high), chassis, forwardMm).leastMm() >= 0) {
            return high;
        }
        while (high - low > 0.05) {
            double middle = (low + high) / 2;
            if (of(new Part.Bump(USUAL_LENGTH_MM, middle), chassis, forwardMm).leastMm() >= 0) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return low;
    }
}
