package fahrbahn.core.twin;

import fahrbahn.core.setup.Drive;
import fahrbahn.core.table.Pose;

/** The moving robot: place, heading and wheel speeds. Integrated in closed form; allocates nothing. */
final class Body {
    private final double trackWidthMm;
    private final double lagS;
    private final double speedPerCommand;

    double xMm;
    double yMm;
    double headingRad;
    private double leftMmPerS;
    private double rightMmPerS;

    Body(Drive drive) {
        trackWidthMm = drive.trackWidthMm();
        lagS = drive.lagS();
        speedPerCommand = drive.freeSpeedMmPerS() / drive.fullCommand();
    }

    void startAt(Pose pose, double commandBoth) {
        xMm = pose.xMm();
        yMm = pose.yMm();
        headingRad = pose.headingRad();
        leftMmPerS = speedPerCommand * commandBoth;
        rightMmPerS = leftMmPerS;
    }

    /** Share of a wheel's missing speed that is still missing after a span. */
    double missingAfter(double spanS) {
        return lagS > 0 ? Math.exp(-spanS / lagS) : 0;
    }

    /**
     * Drives for a span with constant commands. Each wheel's way is exact; the step is taken along the mean heading of the
     * span, which for equal mean speeds is exact too, shortened from arc to chord.
     *
     * @param missing {@link #missingAfter} of the same span
     */
    void drive(double spanS, double missing, double leftCommand, double rightCommand) {
        double leftGoal = speedPerCommand * leftCommand;
        double rightGoal = speedPerCommand * rightCommand;
        double carriedS = lagS * (1 - missing);
        double leftMm = leftGoal * spanS + (leftMmPerS - leftGoal) * carriedS;
        double rightMm = rightGoal * spanS + (rightMmPerS - rightGoal) * carriedS;

        double rateNow = (rightMmPerS - leftMmPerS) / trackWidthMm;
        double rateGoal = (rightGoal - leftGoal) / trackWidthMm;
        double meanTurn = rateGoal * spanS / 2 + (rateNow - rateGoal) * lagS * (1 - carriedS / spanS);
        double turn = (rightMm - leftMm) / trackWidthMm;
        // sin(x/2)/(x/2) to fourth order in the turn of one span.
        double chordMm = (leftMm + rightMm) / 2 * (1 - turn * turn / 24);
        xMm += chordMm * Math.cos(headingRad + meanTurn);
        yMm += chordMm * Math.sin(headingRad + meanTurn);
        headingRad += turn;
        leftMmPerS = leftGoal + (leftMmPerS - leftGoal) * missing;
        rightMmPerS = rightGoal + (rightMmPerS - rightGoal) * missing;
    }
}
