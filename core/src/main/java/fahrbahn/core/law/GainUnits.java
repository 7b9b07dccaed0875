package fahrbahn.core.law;

import fahrbahn.core.check.Check;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;

/**
 * Gains in per-loop and per-second units: {@code u = Kp*err + Ki'*integral(err dt) + Kd'*d(err)/dt} with {@code Ki' = Ki/T} and
 * {@code Kd' = Kd*T}. A per-loop Ki or Kd means something else when the loop time changes; the per-second one does not.
 *
 * @param kiPerS command units per scale unit and second
 * @param kdS command units times second per scale unit
 */
public record GainUnits(double kp, double kiPerS, double kdS) {
    /** @param periodS loop time T, above 0 */
    public static GainUnits perSecond(Law law, double periodS) {
        Check.positive("periodS", periodS);
        return new GainUnits(law.kp(), law.ki() / periodS, law.kd() * periodS);
    }

    /** The law with these gains, per loop, for a loop time. */
    public Law perLoop(Law law, double periodS) {
        Check.positive("periodS", periodS);
        return law.withGains(kp, kiPerS * periodS, kdS / periodS);
    }

    /**
     * The law in another scale: gains, target and everything else that is counted in scale units, so that the robot steers as
     * before. For laws on one kind of sensor: raw numbers of unlike sensors have no common factor.
     *
     * @param sensor whose numbers the raw scale means
     */
    public static Law rescaled(Law law, Scale to, Sensor sensor) {
        Scale from = law.scale();
        double factor = (to.light(sensor) - to.dark(sensor)) / (from.light(sensor) - from.dark(sensor));
        double target = to.dark(sensor) + (law.target() - from.dark(sensor)) * factor;
        // A weighted mean divides by its sum: its error does not know the scale. A negative factor turns the error's
        // sign,
        // and the side to steer to turns with it.
        double size = law.signal().isMean() ? 1 : Math.abs(factor);
        return law.withScale(to)
                .withTarget(target)
                .withGains(law.kp() / size, law.ki() / size, law.kd() / size)
                .withOptions(law.options()
                        .inScale(size)
                        .withThresholds(law.options().thresholds().stream()
                                .map(t -> to.dark(sensor) + (t - from.dark(sensor)) * factor)
                                .toList()));
    }
}
