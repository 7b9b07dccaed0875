package fahrbahn.core.setup;

import fahrbahn.core.check.Bounds;
import fahrbahn.core.check.Check;

/**
 * Two driven wheels or tracks. Wheel speed follows its command with a first-order lag: {@code lag * dv/dt = K*u/F - v}.
 *
 * @param trackWidthMm distance between the wheel contacts; above 0
 * @param freeSpeedMmPerS speed K at full command; above 0
 * @param lagS time constant of the wheels; 0 or more
 * @param mixing how a steering command reaches the wheels
 * @param fullCommand command F that means full power; above 0
 * @param traits what keeps it from being ideal
 */
public record Drive(
        double trackWidthMm, double freeSpeedMmPerS, double lagS, Mixing mixing, double fullCommand, Traits traits) {
    public Drive {
        Check.positive("trackWidthMm", trackWidthMm, Bounds.ROBOT_MM);
        Check.positive("freeSpeedMmPerS", freeSpeedMmPerS, Bounds.SPEED_MM_PER_S);
        Check.notNegative("lagS", lagS, Bounds.LAG_S);
        Check.positive("fullCommand", fullCommand, Bounds.NUMBER);
        Check.require(
                traits.curve().startsAboveCommand() < fullCommand,
                traits.curve().sticks() ? "breakawayCommand" : "deadZoneCommand",
                traits.curve().startsAboveCommand(),
                "below the max motor value, " + fullCommand);
    }

    /** An ideal drive. */
    public Drive(double trackWidthMm, double freeSpeedMmPerS, double lagS, Mixing mixing, double fullCommand) {
        this(trackWidthMm, freeSpeedMmPerS, lagS, mixing, fullCommand, Traits.IDEAL);
    }

    /** Settled speed over the ground of a robot that rolls, at a command, mm/s; nothing below what holds it. */
    public double speedMmPerS(double command) {
        SpeedCurve curve = traits.curve();
        return Math.abs(command) < curve.holdsDownToCommand()
                ? 0
                : curve.driving(command, fullCommand) * speedPerCommand();
    }

    /** The same of a robot that stands: nothing up to the breakaway command. */
    public double speedFromRestMmPerS(double command) {
        return Math.abs(command) > traits.curve().startsAboveCommand() ? speedMmPerS(command) : 0;
    }

    /** Slope of the speed at a command, mm/s per unit of command: what a little more of it gains there. */
    public double slopePerCommand(double command) {
        return traits.curve().steepness(command, fullCommand) * speedPerCommand();
    }

    /** Speed over the ground gained per unit of command, mm/s, in the mean from the dead zone to full command. */
    public double speedPerCommand() {
        return freeSpeedMmPerS
                * traits.batteryShare()
                * (1 - traits.slipShare())
                / (fullCommand - traits.curve().deadZoneCommand());
    }

    /** The track width that turning shows: larger than measured where tracks scrub. */
    public double effectiveTrackWidthMm() {
        return trackWidthMm * traits.scrub();
    }

    /** Lowest command a wheel takes: 0 when it may not reverse. */
    public double leastCommand() {
        return traits.mayReverse() ? -fullCommand : 0;
    }

    public Drive withTraits(Traits newTraits) {
        return new Drive(trackWidthMm, freeSpeedMmPerS, lagS, mixing, fullCommand, newTraits);
    }

    public Drive withCurve(SpeedCurve newCurve) {
        return withTraits(traits.withCurve(newCurve));
    }

    public Drive withLagS(double newLagS) {
        return new Drive(trackWidthMm, freeSpeedMmPerS, newLagS, mixing, fullCommand, traits);
    }

    public Drive withTrackWidthMm(double newTrackWidthMm) {
        return new Drive(newTrackWidthMm, freeSpeedMmPerS, lagS, mixing, fullCommand, traits);
    }

    public Drive withFreeSpeedMmPerS(double newFreeSpeedMmPerS) {
        return new Drive(trackWidthMm, newFreeSpeedMmPerS, lagS, mixing, fullCommand, traits);
    }

    public Drive withMixing(Mixing newMixing) {
        return new Drive(trackWidthMm, freeSpeedMmPerS, lagS, newMixing, fullCommand, traits);
    }

    public Drive withFullCommand(double newFullCommand) {
        return new Drive(trackWidthMm, freeSpeedMmPerS, lagS, mixing, newFullCommand, traits);
    }

    /** Settled turn rate per unit of steering at this base command, rad/s. */
    public double turnRatePerCommand(double baseCommand) {
        return mixing.turnRatePerCommand(this, baseCommand);
    }
}
