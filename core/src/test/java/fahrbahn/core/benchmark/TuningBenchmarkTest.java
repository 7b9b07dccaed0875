package fahrbahn.core.benchmark;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Repeated;
import fahrbahn.core.Setups;
import fahrbahn.core.belief.Candidate;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.next.Experience;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.tuning.race.Goal;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToIntFunction;
import org.junit.jupiter.api.Test;

/** Ladders climb as coaches do, and the belief needs fewer trials. */
class TuningBenchmarkTest extends Repeated {
    private static final Setup EDGE = Setups.edge();

    private static List<Candidate> climbed(HandLadder ladder, Seen... seen) {
        List<Trial> trials = new ArrayList<>();
        List<Candidate> tried = new ArrayList<>();
        for (Seen sight : seen) {
            Candidate next = ladder.next(EDGE, trials);
            tried.add(next);
            trials.add(Trial.of(next.kp(), next.kd(), next.baseCommand(), sight));
        }
        tried.add(ladder.next(EDGE, trials));
        return tried;
    }

    @Test
    void halfAsMuchAgainBacksOffAndDamps() {
        List<Candidate> tried = climbed(
                HandLadder.HALF_AGAIN, Seen.LOST_BEND, Seen.LOST_BEND, Seen.WIGGLES, Seen.WIGGLES, Seen.LOST_BEND);
        double back = 0.6 * 2.25;
        assertThat(tried).extracting(Candidate::kp).containsExactly(1.0, 1.5, 2.25, back, back, back * 1.2);
        assertThat(tried).extracting(Candidate::kd).containsExactly(0.0, 0.0, 0.0, back, back * 1.5, back * 1.5);
        // It wiggles at once: down first.
        assertThat(climbed(HandLadder.HALF_AGAIN, Seen.WIGGLES).get(1).kp()).isCloseTo(1 / 1.5, within(1e-12));
    }

    @Test
    void doublingAndHalvingCloseIn() {
        List<Candidate> tried =
                climbed(HandLadder.DOUBLE_AND_HALVE, Seen.LOST_BEND, Seen.WIGGLES, Seen.LOST_BEND, Seen.LOST_BEND);
        double root = Math.sqrt(2);
        double[] kps = {1, 2, 2 / root, 2 / root * Math.sqrt(root), 2};
        for (int i = 0; i < kps.length; i++) {
            assertThat(tried.get(i).kp()).isCloseTo(kps[i], within(1e-12));
            assertThat(tried.get(i).kd()).isZero();
        }
    }

    @Test
    void fullTurnIsTheBaseCommandForTheWholeErrorAndGoesDown() {
        double full = EDGE.law().baseCommand() / (UsualLaws.top(EDGE) / 2);
        List<Candidate> tried = climbed(HandLadder.FULL_TURN_DAMPED, Seen.WIGGLES);
        assertThat(tried.get(0)).isEqualTo(new Candidate(full, 0, EDGE.law().baseCommand()));
        assertThat(tried.get(1))
                .isEqualTo(new Candidate(0.75 * full, 1.5 * full, EDGE.law().baseCommand()));
    }

    /**
     * One, or in the proof forty, such robots as those of docs/tuning-benchmark.md, and its bars. The belief begins at any speed, the ladders, as coaches
     * climb them, at one that suits; what both are asked for is the best lap at that.
     */
    @Test
    void theBeliefSolvesWhatLaddersSolveInAThirdOfTheTrials() {
        List<TuningBenchmark.Needed> all =
                TuningBenchmark.each(times(1, 40), 1.5, 11, Workers.of(2), Job.UNWATCHED).stream()
                        .filter(TuningBenchmark.Needed::solved)
                        .toList();
        assertThat(all).hasSizeGreaterThanOrEqualTo(times(1, 35));
        if (!proves()) {
            assertThat(all).allMatch(n -> n.next() <= 6); // one robot tells nothing of ladders
            return;
        }
        TuningBenchmark.Outcome belief = outcome(all, TuningBenchmark.Needed::next);
        TuningBenchmark.Outcome best = outcome(all, n -> n.ladders()[HandLadder.HALF_AGAIN.ordinal()]);
        assertThat(3 * belief.quantile(0.5)).as("median").isLessThanOrEqualTo(best.quantile(0.5));
        assertThat(2 * belief.quantile(0.75)).as("upper quartile").isLessThanOrEqualTo(best.quantile(0.75));
        List<TuningBenchmark.Needed> eight = all.subList(0, 8);
        int trials = eight.stream().mapToInt(TuningBenchmark.Needed::next).sum();
        int ladder = eight.stream()
                .mapToInt(n -> n.ladders()[HandLadder.HALF_AGAIN.ordinal()])
                .sum();
        assertThat(3 * trials).as(trials + " against " + ladder + " of eight").isLessThanOrEqualTo(ladder);
        assertThat(outcome(all, TuningBenchmark.Needed::nextAnySpeed).quantile(0.5))
                .as("of the best lap at any speed")
                .isLessThanOrEqualTo(4);
    }

    private static TuningBenchmark.Outcome outcome(
            List<TuningBenchmark.Needed> all, ToIntFunction<TuningBenchmark.Needed> trials) {
        return new TuningBenchmark.Outcome("", all.stream().mapToInt(trials).toArray());
    }

    /** A setting that failed counts for less, however sure the twin is; one much like it too, another not. */
    @Test
    void whatCameOfASettingOutweighsTheTwin() {
        Candidate failed = new Candidate(1, 2, 40);
        List<Trial> trials = List.of(
                Trial.of(1, 2, 40, Seen.LOST_BEND), Trial.of(1, 2, 40, Seen.WIGGLES), Trial.of(9, 9, 40, Seen.OTHER));
        Experience experience = new Experience(trials, Goal.FINISH);
        assertThat(experience.chance(failed, 1)).isCloseTo((2 + 0.3) / 4, within(1e-12));
        assertThat(experience.hopeless(failed)).isTrue();
        assertThat(experience.chance(new Candidate(1.25, 2.5, 40), 1)).isBetween(0.6, 0.9);
        assertThat(experience.chance(new Candidate(4, 2, 40), 1)).isGreaterThan(0.99);
        assertThat(experience.chance(new Candidate(9, 9, 40), 1)).isGreaterThan(0.99); // it said nothing
    }
}
