package fahrbahn.core.detour;

import fahrbahn.core.check.Check;
import fahrbahn.core.setup.Setup;
import java.util.Optional;

/**
 * An obstacle, a robot and how it could find the one and go round.
 *
 * @param obstacleRadiusMm seen from above; above 0
 * @param clearanceMm that is to stay between it and the robot; above 0
 * @param frontMm from the turning point to the robot's front; above 0
 * @param widthMm of the robot, outside; above 0
 * @param turnRad to the side before the arc; empty for the one with the best chance
 */
public record Task(
        double obstacleRadiusMm,
        double clearanceMm,
        double frontMm,
        double widthMm,
        Approach.Touch touch,
        Approach.Distance distance,
        Optional<Double> turnRad) {
    public Task {
        Check.positive("obstacleRadiusMm", obstacleRadiusMm);
        Check.positive("clearanceMm", clearanceMm);
        Check.positive("frontMm", frontMm);
        Check.positive("widthMm", widthMm);
    }

    /** For a robot of which nobody said more: a can of a hand's breadth, found by a bumper or by a distance sensor of the common kind. */
    public static Task usual(Setup setup) {
        return new Task(
                40,
                20,
                setup.robot().usualFrontMm(),
                setup.robot().usualWidthMm(),
                new Approach.Touch(60, 0.01),
                new Approach.Distance(90, 4, 0.05),
                Optional.empty());
    }

    public Task withObstacleRadiusMm(double newRadiusMm) {
        return new Task(newRadiusMm, clearanceMm, frontMm, widthMm, touch, distance, turnRad);
    }

    public Task withClearanceMm(double newClearanceMm) {
        return new Task(obstacleRadiusMm, newClearanceMm, frontMm, widthMm, touch, distance, turnRad);
    }

    public Task withFrontMm(double newFrontMm) {
        return new Task(obstacleRadiusMm, clearanceMm, newFrontMm, widthMm, touch, distance, turnRad);
    }

    public Task withWidthMm(double newWidthMm) {
        return new Task(obstacleRadiusMm, clearanceMm, frontMm, newWidthMm, touch, distance, turnRad);
    }

    public Task withTouch(Approach.Touch newTouch) {
        return new Task(obstacleRadiusMm, clearanceMm, frontMm, widthMm, newTouch, distance, turnRad);
    }

    public Task withDistance(Approach.Distance newDistance) {
        return new Task(obstacleRadiusMm, clearanceMm, frontMm, widthMm, touch, newDistance, turnRad);
    }

    public Task withTurnRad(Optional<Double> newTurnRad) {
        return new Task(obstacleRadiusMm, clearanceMm, frontMm, widthMm, touch, distance, newTurnRad);
    }

    /** The way round for one approach, as planned: from where it usually stands. */
    public Detour detour(Setup setup, Approach approach, double turn) {
        return new Detour(obstacleRadiusMm, clearanceMm, approach.usualStandOffMm(setup), turn);
    }

    /** The least stand-off at which the robot's front corners pass the obstacle as it turns on the spot, with the clearance asked for. */
    public double turnsFromMm() {
        return Math.hypot(frontMm, widthMm / 2) + clearanceMm - frontMm;
    }
}
