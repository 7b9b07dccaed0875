package fahrbahn.core.plan;

import fahrbahn.core.setup.Law;

/**
 * The numbers of a setting that a run is asked to be made with; NaN leaves one free, as a step of a ladder does whose gain is found on the way.
 *
 * @param kp per loop
 * @param ki per loop
 * @param kd per loop
 * @param baseCommand in the robot's own numbers
 */
public record Asked(double kp, double ki, double kd, double baseCommand) {
    /** Whatever it is set to. */
    public static final Asked ANYTHING = new Asked(Double.NaN, Double.NaN, Double.NaN, Double.NaN);

    /** Of two numbers that stand for the same, one read back from text: they differ in the last digits at most. */
    private static final double SAME = 1e-9;

    public static Asked of(Law law) {
        return new Asked(law.kp(), law.ki(), law.kd(), law.baseCommand());
    }

    /** These gains without Ki, at any speed. */
    public static Asked gains(double kp, double kd) {
        return new Asked(kp, 0, kd, Double.NaN);
    }

    /** Whether it names a number. */
    public boolean names() {
        return !equals(ANYTHING);
    }

    /** Whether a law has every number that is named. */
    public boolean is(Law law) {
        return is(kp, law.kp()) && is(ki, law.ki()) && is(kd, law.kd()) && is(baseCommand, law.baseCommand());
    }

    private static boolean is(double asked, double set) {
        return Double.isNaN(asked) || Math.abs(asked - set) <= SAME * Math.max(Math.abs(asked), Math.abs(set));
    }
}
