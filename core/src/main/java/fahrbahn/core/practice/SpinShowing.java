package fahrbahn.core.practice;

import fahrbahn.core.check.Check;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Setup;

/** Turns on the spot to the left, one wheel forwards and one back at the same command: 2 v / b radians a second once at speed. */
public final class SpinShowing implements Showing {
    private final Drive drive;
    private final double turnRadPerS;
    private final double endS;

    /**
     * @param command of both wheels, one of them backwards; above 0
     * @param turns it makes at least, above 0; then two more, for nobody stops a watch early
     */
    public SpinShowing(Setup real, double command, double turns) {
        Check.positive("command", command);
        Check.positive("turns", turns);
        drive = real.robot().drive();
        turnRadPerS =
                2 * drive.speedFromRestMmPerS(Math.min(command, drive.fullCommand())) / drive.effectiveTrackWidthMm();
        endS = turnRadPerS > 0 ? (turns + 2) * 2 * Math.PI / turnRadPerS : 2;
    }

    @Override
    public Pose at(double tS) {
        return new Pose(0, 0, turnRadPerS * Rise.atSpeedS(Math.min(tS, endS), drive.lagS()));
    }

    @Override
    public double endS() {
        return endS;
    }

    @Override
    public String reading(double tS) {
        return turnRadPerS > 0 ? "" : "It hums and stands: the command is inside its dead band.";
    }
}
