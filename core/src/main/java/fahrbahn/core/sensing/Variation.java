package fahrbahn.core.sensing;

import fahrbahn.core.check.Check;

/**
 * What is different from the setup in one run.
 *
 * @param batteryShare speed over the setup's; above 0
 * @param lagShare wheel lag over the setup's; 0 or more
 * @param mismatchShare how much faster the right wheel is than in the setup
 * @param slipShare share of the wheels' way lost on top of the setup's; below 1, negative for better grip
 * @param noiseShare sensor noise over the setup's; 0 leaves out noise and rounding altogether
 * @param lightShare readings over those of the captures: more or less light
 * @param heightShare sensor height over that of the captures; 0.75 to 2.25
 * @param jitterShare standard deviation of the loop time, as a share of it; 0 to 0.25
 */
public record Variation(
        double batteryShare,
        double lagShare,
        double mismatchShare,
        double slipShare,
        double noiseShare,
        double lightShare,
        double heightShare,
        double jitterShare) {
    /** Everything as set up, without noise and rounding. */
    public static final Variation CALM = new Variation(1, 1, 0, 0, 0, 1, 1, 0);

    /** Everything as set up, with its noise and rounding. */
    public static final Variation NOISE_ONLY = new Variation(1, 1, 0, 0, 1, 1, 1, 0);

    public Variation mirrored() {
        return new Variation(
                batteryShare, lagShare, -mismatchShare, slipShare, noiseShare, lightShare, heightShare, jitterShare);
    }

    public Variation {
        Check.positive("batteryShare", batteryShare);
        Check.notNegative("lagShare", lagShare);
        Check.between("mismatchShare", mismatchShare, -1, 1);
        Check.require(slipShare > -1 && slipShare < 1, "slipShare", slipShare, "above -1 and below 1");
        Check.notNegative("noiseShare", noiseShare);
        Check.positive("lightShare", lightShare);
        Check.between("heightShare", heightShare, SpotView.LEAST_HEIGHT, SpotView.MOST_HEIGHT);
        Check.between("jitterShare", jitterShare, 0, 0.25);
    }
}
