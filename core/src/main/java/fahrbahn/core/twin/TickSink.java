package fahrbahn.core.twin;

/** Receives every tick of a run, in order, on the thread that runs it. */
@FunctionalInterface
public interface TickSink {
    TickSink NONE = (tS, xMm, yMm, headingRad, offsetMm, error, steering) -> {};

    /**
     * @param tS time of the tick
     * @param xMm turning point of the robot, table frame
     * @param offsetMm distance of the law's point to the left of the path it should ride
     * @param error in scale units
     * @param steering in command units, left positive
     */
    void tick(double tS, double xMm, double yMm, double headingRad, double offsetMm, double error, double steering);
}
