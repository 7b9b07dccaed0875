package fahrbahn.core.tuning.race;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.loop.BendFloor;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.loop.SampledLoop;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Gains and speed for a course and a goal: sure to finish, the same on any number of threads, and better than the schools. */
class CourseAdvisorTest {
    private static final Course SMALL = new Course(
            "small",
            1300,
            900,
            new Pose(150, 150, 0),
            List.of(
                    new Part.Straight(500),
                    new Part.Bend(170, Math.PI),
                    new Part.Straight(300),
                    new Part.StopStrip(30),
                    new Part.End(60)),
            false);

    private static CourseAdvice advise(Setup setup, Goal goal, int threads) {
        return CourseAdvisor.advise(setup, SMALL, goal, 4, Workers.of(threads), Job.UNWATCHED);
    }

    @ParameterizedTest
    @EnumSource(Goal.class)
    void isSureToFinishAndBetterThanEverySchoolAtItsGoal(Goal goal) {
        CourseAdvice advice = advise(Setups.pair(), goal, 2);
        assertThat(advice.chance().low()).isGreaterThan(0.95);
        assertThat(advice.schools()).hasSizeGreaterThanOrEqualTo(4);
        if (goal == Goal.LAP) {
            assertThat(advice.baseCommand()).isGreaterThan(Setups.pair().law().baseCommand());
            advice.schools().stream()
                    .filter(s -> s.chance().completed() > 0)
                    .forEach(s -> assertThat(advice.lapS()).isLessThan(s.lapS()));
        } else if (goal == Goal.FINISH) {
            double fastest = advise(Setups.pair(), Goal.LAP, 2).baseCommand();
            assertThat(advice.baseCommand()).isLessThan(0.75 * fastest).isGreaterThan(0.5 * fastest);
            assertThat(advice.margins().keepsMargins()).isTrue();
            assertThat(advice.limits().part()).isEmpty();
        } else {
            assertThat(advice.placeMm()).isLessThan(2);
        }
        assertThat(LimitWords.of(advice.limits())).contains(advice.limits().full() ? "the drive" : "lag: ");
    }

    /** A coach who begins slowly is advised as one who begins at twice the speed. */
    @ParameterizedTest
    @EnumSource(Goal.class)
    void doesNotRestOnTheSpeedAndTheGainsThatAreSet(Goal goal) {
        Setup pair = Setups.pair();
        List<CourseAdvice> all = Stream.of(0.15, 2.0)
                .map(share -> pair.withLaw(pair.law()
                        .withBaseCommand(share * pair.law().baseCommand())
                        .withGains(share, 0, 3 * share)))
                .map(setup -> advise(setup, goal, 2))
                .toList();
        assertThat(all)
                .extracting(a -> List.of(a.kp(), a.kd(), a.baseCommand(), a.lapS(), a.limits()))
                .containsOnly(List.of(
                        all.get(0).kp(),
                        all.get(0).kd(),
                        all.get(0).baseCommand(),
                        all.get(0).lapS(),
                        all.get(0).limits()));
    }

    @Test
    void isTheSameOnAnyNumberOfThreads() {
        CourseAdvice one = advise(Setups.edge(), Goal.FINISH, 1);
        CourseAdvice two = advise(Setups.edge(), Goal.FINISH, 2);
        assertThat(one).isEqualTo(two);
    }

    /** The margin that is told is where the loop's eigenvalues leave the unit circle, and its bend margin is Kp over the floor. */
    @Test
    void marginsAreThoseOfTheSettingThatIsTold() {
        Setup edge = Setups.edge();
        CourseAdvice advice = advise(edge, Goal.LAP, 2);
        Setup at = edge.withLaw(edge.law().withBaseCommand(advice.baseCommand()));
        SampledLoop loop = new SampledLoop(LoopModel.of(at));
        double margin = advice.margins().gainMargin();
        double inside = 0.99 * margin;
        double outside = 1.01 * margin;
        assertThat(loop.spectralRadius(inside * advice.kp(), 0, inside * advice.kd()))
                .isLessThan(1);
        assertThat(loop.spectralRadius(outside * advice.kp(), 0, outside * advice.kd()))
                .isGreaterThan(1);
        double floor = BendFloor.kp(
                at.withLine(new Line(at.line().widthMm(), at.line().polarity(), SMALL.tightestRadiusMm())));
        assertThat(advice.margins().bendMargin()).isCloseTo(advice.kp() / floor, within(1e-6));
    }

    @Test
    void stopsWhenItIsAskedTo() {
        Job stopped = new Job() {
            @Override
            public boolean cancelled() {
                return true;
            }

            @Override
            public void progress(int done, int of) {}
        };
        assertThatThrownBy(() -> CourseAdvisor.advise(Setups.pair(), SMALL, Goal.LAP, 1, Workers.of(2), stopped))
                .isInstanceOf(CancelledException.class);
    }

    /** Schools by their own arithmetic; a scale a hundred times smaller makes a gain of one far too small. */
    @Test
    void schoolsBeginAsTheyAreToldTo() {
        Setup pair = Setups.pair();
        List<StartingGains> schools = StartingGains.of(pair);
        assertThat(schools).extracting(StartingGains::school).contains(StartingGains.School.values());
        StartingGains full = schools.get(1);
        assertThat(full.kp()).isEqualTo(pair.law().baseCommand() / 50);
        assertThat(schools)
                .allMatch(s -> s.slip() == StartingGains.Slip.NONE || s.school() == StartingGains.School.UNIT);
        Setup unit = pair.withLaw(pair.law().withScale(fahrbahn.core.setup.Scale.UNIT));
        assertThat(StartingGains.of(unit).get(0).slip()).isEqualTo(StartingGains.Slip.TOO_SMALL);
        Setup permille = pair.withLaw(pair.law().withScale(fahrbahn.core.setup.Scale.PERMILLE));
        assertThat(StartingGains.of(permille).get(0).slip()).isEqualTo(StartingGains.Slip.TOO_LARGE);
    }
}
