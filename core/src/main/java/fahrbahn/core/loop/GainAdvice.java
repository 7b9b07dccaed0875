package fahrbahn.core.loop;

/**
 * One pair of gains and why it was chosen.
 *
 * @param kp per loop
 * @param kd per loop
 * @param gainMargin times Kp and Kd together may be raised before the robot wiggles
 * @param bendMargin times Kp exceeds the bend floor
 * @param settlingS time constant of the slowest motion: a disturbance falls to 37 % in this time
 * @param shake standard deviation of the steering from sensor noise, as a share of the full command
 */
public record GainAdvice(double kp, double kd, double gainMargin, double bendMargin, double settlingS, double shake) {}
