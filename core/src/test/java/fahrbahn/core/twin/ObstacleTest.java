package fahrbahn.core.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.detour.DetourChoice;
import fahrbahn.core.detour.DetourTrial;
import fahrbahn.core.detour.PlannedMove;
import fahrbahn.core.detour.Task;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.law.Controller.Doing;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.review.Loss;
import fahrbahn.core.review.Why;
import fahrbahn.core.setup.ObstacleMove;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.trace.Trace;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What stands on the line stops a robot whose program has no way round it, and is gone round by one that has. */
class ObstacleTest {
    private static final double BEFORE_MM = 700;
    private static final double RADIUS_MM = 40;

    private static Course course() {
        return new Course(
                "a can on a straight",
                2800,
                1200,
                new Pose(200, 600, 0),
                List.of(new Part.Straight(BEFORE_MM), new Part.Obstacle(300, RADIUS_MM), new Part.Straight(1200)),
                false,
                Palette.USUAL);
    }

    private static Setup slow() {
        Setup pair = Setups.pair();
        return pair.withLaw(pair.law().withBaseCommand(25));
    }

    private static Setup with(Setup setup, Optional<ObstacleMove> move) {
        return setup.withLaw(setup.law().withOptions(setup.law().options().withObstacle(move)));
    }

    /** The way round that is best by its own odds, as the program's moves. */
    private static Setup goingRound(boolean byTouch) {
        Setup setup = slow();
        Task task = Task.usual(setup);
        DetourChoice choice = DetourChoice.of(
                setup,
                task,
                byTouch ? task.touch() : task.distance(),
                Spread.TYPICAL,
                60,
                4,
                Workers.all(),
                Job.UNWATCHED);
        DetourTrial best = choice.best().orElseThrow();
        return with(setup, Optional.of(PlannedMove.of(setup, task, choice.approach(), best)));
    }

    @Test
    void withoutAWayRoundItRunsIntoIt() {
        Track track = Track.of(course(), slow());
        Trace trace = new Trace();
        RunResult result = Twin.run(track, Start.calm(0), trace);
        assertThat(result.end()).isEqualTo(RunResult.End.HIT_OBSTACLE);
        assertThat(result.completed()).isFalse();
        // Its front is 15 mm ahead of its sensors, the can's near side 40 mm before its middle.
        double front = trace.xMm(trace.size() - 1) - 200 + slow().robot().usualFrontMm();
        assertThat(front).as("to a tick's way").isCloseTo(BEFORE_MM + 150 - RADIUS_MM, within(3.0));
        Loss loss = Loss.of(track, Start.calm(0), result, trace).orElseThrow();
        assertThat(loss.why()).isEqualTo(new Why.HitObstacle(false));
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void withAWayRoundItIsOnTheLineAgain(boolean byTouch) {
        Setup setup = goingRound(byTouch);
        Track track = Track.of(course(), setup);
        Trace trace = new Trace();
        RunResult result = Twin.run(track, Start.calm(0), trace);
        assertThat(result.end()).isEqualTo(RunResult.End.FINISHED);
        double furthest = 0;
        int rounding = 0;
        for (int i = 0; i < trace.size(); i++) {
            furthest = Math.max(furthest, trace.yMm(i) - 600);
            rounding += trace.doing(i) == Doing.AROUND_OBSTACLE ? 1 : 0;
        }
        double half = setup.robot().usualWidthMm() / 2;
        assertThat(furthest).as("clear of the can, on its left").isGreaterThan(RADIUS_MM + half);
        assertThat(rounding).isGreaterThan(50);
        assertThat(result.rmsMm()).as("the way round is no deviation").isLessThan(15);
    }

    /** Most of many that differ come round, about as many as the odds of the detour alone say. */
    @Test
    void manyComeRound() {
        Setup setup = goingRound(false);
        Track track = Track.of(course(), setup);
        Ensemble many = Ensemble.drive(track, Spread.TYPICAL, 0, 100, 5, Workers.all(), Job.UNWATCHED);
        long round = many.results().stream().filter(RunResult::completed).count();
        assertThat(round).isGreaterThan(60);
        assertThat(many.results().stream()
                        .filter(r -> r.end() == RunResult.End.HIT_OBSTACLE)
                        .count())
                .isLessThan(30);
    }

    @Test
    void aSensorCannotBeCalledLikeTheFeeler() {
        Setup setup = goingRound(true);
        assertThat(setup.law()
                        .options()
                        .obstacle()
                        .orElseThrow()
                        .feeler()
                        .found()
                        .input())
                .isEqualTo("bumper");
        assertThatThrownBy(() -> setup.withRobot(setup.robot()
                        .withSensors(List.of(Setups.sensor("bumper", 55, 12), Setups.sensor("right", 55, -12)))))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("bumper");
    }
}
