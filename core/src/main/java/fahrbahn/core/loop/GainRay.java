package fahrbahn.core.loop;

import fahrbahn.core.check.Check;

/**
 * A straight way through the plane of gains, along which Kp is raised from zero: {@code kd = fixedKd + kdPerKp * kp}.
 * Gains per loop.
 */
public record GainRay(double fixedKd, double kdPerKp) {
    /** Proportional gain alone. */
    public static final GainRay PROPORTIONAL = new GainRay(0, 0);

    public GainRay {
        Check.notNegative("fixedKd", fixedKd);
        Check.notNegative("kdPerKp", kdPerKp);
    }

    /** Kd grows with Kp. */
    public static GainRay ratio(double kdPerKp) {
        return new GainRay(0, kdPerKp);
    }

    public double kdAt(double kp) {
        return fixedKd + kdPerKp * kp;
    }
}
