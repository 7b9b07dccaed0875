package fahrbahn.core.loop;

import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Setup;

/** The circle a robot settles on when it steers, clamps and dead zone of its wheels included; and the steering for a circle. Lag left out. */
public final class SteadyTurn {
    private static final int BISECTIONS = 60;

    /** Steering of inner-wheel mixing is in percent, whatever full command is. */
    private static final double BEYOND_PERCENT = 100;

    private SteadyTurn() {}

    /** Most steering the setup's program gives; infinite where the wheels clamp and not the number. */
    public static double limit(Setup setup) {
        Drive drive = setup.robot().drive();
        return Math.min(
                setup.law().options().limits().steering(), drive.mixing().steeringLimit(drive));
    }

    /** Tightest curvature the setup's program can make, 1/mm; infinite when it can turn on the spot. */
    public static double tightestPerMm(Setup setup) {
        Drive drive = setup.robot().drive();
        return curvaturePerMm(drive, setup.law().baseCommand(), most(drive, limit(setup)));
    }

    private static double most(Drive drive, double limit) {
        return Math.min(limit, 2 * drive.fullCommand() + BEYOND_PERCENT);
    }

    /**
     * The steering that makes a curvature; infinite when none does.
     *
     * @param limit the most there is
     * @param wantedPerMm 1/mm, 0 or more
     */
    public static double steering(Drive drive, double baseCommand, double limit, double wantedPerMm) {
        double most = most(drive, limit);
        if (Double.isInfinite(wantedPerMm) || !(curvaturePerMm(drive, baseCommand, most) >= wantedPerMm)) {
            return Double.POSITIVE_INFINITY;
        }
        double low = 0;
        double high = most;
        for (int i = 0; i < BISECTIONS; i++) {
            double middle = (low + high) / 2;
            if (curvaturePerMm(drive, baseCommand, middle) >= wantedPerMm) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return high;
    }

    /** Settled curvature at a steering to the left, 1/mm; infinite on the spot. */
    public static double curvaturePerMm(Drive drive, double baseCommand, double steering) {
        double left = speed(drive, drive.mixing().leftCommand(baseCommand, steering));
        double right = speed(drive, drive.mixing().leftCommand(baseCommand, -steering));
        double turn = (right - left) / drive.effectiveTrackWidthMm();
        double ahead = (left + right) / 2;
        return ahead > 0 ? turn / ahead : turn > 0 ? Double.POSITIVE_INFINITY : 0;
    }

    private static double speed(Drive drive, double command) {
        return drive.speedMmPerS(Math.max(drive.leastCommand(), Math.min(drive.fullCommand(), command)));
    }
}
