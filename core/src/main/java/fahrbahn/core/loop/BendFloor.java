package fahrbahn.core.loop;

import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Setup;

/** The least proportional gain that holds a bend: {@code Kp >= v / (R * G * E)}, E the error left on the scarcer side. */
public final class BendFloor {
    private BendFloor() {}

    /** Least Kp, per loop, for the tightest bend of the setup's line at the setup's speed. */
    public static double kp(Setup setup) {
        return kp(
                LoopModel.of(setup),
                setup.line().tightestRadiusMm(),
                ErrorCurve.of(setup).errorReach());
    }

    static double kp(LoopModel model, double radiusMm, double errorReach) {
        return model.speedMmPerS() / (radiusMm * model.turnRatePerCommand() * errorReach);
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
