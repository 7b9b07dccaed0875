package fahrbahn.core.loop;

import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import java.util.Optional;

/**
 * Gains that worked on one setup, carried over to another: other wheels, speed, sensor height, loop time, mixing, scale.
 *
 * @param from numbers of the setup they worked on
 * @param to the same of the other
 * @param sameSteering gives the same turn rate for the same mm, and for the same mm/s, as before: right when the robot moves as
 *     before and only its numbers changed
 * @param sameShare gives the same share of the wiggle onset with the same damping time: right when the robot itself moves
 *     otherwise; empty when one of the two setups has no onset to take a share of
 */
public record GainTransfer(Numbers from, Numbers to, Law sameSteering, Optional<Law> sameShare) {
    /**
     * What of a setup its gains depend on.
     *
     * @param slopePerMm error for each mm beside the path, scale units
     * @param turnRatePerCommand rad/s for each unit of steering
     * @param periodS loop time
     * @param wiggleKp onset with the damping time of the gains that are carried over; empty where there is none
     */
    public record Numbers(double slopePerMm, double turnRatePerCommand, double periodS, Optional<Double> wiggleKp) {
        private static Numbers of(Setup setup, double dampingS) {
            LoopModel model = LoopModel.of(setup, ErrorCurve.of(setup));
            double periodS = setup.robot().loop().periodS();
            GainRay ray = GainRay.ratio(dampingS / periodS);
            return new Numbers(
                    model.slopePerMm(),
                    model.turnRatePerCommand(),
                    periodS,
                    WiggleOnset.along(new SampledLoop(model), ray).map(WiggleOnset::kp));
        }

        /** Turn rate per mm of offset and unit of Kp. */
        double stiffness() {
            return slopePerMm * turnRatePerCommand;
        }
    }

    /**
     * @param to setup to find gains for; its own gains are not used
     * @throws fahrbahn.core.check.BadValueException when one of the two makes no error that a loop could be reckoned with
     */
    public static GainTransfer between(Setup from, Setup to) {
        Law law = from.law();
        double dampingS =
                law.kp() > 0 ? law.kd() / law.kp() * from.robot().loop().periodS() : 0;
        Numbers was = Numbers.of(from, dampingS);
        Numbers is = Numbers.of(to, dampingS);
        double stiffness = was.stiffness() / is.stiffness();
        Law steering = carried(law, to.law(), stiffness, was.periodS() / is.periodS());
        Optional<Law> share = law.kp() == 0
                        || was.wiggleKp().isEmpty()
                        || is.wiggleKp().isEmpty()
                ? Optional.empty()
                : Optional.of(carried(
                        law, to.law(), is.wiggleKp().get() / was.wiggleKp().get(), was.periodS() / is.periodS()));
        return new GainTransfer(was, is, steering, share);
    }

    /** Ki per loop grows, and Kd per loop shrinks, with the loop time for the same action in time. */
    private static Law carried(Law law, Law into, double times, double periods) {
        return into.withGains(law.kp() * times, law.ki() * times / periods, law.kd() * times * periods);
    }
}
