package fahrbahn.core.setup;

import fahrbahn.core.check.Bounds;
import fahrbahn.core.check.Check;

/**
 * What speed a wheel takes up at a command. Beyond the dead zone d the share of the free speed at command u of full command F is
 * {@code s(x) = x * (1 + q * (1 - x))} with {@code x = (u - d)/(F - d)}: a straight line, bent by q so that it is steeper at small commands
 * and flatter at large ones, as a motor sags under its load. A wheel at rest starts only above the breakaway command, and one that
 * rolls stops below the holding command.
 *
 * @param deadZoneCommand where the curve meets zero; 0 or more
 * @param sagShare q: the slope at full command is (1 - q) times the mean slope; -0.9 to 0.9, 0 for a straight line
 * @param breakawayCommand a wheel at rest starts above it; 0 or more, never taken below the dead zone
 * @param holdingCommand a rolling wheel stops below it; 0 or more, taken between dead zone and breakaway
 */
public record SpeedCurve(double deadZoneCommand, double sagShare, double breakawayCommand, double holdingCommand) {
    /** In proportion to the command. */
    public static final SpeedCurve STRAIGHT = new SpeedCurve(0, 0, 0, 0);

    /** A curve bent more would be flat, or fall, at one of its ends. */
    public static final double MOST_SAG = 0.9;

    public SpeedCurve {
        Check.notNegative("deadZoneCommand", deadZoneCommand, Bounds.NUMBER);
        Check.between("sagShare", sagShare, -MOST_SAG, MOST_SAG);
        Check.notNegative("breakawayCommand", breakawayCommand, Bounds.NUMBER);
        Check.notNegative("holdingCommand", holdingCommand, Bounds.NUMBER);
    }

    /** A wheel at rest starts at commands above this. */
    public double startsAboveCommand() {
        return Math.max(deadZoneCommand, breakawayCommand);
    }

    /** A wheel that rolls stops at commands below this. */
    public double holdsDownToCommand() {
        return Math.max(deadZoneCommand, Math.min(holdingCommand, startsAboveCommand()));
    }

    /** Whether speed is in proportion to the command, from rest as well as rolling. */
    public boolean isStraight() {
        return equals(STRAIGHT);
    }

    /** Whether a wheel at rest needs more to start than a rolling one needs to go on. */
    public boolean sticks() {
        return startsAboveCommand() > deadZoneCommand;
    }

    /**
     * What of a command drives a wheel that turns: 0 up to the dead zone, F - d at full command, bent between. Times the mean speed per
     * command it is the speed.
     */
    public double driving(double command, double fullCommand) {
        double beyond = Math.abs(command) - deadZoneCommand;
        if (!(beyond > 0)) {
            return 0;
        }
        double bent = sagShare == 0 ? beyond : beyond * (1 + sagShare * (1 - beyond / (fullCommand - deadZoneCommand)));
        return command < 0 ? -bent : bent;
    }

    /** Slope of {@link #driving} at a command beyond the dead zone: 1 + q there, 1 half way to full command, 1 - q at it. */
    public double steepness(double command, double fullCommand) {
        double x = Math.max(0, Math.abs(command) - deadZoneCommand) / (fullCommand - deadZoneCommand);
        return 1 + sagShare * (1 - 2 * x);
    }

    public SpeedCurve withDeadZoneCommand(double newDeadZoneCommand) {
        return new SpeedCurve(newDeadZoneCommand, sagShare, breakawayCommand, holdingCommand);
    }

    public SpeedCurve withSagShare(double newSagShare) {
        return new SpeedCurve(deadZoneCommand, newSagShare, breakawayCommand, holdingCommand);
    }

    public SpeedCurve withBreakawayCommand(double newBreakawayCommand) {
        return new SpeedCurve(deadZoneCommand, sagShare, newBreakawayCommand, holdingCommand);
    }

    public SpeedCurve withHoldingCommand(double newHoldingCommand) {
        return new SpeedCurve(deadZoneCommand, sagShare, breakawayCommand, newHoldingCommand);
    }
}
