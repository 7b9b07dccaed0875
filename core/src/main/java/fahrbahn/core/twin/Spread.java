package fahrbahn.core.twin;

import fahrbahn.core.check.Check;
import fahrbahn.core.sensing.Variation;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;

/**
 * How much runs differ from each other: standard deviations of normal distributions cut off at 2.5. Shares are of the setup's
 * values.
 *
 * @param offsetMm place at the start
 * @param headingRad direction at the start
 * @param gripShare slip, and half as much again as difference between the wheels
 * @param jitterShare of the loop time within a run; the same in all runs
 */
public record Spread(
        double offsetMm,
        double headingRad,
        double batteryShare,
        double lagShare,
        double gripShare,
        double lightShare,
        double heightShare,
        double jitterShare) {
    /** Runs differ by their noise only. */
    public static final Spread NONE = new Spread(0, 0, 0, 0, 0, 0, 0, 0);

    /** What a table evening brings, by our own reckoning; measured spreads replace it. */
    public static final Spread TYPICAL = new Spread(3, 0.03, 0.03, 0.08, 0.01, 0.03, 0.04, 0.03);

    private static final double CUT_SIGMAS = 2.5;

    public Spread {
        Check.notNegative("offsetMm", offsetMm);
        Check.between("headingRad", headingRad, 0, 0.5);
        Check.between("batteryShare", batteryShare, 0, 0.3);
        Check.between("lagShare", lagShare, 0, 0.35);
        Check.between("gripShare", gripShare, 0, 0.3);
        Check.between("lightShare", lightShare, 0, 0.3);
        Check.between("heightShare", heightShare, 0, 0.1);
        Check.between("jitterShare", jitterShare, 0, 0.25);
    }

    /**
     * The start of one run of many. A run depends on the seed and its number alone, whatever other runs there are.
     *
     * @param offsetMm place about which the starts are spread
     */
    public Start draw(double offsetMm, long seed, int number) {
        // One generator a run, all its draws in a fixed order; the mixing is SplittableRandom's own.
        SplittableRandom random = new SplittableRandom(seed * 0x9E3779B97F4A7C15L + number);
        double place = offsetMm + this.offsetMm * cut(random);
        double heading = headingRad * cut(random);
        double battery = 1 + batteryShare * cut(random);
        double lag = 1 + lagShare * cut(random);
        double slip = gripShare * cut(random);
        double mismatch = gripShare / 2 * cut(random);
        double light = 1 + lightShare * cut(random);
        double height = 1 + heightShare * cut(random);
        Variation variation = new Variation(battery, lag, mismatch, slip, 1, light, height, jitterShare);
        return new Start(place, heading, variation, random.nextLong());
    }

    private static double cut(RandomGenerator random) {
        double drawn = random.nextGaussian();
        return Math.max(-CUT_SIGMAS, Math.min(CUT_SIGMAS, drawn));
    }
}
