package fahrbahn.core.review;

import fahrbahn.core.law.Controller;

/** Why a robot lost its line. */
public sealed interface Why {
    /** The line turned tighter than the robot can. @param moreShare of turn that it lacked, above 0 */
    record NotEnoughTurn(double moreShare) implements Why {}

    /** The program asked for less steering than the bend takes, command units without sign. */
    record TooSoft(double asked, double needed) implements Why {}

    /** It asked for enough, too late: the way into the bend carried it out. @param lagS from reading to full effect */
    record TooLate(double lagS) implements Why {}

    /** It swung to and fro, further and further or too far. Half of peak to peak, mm. */
    record Wiggled(double periodS, double firstMm, double lastMm) implements Why {}

    /** No circle follows a corner: what drove there did not bring it round. @param drove the law, or the rule that was to turn it */
    record Corner(Controller.Doing drove) implements Why {}

    /** Nothing to see over a gap, and the line not met behind it. @param asideMm of the path when the gap began @param aslantRad then */
    record Unguided(double asideMm, double aslantRad) implements Why {}

    /** A rule of its program steered away from the line. */
    record TurnedAway(Controller.Doing rule) implements Why {}

    /** It began too far off or too much aslant to find the line. */
    record BadStart(double asideMm, double aslantRad) implements Why {}

    /** Something on a straight line, such as a bump or what the sensors took for the line. */
    record Drifted() implements Why {}

    /** It turned round and rode back. @param drove what turned it */
    record TurnedRound(Controller.Doing drove) implements Why {}

    /** It took four times as long as it should. */
    record TooSlow() implements Why {}

    /** Something stands on the line, and it ran into it or against it. @param goesRound whether its program has a way round */
    record HitObstacle(boolean goesRound) implements Why {}

    /** All its sensors saw the line, and its program stops then. */
    record Stopped() implements Why {}
}
