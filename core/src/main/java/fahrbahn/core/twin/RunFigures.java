package fahrbahn.core.twin;

import java.util.OptionalDouble;

/** Gathers the figures of a run tick by tick; allocates nothing while it does. */
final class RunFigures {
    /** A swing has to pass this far to both sides to count: smaller ones are no wiggle a coach would see. */
    private static final double LEAST_SWING_MM = 0.1;

    private static final int LEAST_PERIODS = 3;

    /** Steering this small a share of the full command is neither left nor right. */
    private static final double STEERING_DEADBAND = 0.01;

    private final double fullCommand;
    private final double steeringDeadband;
    private double previousSteering;
    private double travel;
    private int ticks;
    private double squares;
    private double peakMm;
    private boolean swungRight;
    private boolean crossed;
    private double crossingS;
    private double firstPeriodS;
    private double lastPeriodS;
    private int swings;
    private int steeringSide;
    private int reversals;
    private double previousOffsetMm;
    private double previousS;

    RunFigures(double fullCommand) {
        this.fullCommand = fullCommand;
        steeringDeadband = STEERING_DEADBAND * fullCommand;
    }

    void add(double tS, double offsetMm, double steering) {
        ticks++;
        squares += offsetMm * offsetMm;
        peakMm = Math.abs(offsetMm) > peakMm ? Math.abs(offsetMm) : peakMm;
        addSwing(tS, offsetMm);
        travel += ticks == 1 ? 0 : Math.abs(steering - previousSteering);
        previousSteering = steering;
        int side = steering > steeringDeadband ? 1 : steering < -steeringDeadband ? -1 : 0;
        if (side != 0) {
            reversals += side == -steeringSide ? 1 : 0;
            steeringSide = side;
        }
    }

    /** Periods are taken between upward passages of zero that lie between a swing to the right and one to the left. */
    private void addSwing(double tS, double offsetMm) {
        if (offsetMm < -LEAST_SWING_MM) {
            swungRight = true;
            crossed = false;
        }
        if (swungRight && !crossed && ticks > 1 && previousOffsetMm < 0 && offsetMm >= 0) {
            crossingS = tS - (tS - previousS) * offsetMm / (offsetMm - previousOffsetMm);
            crossed = true;
        } else if (offsetMm < 0) {
            crossed = false; // fell back before reaching the other side
        }
        if (crossed && offsetMm > LEAST_SWING_MM) {
            firstPeriodS = swings == 0 ? crossingS : firstPeriodS;
            lastPeriodS = crossingS;
            swings++;
            swungRight = false;
            crossed = false;
        }
        previousOffsetMm = offsetMm;
        previousS = tS;
    }

    double rmsMm() {
        return ticks == 0 ? 0 : Math.sqrt(squares / ticks);
    }

    double peakMm() {
        return peakMm;
    }

    OptionalDouble wigglePeriodS() {
        return swings > LEAST_PERIODS
                ? OptionalDouble.of((lastPeriodS - firstPeriodS) / (swings - 1))
                : OptionalDouble.empty();
    }

    /** Way of the steering command, in full commands. */
    double travelPerM(double drivenMm) {
        return drivenMm > 0 ? travel / fullCommand / (drivenMm / 1000) : 0;
    }

    double reversalsPerM(double drivenMm) {
        return drivenMm > 0 ? reversals / (drivenMm / 1000) : 0;
    }
}
