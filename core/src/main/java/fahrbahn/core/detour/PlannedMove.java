package fahrbahn.core.detour;

import fahrbahn.core.check.Rounding;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.Extent.Unit;
import fahrbahn.core.setup.ObstacleMove;
import fahrbahn.core.setup.ObstacleMove.Feeler;
import fahrbahn.core.setup.ObstacleMove.Found;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;

/** A detour as it was planned, as the moves of a robot's program: numbers that can be typed. */
public final class PlannedMove {
    private static final double BUMPER_CLOSED = 0.5;
    private static final int COMMAND_DIGITS = 3;

    /** The arc is given up at so many times the length that it should take. */
    private static final double MOST = 1.5;

    private PlannedMove() {}

    /**
     * @param trial that was driven, with an arc
     * @throws fahrbahn.core.check.BadValueException where no arc keeps clear
     */
    public static ObstacleMove of(Setup setup, Task task, Approach approach, DetourTrial trial) {
        double[] arc = Detour.commands(setup, trial.radiusMm());
        double base = Rounding.significant(setup.law().baseCommand(), COMMAND_DIGITS);
        double onArcMm = trial.radiusMm() * (trial.turnRad() + trial.backRad());
        // The way of the turning point at the mean of both commands; a program counts at its base command.
        double mean = (arc[0] + arc[1]) / 2 / setup.law().baseCommand();
        return new ObstacleMove(
                feeler(task, approach),
                approach instanceof Approach.Distance distance ? distance.atMm() : BUMPER_CLOSED,
                Side.LEFT,
                new Extent(approach instanceof Approach.Touch touch ? Math.rint(touch.backMm()) : 0, Unit.MM),
                spin(setup, trial.turnRad()),
                base,
                new ObstacleMove.Arc(
                        base,
                        Rounding.significant(arc[1], COMMAND_DIGITS),
                        new Extent(Math.rint(MOST * onArcMm / Math.max(0.1, mean)), Unit.MM)),
                new Extent(Math.rint(trial.onMm()), Unit.MM),
                spin(setup, trial.backRad()));
    }

    private static Feeler feeler(Task task, Approach approach) {
        return approach instanceof Approach.Distance distance
                ? new Feeler(Found.DISTANCE, task.frontMm(), task.widthMm(), distance.noiseMm(), distance.missShare())
                : new Feeler(Found.TOUCH, task.frontMm(), task.widthMm(), 0, ((Approach.Touch) approach).missShare());
    }

    /** On the spot with both wheels at the base command. */
    private static Extent spin(Setup setup, double angleRad) {
        double rate = 2 * setup.speedMmPerS() / setup.robot().drive().effectiveTrackWidthMm();
        return new Extent(Math.rint(1000 * angleRad / rate), Unit.MS);
    }
}
