package fahrbahn.core.setup;

import fahrbahn.core.check.Check;

/**
 * What keeps a drive from being ideal. The plain drive has none of it.
 *
 * @param mayReverse false when the program never commands a wheel backwards: the inner wheel stops at zero
 * @param batteryShare volts over the volts at which the free speed was measured; above 0
 * @param curve what speed a wheel takes up at a command
 * @param mismatchShare how much faster the right wheel is than the left, as a share of their mean; -1 to 1
 * @param slipShare share of the wheels' way that does not reach the ground; 0 or more, below 1
 * @param scrub effective over measured track width, above 1 for tracks, which turn about less than they look; at least 0.5
 */
public record Traits(
        boolean mayReverse,
        double batteryShare,
        SpeedCurve curve,
        double mismatchShare,
        double slipShare,
        double scrub) {
    public static final Traits IDEAL = new Traits(true, 1, SpeedCurve.STRAIGHT, 0, 0, 1);

    public Traits {
        Check.require(batteryShare > 0 && batteryShare <= 2, "batteryShare", batteryShare, "above 0, at most 2");
        Check.between("mismatchShare", mismatchShare, -1, 1);
        Check.require(slipShare >= 0 && slipShare < 1, "slipShare", slipShare, "0 or more, below 1");
        Check.between("scrub", scrub, 0.5, 5);
    }

    public Traits withMayReverse(boolean newMayReverse) {
        return new Traits(newMayReverse, batteryShare, curve, mismatchShare, slipShare, scrub);
    }

    public Traits withCurve(SpeedCurve newCurve) {
        return new Traits(mayReverse, batteryShare, newCurve, mismatchShare, slipShare, scrub);
    }

    public Traits withMismatchShare(double newMismatchShare) {
        return new Traits(mayReverse, batteryShare, curve, newMismatchShare, slipShare, scrub);
    }

    public Traits withScrub(double newScrub) {
        return new Traits(mayReverse, batteryShare, curve, mismatchShare, slipShare, newScrub);
    }
}
