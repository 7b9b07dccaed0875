package fahrbahn.core.belief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.trials.Outcome.Seen;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** A robot is as far from its setup as it was measured, and trials that tell more are offered. */
class PriorTest {
    private static final Setup PAIR = Setups.pair();

    private static Fact fact(Constant constant, double share) {
        double value = constant.of(PAIR);
        return new Fact(
                constant,
                new Measured(value, share * value, 4),
                List.of(),
                Basis.of(Instant.EPOCH, Conditions.UNKNOWN));
    }

    private static double sdOfLag(Prior prior) {
        SplittableRandom random = new SplittableRandom(4);
        double squares = 0;
        for (int i = 0; i < 4000; i++) {
            squares += Math.pow(Math.log(Particle.drawn(random, prior, 1).lag()), 2);
        }
        return Math.sqrt(squares / 4000);
    }

    @Test
    void isAsWideAsWhatWasMeasuredIsSure() {
        Prior prior =
                Prior.of(PAIR, List.of(fact(Constant.LAG, 0.05), fact(Constant.FREE_SPEED, 3), fact(Constant.SPOT, 0)));
        assertThat(prior.share(Constant.LAG)).isCloseTo(0.05, within(1e-12));
        assertThat(prior.share(Constant.FREE_SPEED))
                .as("no worse than a guess")
                .isEqualTo(Constant.FREE_SPEED.guessShare());
        assertThat(prior.share(Constant.SPOT)).as("an evening moves it").isEqualTo(0.01);
        assertThat(prior.share(Constant.DELAY)).isEqualTo(Constant.DELAY.guessShare());
        // Cut at 2.5, a normal keeps 0.981 of its standard deviation; 4000 draws are sure to 2 in a hundred.
        assertThat(sdOfLag(prior)).isCloseTo(0.05 * 0.981, within(0.002));
        assertThat(sdOfLag(Prior.GUESSED)).isCloseTo(0.4 * 0.981, within(0.016));
    }

    /** Timed laps tell the speed, which was a guess; where it had been measured well, they tell nothing new. */
    @Test
    void whatTrialsTellBetterIsLearnt() {
        Trial timed = new Trial(
                0.3,
                0.6,
                40,
                Seen.SMOOTH,
                Trial.Finish.FINISHED,
                OptionalDouble.empty(),
                0,
                OptionalDouble.of(23),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        Map<Constant, Measured> guessed = learnt(Prior.GUESSED, timed);
        assertThat(guessed).containsKey(Constant.FREE_SPEED);
        assertThat(guessed.get(Constant.FREE_SPEED).standardError()).isLessThan(0.1 * Constant.FREE_SPEED.of(PAIR));
        assertThat(learnt(Prior.of(PAIR, List.of(fact(Constant.FREE_SPEED, 0.01))), timed))
                .doesNotContainKey(Constant.FREE_SPEED);
    }

    private static Map<Constant, Measured> learnt(Prior prior, Trial trial) {
        Ghosts ghosts = new Ghosts(PAIR, DemoCourses.workshopLoop(), Workers.of(2), Job.UNWATCHED);
        Belief first = new Belief(ghosts, prior, 1, Workers.of(2));
        Belief now = new Belief(ghosts, prior, 1, Workers.of(2));
        now.see(trial, Job.UNWATCHED);
        now.see(trial, Job.UNWATCHED);
        return Learnt.of(now, first, 2);
    }
}
