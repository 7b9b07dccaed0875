package fahrbahn.core.detour;

import fahrbahn.core.check.Check;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Setup;

/**
 * A way round an obstacle.
 *
 * @param obstacleRadiusMm of the obstacle seen from above; above 0
 * @param clearanceMm between it and the robot's outline, at least; above 0
 * @param standOffMm from the robot's front to the obstacle when it turns: 0 for touch, what the sensor measures for distance; 0 or more
 * @param turnRad to the left before the arc; above 0, at most a quarter turn
 */
public record Detour(double obstacleRadiusMm, double clearanceMm, double standOffMm, double turnRad) {
    /** Flatter than six degrees the line is followed rather than met. */
    private static final double LEAST_SINE = 0.1;

    public Detour {
        Check.positive("obstacleRadiusMm", obstacleRadiusMm);
        Check.positive("clearanceMm", clearanceMm);
        Check.notNegative("standOffMm", standOffMm);
        Check.require(turnRad > 0 && turnRad <= Math.PI / 2, "turnRad", turnRad, "above 0, at most a quarter turn");
    }

    /** From the obstacle's middle to the turning point when it turns, mm. @param frontMm from the turning point to the robot's front */
    public double startMm(double frontMm) {
        return obstacleRadiusMm + standOffMm + frontMm;
    }

    /**
     * The smallest arc that keeps clear: its circle is left by the obstacle and half the robot's width.
     *
     * <p>With the circle's middle at (-a + R sin alpha, -R cos alpha) the obstacle's middle has to lie inside it by m = obstacle + half width +
     * clearance: (R - m)^2 >= (R sin alpha - a)^2 + (R cos alpha)^2, so R >= (a^2 - m^2)/(2 (a sin alpha - m)); and R >= m.
     *
     * @param frontMm from the turning point to the robot's front
     * @param widthMm of the robot
     * @return infinite where no arc does: it has to turn further, or to back off before
     */
    public double leastRadiusMm(double frontMm, double widthMm) {
        double a = startMm(frontMm);
        double m = obstacleRadiusMm + widthMm / 2 + clearanceMm;
        double sin = Math.sin(turnRad);
        double outer = a * sin - m;
        if (outer > 0) {
            return Math.max(m, (a * a - m * m) / (2 * outer));
        }
        return Double.POSITIVE_INFINITY;
    }

    /** How far the robot stays from the obstacle on an arc, mm; negative when it touches. */
    public double staysClearMm(double frontMm, double widthMm, double radiusMm) {
        double fromMiddle = Math.hypot(radiusMm * Math.sin(turnRad) - startMm(frontMm), radiusMm * Math.cos(turnRad));
        return radiusMm - widthMm / 2 - obstacleRadiusMm - fromMiddle;
    }

    /** Commands of the wheels on an arc to the right, back towards the line: the left one outside at the base command. */
    public static double[] commands(Setup setup, double radiusMm) {
        Drive drive = setup.robot().drive();
        double half = drive.effectiveTrackWidthMm() / 2;
        Check.require(radiusMm > 0, "radiusMm", radiusMm, "above 0");
        double base = setup.law().baseCommand();
        return new double[] {base, base * (radiusMm - half) / (radiusMm + half)};
    }

    /**
     * The robot's heading, rad, where a sensor so far ahead first meets the near side of the line: R cos h + L sin h = R cos alpha + w/2.
     *
     * @return NaN when it comes round without meeting it
     */
    public double meetsAtRad(double radiusMm, double leadMm, double lineWidthMm) {
        double reach = Math.hypot(radiusMm, leadMm);
        return Math.atan2(leadMm, radiusMm) - Math.acos((radiusMm * Math.cos(turnRad) + lineWidthMm / 2) / reach);
    }

    /** Where that sensor is then, mm along the line behind the obstacle's middle. @param headingRad of {@link #meetsAtRad} */
    public double meetsAtMm(double frontMm, double radiusMm, double leadMm, double headingRad) {
        return -startMm(frontMm)
                + radiusMm * (Math.sin(turnRad) - Math.sin(headingRad))
                + leadMm * Math.cos(headingRad);
    }

    /**
     * How far the robot has to drive straight on from where its sensor met the line until its turning point stands on the middle of it:
     * L + w / (2 sin |h|). @param headingRad of {@link #meetsAtRad}
     */
    public static double driveOnMm(double headingRad, double leadMm, double lineWidthMm) {
        return leadMm + lineWidthMm / 2 / Math.max(LEAST_SINE, Math.abs(Math.sin(headingRad)));
    }

    /** Where the turning point is on the line again, mm behind the obstacle's middle. */
    public double backMm(double frontMm, double radiusMm) {
        return -startMm(frontMm) + 2 * radiusMm * Math.sin(turnRad);
    }
}
