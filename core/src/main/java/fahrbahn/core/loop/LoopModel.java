package fahrbahn.core.loop;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.check.Text;
import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Setup;

/**
 * The numbers of the linear model, gathered from a setup.
 *
 * @param speedMmPerS v, above 0
 * @param turnRatePerCommand G, rad/s per unit of steering, above 0
 * @param lagS tau, 0 or more
 * @param loop period T and delay d
 * @param leadMm L, may be negative
 * @param slopePerMm g without its sign, scale units per mm, above 0
 */
public record LoopModel(
        double speedMmPerS, double turnRatePerCommand, double lagS, Loop loop, double leadMm, double slopePerMm) {
    public LoopModel {
        Check.positive("speedMmPerS", speedMmPerS);
        Check.positive("turnRatePerCommand", turnRatePerCommand);
        Check.notNegative("lagS", lagS);
        Check.finite("leadMm", leadMm);
        Check.positive("slopePerMm", slopePerMm);
    }

    public static LoopModel of(Setup setup) {
        return of(setup, ErrorCurve.of(setup));
    }

    /** @param curve of the same setup */
    public static LoopModel of(Setup setup, ErrorCurve curve) {
        if (curve.flat()) {
            double span = setup.lawSensors().get(0).leftMm()
                    - setup.lawSensors().get(setup.lawSensors().size() - 1).leftMm();
            throw new BadValueException(
                    "robot.sensors.spanMm",
                    span,
                    Text.of(
                            "less over a line of %.4g mm: none of them sees an edge in the middle, so the loop has no slope there and no"
                                    + " gain can be calculated. The simulation still drives it",
                            setup.line().widthMm()));
        }
        Drive drive = setup.robot().drive();
        return new LoopModel(
                setup.speedMmPerS(),
                drive.turnRatePerCommand(setup.law().baseCommand()),
                drive.lagS(),
                setup.robot().loop(),
                curve.leadMm(),
                Math.abs(curve.slopePerMm()));
    }

    /** The same robot driven at another base command; lead and slope of its error do not change with speed. */
    LoopModel at(Drive drive, double baseCommand) {
        return new LoopModel(
                drive.speedMmPerS(baseCommand), drive.turnRatePerCommand(baseCommand), lagS, loop, leadMm, slopePerMm);
    }

    /**
     * With proportional gain alone no gain is stable unless the lead exceeds {@code v * (tau + d + T/2)}: the low-frequency
     * phase lag of lag, delay and hold against the phase lead of looking ahead. In mm.
     */
    public double leastLeadMm() {
        return speedMmPerS * (lagS + loop.delayS() + loop.periodS() / 2);
    }
}
