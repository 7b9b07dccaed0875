package fahrbahn.core.knowledge;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.loop.GainRay;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.loop.SampledLoop;
import fahrbahn.core.loop.WiggleOnset;
import fahrbahn.core.setup.Setup;

/**
 * What not knowing a constant costs: between which gains the wiggle may set in while the constant is as uncertain as it is.
 *
 * @param uncertainty of the constant, same units as the constant
 * @param lowKp smallest onset within the uncertainty; 0 where no gain is stable any more
 * @param highKp largest onset
 * @param nowKp onset with the value as it stands; 0 where no gain is stable
 */
public record GuessCost(Constant constant, double uncertainty, double lowKp, double highKp, double nowKp) {
    /** @param uncertainty half the width of the interval the constant is believed to lie in; 0 or more */
    public static GuessCost of(Setup setup, Constant constant, double uncertainty) {
        double kp = setup.law().kp();
        GainRay ray = kp > 0 ? GainRay.ratio(setup.law().kd() / kp) : GainRay.PROPORTIONAL;
        double now = onset(setup, ray);
        double below = onset(setup, constant, -uncertainty, ray, now);
        double above = onset(setup, constant, uncertainty, ray, now);
        return new GuessCost(
                constant,
                uncertainty,
                Math.min(now, Math.min(below, above)),
                Math.max(now, Math.max(below, above)),
                now);
    }

    private static double onset(Setup setup, Constant constant, double off, GainRay ray, double otherwise) {
        try {
            return onset(constant.with(setup, Math.max(constant.least(), constant.of(setup) + off)), ray);
        } catch (BadValueException impossible) {
            return otherwise; // the setup cannot be so, so the constant is not that far off
        }
    }

    private static double onset(Setup setup, GainRay ray) {
        return WiggleOnset.along(new SampledLoop(LoopModel.of(setup)), ray)
                .map(WiggleOnset::kp)
                .orElse(0.0);
    }

    /** Width of the range over the onset as it stands: 1 means the gain may be off by its own size. */
    public double share() {
        return nowKp > 0 ? (highKp - lowKp) / nowKp : Double.POSITIVE_INFINITY;
    }
}
