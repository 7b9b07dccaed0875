package fahrbahn.core.belief;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Repeated;
import fahrbahn.core.benchmark.HandLadder;
import fahrbahn.core.benchmark.TuningBenchmark;
import fahrbahn.core.benchmark.TuningRobots;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.next.Tuner;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.tuning.race.Goal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** The next trial on robots that are no twins, begun at any speed. */
class ForeignRobotTest extends Repeated {
    private static final int MOST = 30;

    /** Trials by the belief, then by each ladder; more than {@link #MOST} where it never got there. */
    static int[] needed(long seed) {
        Course course = TuningRobots.course();
        Setup believed = TuningRobots.drawn(new SplittableRandom(seed));
        Setup begun = TuningBenchmark.begunAt(believed, new SplittableRandom(seed + 1));
        ForeignRobot robot = new ForeignRobot(begun, course, seed);
        int[] needed = new int[1 + HandLadder.values().length];
        if (!robot.solvable()) {
            Arrays.fill(needed, MOST + 1);
            return needed;
        }
        Tuner tuner = new Tuner(begun, Prior.GUESSED, course, Goal.LAP, seed, Workers.of(1), Job.UNWATCHED);
        needed[0] = MOST + 1;
        for (int i = 1; i <= MOST; i++) {
            Optional<Candidate> next = tuner.next(MOST + 1 - i, Job.UNWATCHED).next();
            if (next.isEmpty() || robot.solves(next.get())) {
                needed[0] = next.isEmpty() ? MOST + 1 : i;
                break;
            }
            tuner.see(robot.attempt(next.get()), Job.UNWATCHED);
        }
        for (HandLadder ladder : HandLadder.values()) {
            ForeignRobot anew = new ForeignRobot(believed, course, seed);
            List<Trial> trials = new ArrayList<>();
            int i = 1;
            while (i <= MOST) {
                Candidate next = ladder.next(believed, trials);
                if (anew.solvesAtSetSpeed(next)) {
                    break;
                }
                trials.add(anew.attempt(next));
                i++;
            }
            needed[1 + ladder.ordinal()] = i;
        }
        return needed;
    }

    @Test
    void theBeliefTunesRobotsOfOtherCode() {
        int robots = times(1, 8);
        int[][] all = new int[robots][];
        Workers.of(2).run(robots, i -> all[i] = needed(7000 + i), Job.UNWATCHED);
        List<int[]> solved = Arrays.stream(all)
                .filter(n -> Arrays.stream(n).min().orElseThrow() <= MOST)
                .toList();
        assertThat(solved).hasSizeGreaterThan(robots / 2);
        assertThat(solved).allMatch(n -> n[0] <= MOST);
    }
}
