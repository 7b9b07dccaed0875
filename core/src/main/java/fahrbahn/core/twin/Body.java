package fahrbahn.core.twin;

import fahrbahn.core.path.Pose;
import fahrbahn.core.sensing.Variation;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.SpeedCurve;
import fahrbahn.core.setup.Traits;

/** The moving robot: place, heading and wheel speeds. Integrated in closed form; allocates nothing. */
final class Body {
    /** Share of the speed a slope takes: all of it on a slope straight up, by our own reckoning; its sine on others. */
    private static final double SLOPE_SHARE = 1;

    /** Slower than this a wheel is at rest. */
    private static final double REST_MM_PER_S = 1;

    /** Turns up to this, rad, are made by series: they err by less than a^7/5040 = 2e-11. */
    private static final double SMALL_TURN = 0.1;

    private final double perWidth;
    private final SpeedCurve curve;
    private final boolean plain;
    private final boolean sticks;
    private final double fullCommand;
    private final double halfWidthMm;
    private final double leftPerCommand;
    private final double rightPerCommand;
    private final double lagS;

    double xMm;
    double yMm;
    double headingRad;
    double cos;
    double sin;
    private double speedMmPerS;
    private double turnRadPerS;
    private double gradeShare = 1;

    Body(Drive drive, Variation variation) {
        Traits traits = drive.traits();
        perWidth = 1 / drive.effectiveTrackWidthMm();
        curve = traits.curve();
        plain = curve.isStraight();
        sticks = curve.sticks();
        fullCommand = drive.fullCommand();
        halfWidthMm = drive.effectiveTrackWidthMm() / 2;
        lagS = drive.lagS() * variation.lagShare();
        double both = drive.speedPerCommand() * variation.batteryShare() * (1 - variation.slipShare());
        double mismatch = traits.mismatchShare() + variation.mismatchShare();
        leftPerCommand = both * (1 - mismatch / 2);
        rightPerCommand = both * (1 + mismatch / 2);
    }

    /** Of the right wheel at 1, of the left one at -1. */
    double wheelMmPerS(int side) {
        return speedMmPerS + side * turnRadPerS * halfWidthMm;
    }

    double lagS() {
        return lagS;
    }

    void startAt(Pose pose, double commandBoth) {
        xMm = pose.xMm();
        yMm = pose.yMm();
        headingRad = pose.headingRad();
        aim();
        double driving = plain ? commandBoth : curve.driving(commandBoth, fullCommand);
        double left = leftPerCommand * driving;
        double right = rightPerCommand * driving;
        speedMmPerS = (left + right) / 2;
        turnRadPerS = (right - left) * perWidth;
    }

    /** @param slope rise per mm under the wheels */
    void climb(double slope) {
        gradeShare = 1 - SLOPE_SHARE * slope;
    }

    /** What of a command drives a wheel that turns at this speed. */
    private double driving(double command, double wheelMmPerS) {
        return sticks && !turns(command, wheelMmPerS) ? 0 : curve.driving(command, fullCommand);
    }

    /** A wheel that rolls the way of its command goes on while the command holds it; any other has to break away. */
    private boolean turns(double command, double wheelMmPerS) {
        double rolling = command < 0 ? -wheelMmPerS : wheelMmPerS;
        return rolling > REST_MM_PER_S
                ? Math.abs(command) >= curve.holdsDownToCommand()
                : Math.abs(command) > curve.startsAboveCommand();
    }

    /**
     * Drives for a span with constant commands. Both wheels have the same lag, so that their mean speed and the turn rate follow
     * their goals with it too. Way and turn are exact; the step is taken along the mean heading of the span, which at a constant
     * mean speed is exact as well, shortened from arc to chord.
     */
    void drive(Span span, double leftCommand, double rightCommand) {
        double leftDriving = leftCommand;
        double rightDriving = rightCommand;
        if (!plain) {
            double outward = turnRadPerS * halfWidthMm;
            leftDriving = driving(leftCommand, speedMmPerS - outward);
            rightDriving = driving(rightCommand, speedMmPerS + outward);
        }
        double leftGoal = leftPerCommand * gradeShare * leftDriving;
        double rightGoal = rightPerCommand * gradeShare * rightDriving;
        double speedGoal = (leftGoal + rightGoal) * 0.5;
        double turnGoal = (rightGoal - leftGoal) * perWidth;
        double speedMissing = speedMmPerS - speedGoal;
        double turnMissing = turnRadPerS - turnGoal;
        speedMmPerS = speedGoal + speedMissing * span.missing;
        turnRadPerS = turnGoal + turnMissing * span.missing;

        double wayMm = speedGoal * span.lengthS + speedMissing * span.carriedS;
        double turn = turnGoal * span.lengthS + turnMissing * span.carriedS;
        double meanTurn = turnGoal * span.halfS + turnMissing * span.meanHeadingS;
        // sin(x/2)/(x/2) to fourth order in the turn of one span.
        double chordMm = wayMm * (1 - turn * turn * (1.0 / 24));
        double sinMean = sine(meanTurn);
        double cosMean = cosine(meanTurn);
        xMm += chordMm * (cos * cosMean - sin * sinMean);
        yMm += chordMm * (sin * cosMean + cos * sinMean);
        headingRad += turn;
        double sinTurn = sine(turn);
        double cosTurn = cosine(turn);
        double newCos = cos * cosTurn - sin * sinTurn;
        sin = sin * cosTurn + cos * sinTurn;
        cos = newCos;
    }

    /** Takes direction cosines from the heading again, so that thousands of small turns do not add up their rounding. */
    void aim() {
        cos = Math.cos(headingRad);
        sin = Math.sin(headingRad);
    }

    // The divisors are constants, inverted once: a division costs four multiplications.
    private static double sine(double a) {
        if (!(Math.abs(a) <= SMALL_TURN)) {
            return Math.sin(a);
        }
        double b = a * a;
        return a * (1 - b * (1.0 / 6) * (1 - b * (1.0 / 20)));
    }

    private static double cosine(double a) {
        if (!(Math.abs(a) <= SMALL_TURN)) {
            return Math.cos(a);
        }
        double b = a * a;
        return 1 - b * 0.5 * (1 - b * (1.0 / 12) * (1 - b * (1.0 / 30)));
    }
}
