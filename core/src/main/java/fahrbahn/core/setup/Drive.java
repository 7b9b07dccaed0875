package fahrbahn.core.setup;

import fahrbahn.core.check.Check;

/**
 * Two driven wheels or tracks. Wheel speed follows its command with a first-order lag: {@code lag * dv/dt = K*u/F - v}.
 *
 * @param trackWidthMm distance between the wheel contacts; above 0
 * @param freeSpeedMmPerS speed K at full command; above 0
 * @param lagS time constant of the wheels; 0 or more
 * @param mixing how a steering command reaches the wheels
 * @param fullCommand command F that means full power; above 0
 */
public record Drive(double trackWidthMm, double freeSpeedMmPerS, double lagS, Mixing mixing, double fullCommand) {
    public Drive {
        Check.positive("trackWidthMm", trackWidthMm);
        Check.positive("freeSpeedMmPerS", freeSpeedMmPerS);
        Check.notNegative("lagS", lagS);
        Check.positive("fullCommand", fullCommand);
    }

    /** Settled speed at a command, mm/s. */
    public double speedMmPerS(double command) {
        return freeSpeedMmPerS * command / fullCommand;
    }

    /** Settled turn rate per unit of steering at this base command, rad/s. */
    public double turnRatePerCommand(double baseCommand) {
        return mixing.turnRatePerCommand(this, baseCommand);
    }

    /** A wheel command held inside what the motors take. */
    public double clamp(double command) {
        return Math.max(-fullCommand, Math.min(fullCommand, command));
    }
}
