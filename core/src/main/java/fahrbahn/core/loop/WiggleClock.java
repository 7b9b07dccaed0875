package fahrbahn.core.loop;

import fahrbahn.core.check.Check;

/**
 * Lag by counting wiggles. Above the onset the saturating sensor turns the instability into a steady wiggle whose period hardly
 * depends on Kp: at that frequency the phase of lag, delay and hold takes up the lead of looking ahead.
 *
 * @param lagS tau = tan(atan(L*omega/v) - omega*(d + T/2)) / omega
 * @param onsetKp Kp = omega^2*sqrt(1 + (omega*tau)^2) / (g*G*sqrt(v^2 + (L*omega)^2)): what the gain at onset must then be
 */
public record WiggleClock(double lagS, double onsetKp) {
    /**
     * @param periodS of the wiggle, mean over many, above 0
     * @param model of the robot; its lag is not used
     * @throws fahrbahn.core.check.BadValueException when no lag of 0 or more gives this period
     */
    public static WiggleClock of(double periodS, LoopModel model) {
        Check.positive("periodS", periodS);
        double omega = 2 * Math.PI / periodS;
        double v = model.speedMmPerS();
        double leadAngle = Math.atan(model.leadMm() * omega / v);
        double left = leadAngle - omega * (model.loop().delayS() + model.loop().periodS() / 2);
        Check.require(
                left >= 0 && left < Math.PI / 2,
                "periodS",
                periodS,
                "longer: delay and loop time alone already take up all the lead at this pace");
        double lagS = Math.tan(left) / omega;
        double onsetKp = omega
                * omega
                * Math.hypot(1, omega * lagS)
                / (model.slopePerMm() * model.turnRatePerCommand() * Math.hypot(v, model.leadMm() * omega));
        return new WiggleClock(lagS, onsetKp);
    }
}
