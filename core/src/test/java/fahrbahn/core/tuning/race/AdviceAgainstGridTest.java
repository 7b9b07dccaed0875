package fahrbahn.core.tuning.race;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Repeated;
import fahrbahn.core.Setups;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What is advised to finish does so as often as the best gains of a grid that knows nothing of theory, at the same speed. */
class AdviceAgainstGridTest extends Repeated {
    private static final int KPS = 20;
    private static final double[] KD_PER_KP = {0, 0.25, 0.5, 1, 1.5, 2, 3, 5, 8, 12, 20, 30};
    private static final int RUNS = 212;

    /** One sensor, two astride, or a row of four to eight, any lead, lag, width and loop of {@link Setups#drawn}. */
    static List<Setup> drawn(int count) {
        SplittableRandom random = new SplittableRandom(35);
        List<Setup> robots = new ArrayList<>();
        for (Setup drawn : Setups.drawn(35, count)) {
            int kind = random.nextInt(3);
            if (kind == 0) {
                robots.add(drawn);
                continue;
            }
            ErrorSignal law = kind == 1 ? ErrorSignal.ARRAY_DIFFERENCE : ErrorSignal.ARRAY_MEAN;
            Setup row = Setups.row(law, random.nextInt(4, 9), random.nextDouble(8, 13));
            double lead = drawn.robot().sensors().get(0).forwardMm();
            robots.add(drawn.withRobot(drawn.robot()
                            .withSensors(row.robot().sensors().stream()
                                    .map(s -> s.withPlace(lead, s.leftMm()))
                                    .toList()))
                    .withLaw(row.law().withBaseCommand(drawn.law().baseCommand())));
        }
        return robots;
    }

    /** The grid's best: told apart by few runs, judged by as many as the advice and from other starts. */
    static Completion bestOfGrid(Setup robot, Course course, double base) {
        Track track = Track.of(course, robot);
        double unit = 2 * base / UsualLaws.top(robot);
        List<CourseProposals.Gains> all = new ArrayList<>();
        for (int i = 0; i < KPS; i++) {
            for (double ratio : KD_PER_KP) {
                double kp = unit * 0.05 * Math.pow(800, i / (KPS - 1.0));
                all.add(new CourseProposals.Gains(kp, ratio * kp, CourseProposals.Strain.NONE));
            }
        }
        int[] runs = {3, 12, 60};
        int[] kept = {40, 8, 1};
        for (int round = 0; round < runs.length; round++) {
            int n = runs[round];
            List<CourseProposals.Gains> now = all;
            int[] completed = new int[now.size()];
            Workers.all()
                    .run(
                            now.size(),
                            i -> completed[i] = completed(track, robot, base, now.get(i), 50, n),
                            Job.UNWATCHED);
            all = IntStream.range(0, now.size())
                    .boxed()
                    .sorted(Comparator.comparing(i -> -completed[i]))
                    .limit(kept[round])
                    .map(now::get)
                    .toList();
        }
        return Completion.of(completed(track, robot, base, all.get(0), 51, RUNS), RUNS);
    }

    private static int completed(
            Track track, Setup robot, double base, CourseProposals.Gains gains, long seed, int runs) {
        Setup at =
                robot.withLaw(robot.law().withGains(gains.kp(), 0, gains.kd()).withBaseCommand(base));
        int completed = 0;
        for (int run = 0; run < runs; run++) {
            RunResult result = Twin.run(track, at, Spread.TYPICAL.draw(0, seed, run));
            completed += result.completed() ? 1 : 0;
        }
        return completed;
    }

    @Test
    void finishesAsOftenAsTheBestOfTwoHundredAndFortyGains() {
        for (Setup robot : drawn(times(1, 12))) {
            for (Course course : proves() ? DemoCourses.all() : List.of(DemoCourses.rescue())) {
                CourseAdvice advice = CourseAdvisor.advise(robot, course, Goal.FINISH, 1, Workers.all(), Job.UNWATCHED);
                if (advice.chance().completed() < advice.chance().runs()) {
                    Completion grid = bestOfGrid(robot, course, advice.baseCommand());
                    assertThat((double) grid.completed() / grid.runs())
                            .as("%s with %s on %s: %s against %s", robot, robot.law(), course.name(), grid, advice)
                            .isLessThanOrEqualTo(advice.chance().high());
                }
            }
        }
    }
}
