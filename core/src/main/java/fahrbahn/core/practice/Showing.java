package fahrbahn.core.practice;

import fahrbahn.core.path.Pose;

/** A robot on the bench as a coach sees it, from the moment it is let go. */
public interface Showing {
    /** Where its turning point is. @param tS since it was let go; after the end it stays where it ended */
    Pose at(double tS);

    /** When there is nothing more to be seen, s. */
    double endS();

    /** What can be read off at that moment, the robot's display or a ruler; empty when nothing can. */
    String reading(double tS);
}
