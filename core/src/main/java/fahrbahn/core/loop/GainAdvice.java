package fahrbahn.core.loop;

/**
 * One pair of gains and why it was chosen.
 *
 * @param kp per loop
 * @param kd per loop
 * @param gainMargin factor by which Kp and Kd together may change, up or down, before the robot wiggles; below 1 when it wiggles as it is
 * @param bendMargin times Kp exceeds the bend floor
 * @param settlingS time constant of the slowest motion: a disturbance falls to 37 % in this time; infinite when it wiggles
 * @param shake standard deviation of the steering from sensor noise, as a share of the full command
 */
public record GainAdvice(double kp, double kd, double gainMargin, double bendMargin, double settlingS, double shake) {
    /** Whether it keeps clear of wiggling, holds the bend and does not shake, each with the margin there should be. */
    public boolean keepsMargins() {
        return gainMargin >= GainAdvisor.LEAST_GAIN_MARGIN
                && bendMargin >= GainAdvisor.LEAST_BEND_MARGIN
                && shake <= GainAdvisor.MOST_SHAKE;
    }
}
