package fahrbahn.core.loop;

import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.response.Reach;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;

/**
 * The least proportional gain that holds the tightest bend, either way round.
 *
 * <p>On a bend of radius R the sensors ride outside their path by the offset at which their error is as large as it gets, and the point the
 * robot turns about runs on a smaller circle than they do: {@code Rs = R -+ ride + offset}, {@code Ra = sqrt(Rs^2 - L^2) +- s} with the
 * lead L and, for a lone sensor, its own place s to the left. Steering u has to make the curvature {@code k = 1/Ra}:
 * {@code u = k*v/G} with difference mixing, {@code u = 50*k*b/(1 + k*b/2)} with inner-wheel mixing, which slows as it steers; and
 * {@code Kp >= u / error}. Where a wheel meets its clamp the steering that still makes the curvature takes the place of u.
 *
 * <p>The way into the bend needs more than the bend where the error folds over or a row lies obliquely: {@link BendEntry} is tried, and
 * where it asks for clearly more, it counts. Left out: the lag of the wheels.
 */
public final class BendFloor {
    /** Up to so many times its own need the bend alone counts: the formula is no more exact than that. */
    private static final double CLEARLY_MORE = 1.064;

    /** And where the way in counts, it counts as exactly as the formula elsewhere. */
    private static final double NEARLY = 0.95;

    private static final double ENTRY_EXACT = 0.003;

    /** Up to so many times the bend's own need is looked for. */
    private static final double MOST_ENTRY = 3;

    /** Ways round: bends to the left, to the right. */
    private static final int[] WAYS = {1, -1};

    private final double[] curvaturePerMm = new double[2];
    private final double[] error = new double[2];
    private final double steeringLimit;
    private final double entry;

    private BendFloor(Setup setup, ErrorCurve curve) {
        double radiusMm = setup.line().tightestRadiusMm();
        double leadMm = curve.leadMm();
        double besideMm = setup.lawSensors().stream()
                .mapToDouble(Sensor::leftMm)
                .average()
                .orElseThrow();
        for (int i = 0; i < WAYS.length; i++) {
            // The centre of a bend to the left lies to the left: outside is to the right.
            Reach outside = curve.reach(-WAYS[i]);
            double sensedMm = radiusMm - WAYS[i] * curve.rideOffsetMm() + outside.awayMm();
            double turningMm = sensedMm > Math.abs(leadMm)
                    ? Math.sqrt((sensedMm - leadMm) * (sensedMm + leadMm)) + WAYS[i] * besideMm
                    : 0;
            curvaturePerMm[i] = turningMm > 0 ? 1 / turningMm : Double.POSITIVE_INFINITY;
            error[i] = outside.error();
        }
        Drive drive = setup.robot().drive();
        steeringLimit = SteadyTurn.limit(setup);
        entry = entry(new BendEntry(setup, curve), drive);
    }

    /** Times the bend's own need that the way into it takes, where that is clearly more. */
    private double entry(BendEntry way, Drive drive) {
        double enough = 0;
        for (int i = 0; i < WAYS.length; i++) {
            double k = curvaturePerMm[i];
            double half = drive.effectiveTrackWidthMm() / 2;
            enough = Math.max(
                    enough, (drive.mixing() == Mixing.DIFFERENCE ? k : 100 * k * half / (1 + k * half)) / error[i]);
        }
        // A robot that swings out whatever its gain, its sensors too near to its axle, is the matter of the wiggle
        // onset.
        if (!Double.isFinite(enough) || way.holds(enough * CLEARLY_MORE) || !way.holds(enough * MOST_ENTRY)) {
            return 1;
        }
        double low = CLEARLY_MORE;
        double high = MOST_ENTRY;
        while (high - low > ENTRY_EXACT) {
            double middle = (low + high) / 2;
            if (way.holds(enough * middle)) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return NEARLY * high;
    }

    /** @param curve of the same setup */
    static BendFloor of(Setup setup, ErrorCurve curve) {
        return new BendFloor(setup, curve);
    }

    /** Least Kp, per loop, for the tightest bend of the setup's line at the setup's speed; infinite when none holds it. */
    public static double kp(Setup setup) {
        return of(setup, ErrorCurve.of(setup))
                .kp(setup.robot().drive(), setup.law().baseCommand());
    }

    /** Of the circles that the turning point runs on in the tightest bend, either way round, the tighter one; 1/mm. */
    double tightestPerMm() {
        return Math.max(curvaturePerMm[0], curvaturePerMm[1]);
    }

    /** The same at another base command. */
    double kp(Drive drive, double baseCommand) {
        double kp = 0;
        for (int i = 0; i < WAYS.length; i++) {
            double steering = SteadyTurn.steering(drive, baseCommand, steeringLimit, curvaturePerMm[i]);
            kp = Math.max(kp, steering / error[i]);
        }
        return entry * kp;
    }

    /**
     * Tightest radius, mm, the drive can hold at the setup's mean speed before a wheel meets its clamp: the outer wheel must
     * run at {@code v * (1 + b/(2R))}.
     */
    public static double tightestDrivableRadiusMm(Setup setup) {
        double spare = setup.robot().drive().freeSpeedMmPerS() / setup.speedMmPerS() - 1;
        double half = setup.robot().drive().trackWidthMm() / 2;
        return spare > 0 ? half / spare : Double.POSITIVE_INFINITY;
    }
}
