package fahrbahn.core.loop;

import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import java.util.Optional;

/**
 * Gains that worked on one setup, carried over to another: other wheels, speed, sensor height, loop time, mixing, scale.
 *
 * @param sameSteering gives the same turn rate for the same mm, and for the same mm/s, as before: right when the robot moves as
 *     before and only its numbers changed
 * @param sameShare gives the same share of the wiggle onset with the same damping time: right when the robot itself moves
 *     otherwise; empty when one of the two setups has no onset to take a share of
 */
public record GainTransfer(Law sameSteering, Optional<Law> sameShare) {
    /** @param to setup to find gains for; its own gains are not used */
    public static GainTransfer between(Setup from, Setup to) {
        Law law = from.law();
        double stiffness = stiffness(from) / stiffness(to);
        double periods = from.robot().loop().periodS() / to.robot().loop().periodS();
        // Ki per loop grows, and Kd per loop shrinks, with the loop time for the same action in time.
        Law steering = to.law()
                .withGains(law.kp() * stiffness, law.ki() * stiffness / periods, law.kd() * stiffness * periods);
        return new GainTransfer(steering, sameShare(from, to, periods));
    }

    /** Turn rate per mm of offset and unit of Kp. */
    private static double stiffness(Setup setup) {
        LoopModel model = LoopModel.of(setup, ErrorCurve.of(setup));
        return model.slopePerMm() * model.turnRatePerCommand();
    }

    private static Optional<Law> sameShare(Setup from, Setup to, double periods) {
        Law law = from.law();
        if (law.kp() == 0) {
            return Optional.empty();
        }
        double ratio = law.kd() / law.kp();
        Optional<WiggleOnset> onsetFrom = onset(from, ratio);
        Optional<WiggleOnset> onsetTo = onset(to, ratio * periods);
        if (onsetFrom.isEmpty() || onsetTo.isEmpty()) {
            return Optional.empty();
        }
        double kp = law.kp() / onsetFrom.get().kp() * onsetTo.get().kp();
        return Optional.of(to.law().withGains(kp, law.ki() / law.kp() * kp / periods, ratio * periods * kp));
    }

    private static Optional<WiggleOnset> onset(Setup setup, double kdPerKp) {
        return WiggleOnset.along(new SampledLoop(LoopModel.of(setup)), GainRay.ratio(kdPerKp));
    }
}
