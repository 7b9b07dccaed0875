package fahrbahn.core.practice;

import fahrbahn.core.check.Check;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Setup;

/**
 * Rolls straight on at a command: from rest it takes up speed with its lag, passes the ruler's first mark at x = 0 and stops some way behind
 * the last. Wheels that differ by a share m bend its way by y = m x^2 / (2 b).
 */
public final class RollShowing implements Showing {
    /** Until it is at speed: five lags. */
    private static final double RUN_UP_LAGS = 5;

    private static final double BEHIND_MM = 120;

    private final Drive drive;
    private final double distanceMm;
    private final double speedMmPerS;
    private final double runUpMm;
    private final double endS;

    /**
     * @param command of both wheels, above 0
     * @param distanceMm from the first mark to the last, above 0
     */
    public RollShowing(Setup real, double command, double distanceMm) {
        Check.positive("command", command);
        Check.positive("distanceMm", distanceMm);
        drive = real.robot().drive();
        this.distanceMm = distanceMm;
        speedMmPerS = drive.speedFromRestMmPerS(Math.min(command, drive.fullCommand()));
        runUpMm = RUN_UP_LAGS * drive.lagS() * speedMmPerS;
        endS = moves() ? timeS(distanceMm + BEHIND_MM) : 2;
    }

    /** Whether the command starts it. */
    public boolean moves() {
        return speedMmPerS > 0;
    }

    public double distanceMm() {
        return distanceMm;
    }

    /** How far before the first mark it starts, mm. */
    public double runUpMm() {
        return runUpMm;
    }

    /** When its turning point passes a place along the ruler at or behind the first mark; the rise from rest is over by then. */
    public double timeS(double xMm) {
        return (runUpMm + xMm) / speedMmPerS + drive.lagS();
    }

    @Override
    public Pose at(double tS) {
        double x = speedMmPerS * Rise.atSpeedS(Math.min(tS, endS), drive.lagS()) - runUpMm;
        double bend = drive.traits().mismatchShare() / drive.effectiveTrackWidthMm();
        double onRuler = Math.max(0, x);
        return new Pose(x, bend * onRuler * onRuler / 2, bend * onRuler);
    }

    @Override
    public double endS() {
        return endS;
    }

    /** At the end: how far it strayed where the ruler ends, to a whole mm. */
    @Override
    public String reading(double tS) {
        if (!moves()) {
            return "It hums and stands: the command is too small to start it.";
        }
        long aside = Math.round(asideMm());
        return tS < endS
                ? ""
                : "At the last mark it is " + Math.abs(aside) + " mm to the " + (aside < 0 ? "right." : "left.");
    }

    double asideMm() {
        return drive.traits().mismatchShare() * distanceMm * distanceMm / (2 * drive.effectiveTrackWidthMm());
    }
}
