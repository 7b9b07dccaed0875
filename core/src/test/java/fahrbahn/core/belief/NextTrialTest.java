package fahrbahn.core.belief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.Part;
import fahrbahn.core.table.Pose;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.tuning.Goal;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What trials tell of a robot, and what is tried next. */
class NextTrialTest {
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

    private static NextTrial next(Setup setup, Goal goal, int left, List<Trial> trials, int threads) {
        return NextTrial.of(new Story(setup, SMALL, goal, left, trials), 1, Workers.of(threads), Job.UNWATCHED);
    }

    private static Trial seen(double kp, double kd, Seen seen) {
        return Trial.of(kp, kd, 40, seen);
    }

    @Test
    void turningAwayAtOnceIsToldBeforeAnyGain() {
        NextTrial pair = next(Setups.pair(), Goal.FINISH, 5, List.of(seen(0.2, 0.3, Seen.TURNS_AWAY)), 2);
        assertThat(pair.suspect()).contains(NextTrial.Suspect.SWAPPED);
        assertThat(pair.next()).contains(new Candidate(0.2, 0.3, 40));
        assertThat(NextWords.reason(pair)).contains("changed over");
        List<Trial> twice = List.of(seen(0.2, 0.3, Seen.TURNS_AWAY), seen(0.2, 0.3, Seen.TURNS_AWAY));
        assertThat(next(Setups.pair(), Goal.FINISH, 5, twice, 2).suspect()).contains(NextTrial.Suspect.SIGN);
        assertThat(next(Setups.edge(), Goal.FINISH, 5, List.of(seen(0.4, 0, Seen.TURNS_AWAY)), 2)
                        .suspect())
                .contains(NextTrial.Suspect.EDGE);
        // Put right, it runs: nothing is suspected any more.
        List<Trial> mended = List.of(seen(0.2, 0.3, Seen.TURNS_AWAY), seen(0.2, 0.3, Seen.SMOOTH));
        assertThat(next(Setups.pair(), Goal.FINISH, 5, mended, 2).suspect()).isEmpty();
    }

    @Test
    void isTheSameOnAnyNumberOfThreadsAndGoesWithTheScale() {
        List<Trial> trials = List.of(seen(0.1, 0, Seen.LOST_BEND), seen(1.2, 0, Seen.WIGGLES));
        NextTrial one = next(Setups.pair(), Goal.FINISH, 4, trials, 1);
        NextTrial two = next(Setups.pair(), Goal.FINISH, 4, trials, 2);
        assertThat(one.next()).isEqualTo(two.next());
        assertThat(one.best()).isEqualTo(two.best());
        assertThat(one.belief().lagS()).isEqualTo(two.belief().lagS());
        Setup pair = Setups.pair();
        Setup unit = pair.withLaw(pair.law().withScale(Scale.UNIT).withGains(20, 0, 30));
        List<Trial> hundredfold = List.of(seen(10, 0, Seen.LOST_BEND), seen(120, 0, Seen.WIGGLES));
        NextTrial scaled = next(unit, Goal.FINISH, 4, hundredfold, 2);
        assertThat(scaled.next().orElseThrow().kp())
                .isCloseTo(
                        100 * one.next().orElseThrow().kp(),
                        within(1e-6 * scaled.next().orElseThrow().kp()));
    }

    @Test
    void endsWhenOneMoreTrialWouldNotChangeTheChoice() {
        NextTrial first = next(Setups.pair(), Goal.FINISH, 6, List.of(), 2);
        assertThat(first.next()).isPresent();
        Candidate tried = first.next().get();
        NextTrial after = next(Setups.pair(), Goal.FINISH, 5, List.of(seen(tried.kp(), tried.kd(), Seen.SMOOTH)), 2);
        assertThat(after.next()).isEmpty();
        assertThat(after.best()).isEqualTo(tried);
        assertThat(NextWords.reason(after)).contains("would not change the choice");
        NextTrial noTime = next(Setups.pair(), Goal.FINISH, 0, List.of(seen(1.2, 0, Seen.WIGGLES)), 2);
        assertThat(noTime.next()).isEmpty();
    }

    /** A robot that tells the truth narrows the belief around it. */
    @Test
    void theTruthLiesInTheRanges() {
        Setup setup = Setups.pair();
        int covered = 0;
        int robots = 24;
        double narrowed = 0;
        for (int i = 0; i < robots; i++) {
            HiddenTable table = HiddenTable.of(setup, SMALL, 1, 40 + i);
            List<Trial> trials = new ArrayList<>();
            for (double kp : new double[] {0.25, 0.6, 1.2, 1.8}) {
                trials.add(table.attempt(new Candidate(kp, 0, 40)));
            }
            Belief before = belief(setup, List.of());
            Belief after = belief(setup, trials);
            double lag = table.hidden().robot().drive().lagS();
            double speed = table.hidden().robot().drive().freeSpeedMmPerS();
            covered += inside(lag, after.lagS()) ? 1 : 0;
            covered += inside(speed, after.freeSpeedMmPerS()) ? 1 : 0;
            narrowed += width(after.freeSpeedMmPerS()) / width(before.freeSpeedMmPerS());
        }
        // 90 % ranges: of 48 at least 36 by the binomial distribution at one in a thousand.
        assertThat(covered).isGreaterThanOrEqualTo(36);
        assertThat(narrowed / robots).isLessThan(0.85);
    }

    private static boolean inside(double value, Belief.Range range) {
        return value >= range.low() && value <= range.high();
    }

    private static double width(Belief.Range range) {
        return range.high() - range.low();
    }

    private static Belief belief(Setup setup, List<Trial> trials) {
        Ghosts ghosts = new Ghosts(setup, SMALL, Workers.of(2), Job.UNWATCHED);
        Belief belief = new Belief(ghosts, 3, Workers.of(2));
        trials.forEach(t -> belief.see(t, Job.UNWATCHED));
        return belief;
    }

    /** Seen once to run smoothly and once to be lost at once: the eyes erred, or something changed. */
    @Test
    void whatFitsNoRobotIsToBeSeenAgain() {
        List<Trial> trials = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            trials.add(new Trial(
                    0.3,
                    0.3,
                    40,
                    Seen.SMOOTH,
                    OptionalDouble.empty(),
                    0,
                    OptionalDouble.of(7.2),
                    OptionalDouble.empty()));
        }
        trials.add(seen(0.3, 0.3, Seen.LOST_GAP));
        NextTrial again = next(Setups.pair(), Goal.FINISH, 5, trials, 2);
        assertThat(again.why()).isEqualTo(NextTrial.Why.CONTRADICTS);
        assertThat(again.next()).contains(new Candidate(0.3, 0.3, 40));
    }
}
