package fahrbahn.core.trace;

import fahrbahn.core.law.Controller;

/** A robot at one tick of a run, after its program has decided. */
public interface Moment {
    /** Since the start. */
    double tS();

    /** Turning point of the robot, table frame. */
    double xMm();

    double yMm();

    double headingRad();

    /** Distance of the law's point to the left of the path it should ride. */
    double offsetMm();

    /** How far the law's point is along the path; a bend is looked at now and then only, so up to a few ticks old. */
    double sMm();

    /** What the program made of the readings. */
    Controller controller();

    /** Command on its way to the left wheel, inside its limits. */
    double leftCommand();

    double rightCommand();

    /** Speed of the left wheel over the table. */
    double leftMmPerS();

    double rightMmPerS();

    /** The law's sensors, its emergency sensors after them, then the channels of those that look for marks. */
    int sensors();

    /** What a sensor reads, in its own numbers. */
    double reading(int sensor);
}
