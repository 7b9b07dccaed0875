package fahrbahn.core.loop;

import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Setup;
import java.util.Optional;

/**
 * How slowly a robot can follow its line: below it the wheels do not start, or the inner one stutters in the tightest bend. The other end of the
 * range is where the {@link Lane} closes.
 *
 * @param baseCommand the least that will do
 * @param speedMmPerS over the ground at it
 */
public record SpeedFloor(double baseCommand, double speedMmPerS, Why why) {
    private static final int BISECTIONS = 40;

    /** What keeps it from being slower. */
    public enum Why {
        /** A wheel at rest does not start below it. */
        START,
        /** The inner wheel is not held rolling in the tightest bend. */
        BEND
    }

    /** Of a setup whose line it can follow at full command; empty where no dead zone and no breakaway is known of its drive. */
    public static Optional<SpeedFloor> of(Setup setup) {
        Drive drive = setup.robot().drive();
        double starts = drive.traits().curve().startsAboveCommand();
        if (!(starts > 0)) {
            return Optional.empty();
        }
        double curvature = BendFloor.of(setup, ErrorCurve.of(setup)).tightestPerMm();
        double limit = SteadyTurn.limit(setup);
        double full = drive.fullCommand();
        // An inner wheel that has to turn backwards in the bend does so at any speed.
        boolean inwards = curvature * drive.effectiveTrackWidthMm() / 2 >= 1;
        if (inwards || rolls(drive, starts, limit, curvature) || !rolls(drive, full, limit, curvature)) {
            return Optional.of(new SpeedFloor(starts, drive.speedMmPerS(starts), Why.START));
        }
        double low = starts;
        double high = full;
        for (int i = 0; i < BISECTIONS; i++) {
            double middle = (low + high) / 2;
            if (rolls(drive, middle, limit, curvature)) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return Optional.of(new SpeedFloor(high, drive.speedMmPerS(high), Why.BEND));
    }

    /** Whether the inner wheel is held rolling on a circle. */
    private static boolean rolls(Drive drive, double base, double limit, double curvaturePerMm) {
        double steering = SteadyTurn.steering(drive, base, limit, curvaturePerMm);
        return Double.isFinite(steering)
                && drive.mixing().leftCommand(base, steering)
                        > drive.traits().curve().holdsDownToCommand();
    }
}
