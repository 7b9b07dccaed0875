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
    private int ticks;
    private double squares;
    private double peakMm;
    private double previousSteering;
    private double travel;
    private int steeringSide;
    private int reversals;
    private int pathSide;
    private int pathCrossings;

    private double previousOffsetMm;
    private int previousZone;
    private boolean swungRight;
    private boolean crossed;
    private double crossingTick;
    private double firstPeriodTick;
    private double lastPeriodTick;
    private int swings;

    RunFigures(double fullCommand) {
        this.fullCommand = fullCommand;
        steeringDeadband = STEERING_DEADBAND * fullCommand;
    }

    /** The figures of the next tick. */
    void add(double offsetMm, double steering) {
        squares += offsetMm * offsetMm;
        peakMm = Math.abs(offsetMm) > peakMm ? Math.abs(offsetMm) : peakMm;
        int zone = zone(offsetMm);
        if (ticks == 0) {
            previousSteering = steering;
            previousZone = zone;
            addCrossing(zone);
        }
        travel += Math.abs(steering - previousSteering);
        previousSteering = steering;
        if (zone != previousZone) {
            addSwing(offsetMm, zone);
            addCrossing(zone);
        }
        previousZone = zone;
        previousOffsetMm = offsetMm;
        int side = (steering > steeringDeadband ? 1 : 0) - (steering < -steeringDeadband ? 1 : 0);
        if (side == -steeringSide && side != 0) {
            reversals++;
        }
        steeringSide = side == 0 ? steeringSide : side;
        ticks++;
    }

    /** 0 far enough right for a swing, 1 right, 2 left, 3 far enough left. */
    private static int zone(double offsetMm) {
        return (offsetMm >= -LEAST_SWING_MM ? 1 : 0) + (offsetMm >= 0 ? 1 : 0) + (offsetMm > LEAST_SWING_MM ? 1 : 0);
    }

    /** Periods are taken between upward passages of zero that lie between a swing to the right and one to the left. */
    private void addSwing(double offsetMm, int zone) {
        if (zone == 0) {
            swungRight = true;
        }
        if (zone < 2) {
            crossed = false; // not yet, or fell back before reaching the other side
        } else if (swungRight && previousZone < 2) {
            crossingTick = ticks - offsetMm / (offsetMm - previousOffsetMm);
            crossed = true;
        }
        if (crossed && zone == 3) {
            firstPeriodTick = swings == 0 ? crossingTick : firstPeriodTick;
            lastPeriodTick = crossingTick;
            swings++;
            swungRight = false;
            crossed = false;
        }
    }

    private void addCrossing(int zone) {
        int side = (zone == 3 ? 1 : 0) - (zone == 0 ? 1 : 0);
        if (side == -pathSide && side != 0) {
            pathCrossings++;
        }
        pathSide = side == 0 ? pathSide : side;
    }

    /** @param bandMm usable @param tickS mean length of a tick @param drivenMm over which they were gathered */
    RunResult.Ride ride(double bandMm, double tickS, double drivenMm) {
        return new RunResult.Ride(
                rmsMm(),
                peakMm,
                1 - peakMm / bandMm,
                wigglePeriodS(tickS),
                reversalsPerM(drivenMm),
                pathCrossingsPerM(drivenMm),
                travelPerM(drivenMm));
    }

    double rmsMm() {
        return ticks == 0 ? 0 : Math.sqrt(squares / ticks);
    }

    /** @param tickS mean length of a tick */
    OptionalDouble wigglePeriodS(double tickS) {
        return swings > LEAST_PERIODS
                ? OptionalDouble.of((lastPeriodTick - firstPeriodTick) / (swings - 1) * tickS)
                : OptionalDouble.empty();
    }

    /** How often it went over its path far enough to be seen. */
    double pathCrossingsPerM(double drivenMm) {
        return drivenMm > 0 ? pathCrossings / (drivenMm / 1000) : 0;
    }

    /** Way of the steering command, in full commands. */
    double travelPerM(double drivenMm) {
        return drivenMm > 0 ? travel / fullCommand / (drivenMm / 1000) : 0;
    }

    double reversalsPerM(double drivenMm) {
        return drivenMm > 0 ? reversals / (drivenMm / 1000) : 0;
    }
}
