package fahrbahn.core.next;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Repeated;
import fahrbahn.core.Setups;
import fahrbahn.core.belief.Belief;
import fahrbahn.core.belief.Candidate;
import fahrbahn.core.belief.Ghosts;
import fahrbahn.core.belief.Particle;
import fahrbahn.core.belief.Prior;
import fahrbahn.core.belief.Story;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.benchmark.HiddenTable;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.SeenTable;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.tuning.race.Goal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.hipparchus.distribution.discrete.BinomialDistribution;
import org.junit.jupiter.api.Test;

/** What trials tell of a robot, and what is tried next. */
class NextTrialTest extends Repeated {
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

    /** What a coach typed as speed and gains is no trial: a slow beginner is told the same as a fast one. */
    @Test
    void doesNotRestOnTheSpeedAndTheGainsThatAreSet() {
        List<Trial> trials = List.of(seen(0.1, 0, Seen.LOST_BEND), seen(1.2, 0, Seen.WIGGLES));
        Setup pair = Setups.pair();
        NextTrial usual = next(pair, Goal.LAP, 4, trials, 2);
        for (double share : new double[] {0.15, 2}) {
            Setup begun = pair.withLaw(
                    pair.law().withBaseCommand(share * pair.law().baseCommand()).withGains(share, 0, 2 * share));
            NextTrial other = next(begun, Goal.LAP, 4, trials, 2);
            assertThat(other.next()).isEqualTo(usual.next());
            assertThat(other.best()).isEqualTo(usual.best());
        }
        // At a sixth of the speed nothing else was asked for than twice as much.
        assertThat(usual.next().orElseThrow().baseCommand())
                .isGreaterThan(10 * 0.15 * pair.law().baseCommand());
    }

    @Test
    void endsWhenOneMoreTrialWouldNotChangeTheChoice() {
        NextTrial first = next(Setups.pair(), Goal.FINISH, 6, List.of(), 2);
        assertThat(first.next()).isPresent();
        Candidate tried = first.next().get();
        Trial smooth = Trial.of(tried.kp(), tried.kd(), tried.baseCommand(), Seen.SMOOTH);
        // Once is luck too easily.
        assertThat(next(Setups.pair(), Goal.FINISH, 5, List.of(smooth), 2).next())
                .isPresent();
        NextTrial after = next(Setups.pair(), Goal.FINISH, 4, List.of(smooth, smooth), 2);
        assertThat(after.next()).isEmpty();
        assertThat(after.best()).isEqualTo(tried);
        assertThat(NextWords.reason(after)).contains("would not change the choice");
        NextTrial noTime = next(Setups.pair(), Goal.FINISH, 0, List.of(seen(1.2, 0, Seen.WIGGLES)), 2);
        assertThat(noTime.next()).isEmpty();
    }

    /**
     * Robots that tell the truth, drawn as the belief draws its own: of 200 the 90 % ranges hold 85 to 95 %, all figures together, and what trials
     * can tell becomes narrower. Each figure alone, and fewer robots: as the binomial distribution allows at one in a thousand about those bounds.
     */
    @Test
    void theTruthLiesInTheRanges() {
        Setup setup = Setups.pair();
        Ghosts ghosts = new Ghosts(setup, SMALL, Workers.of(2), Job.UNWATCHED);
        int robots = times(8, 200);
        int[] covered = new int[6];
        double narrowed = 0;
        for (int i = 0; i < robots; i++) {
            Particle secrets = Particle.believed(new SplittableRandom(5_000 + i), Prior.GUESSED);
            HiddenTable table = HiddenTable.of(setup, SMALL, secrets, 40 + i, SeenTable.Cells.COARSE);
            Belief belief = new Belief(ghosts, Prior.GUESSED, i, Workers.of(2));
            double before = width(belief.freeSpeedMmPerS());
            for (double kp : new double[] {0.25, 0.6, 1.2}) {
                belief.see(table.attempt(new Candidate(kp, 0, 40)), Job.UNWATCHED);
            }
            Robot robot = table.hidden().robot();
            covered[0] += inside(robot.drive().lagS(), belief.lagS()) ? 1 : 0;
            covered[1] += inside(robot.loop().delayS(), belief.delayS()) ? 1 : 0;
            covered[2] += inside(robot.drive().freeSpeedMmPerS(), belief.freeSpeedMmPerS()) ? 1 : 0;
            covered[3] += inside(robot.drive().effectiveTrackWidthMm(), belief.effectiveWidthMm()) ? 1 : 0;
            covered[4] += inside(secrets.slope(), belief.slopeShare()) ? 1 : 0;
            covered[5] += inside(secrets.mismatch(), belief.mismatchShare()) ? 1 : 0;
            narrowed += width(belief.freeSpeedMmPerS()) / before / robots;
        }
        assertThat(Arrays.stream(covered).sum() / 6.0 / robots)
                .as(Arrays.toString(covered))
                .isBetween(robots < 200 ? 0.75 : 0.85, robots < 200 ? 1 : 0.95);
        int least = proves() ? 155 : new BinomialDistribution(robots, 0.85).inverseCumulativeProbability(0.001);
        int most = proves() ? 199 : new BinomialDistribution(robots, 0.95).inverseCumulativeProbability(0.999);
        assertThat(Arrays.stream(covered).boxed()).allMatch(c -> c >= least && c <= most);
        assertThat(narrowed).isLessThan(0.85);
    }

    /** On the other edge of a mirrored line, a mirrored robot gets the same advice and the same ranges. */
    @Test
    void aMirroredRobotIsToldTheSame() {
        Course mirrored = new Course(
                "small",
                1300,
                900,
                new Pose(150, 750, 0),
                List.of(
                        new Part.Straight(500),
                        new Part.Bend(170, -Math.PI),
                        new Part.Straight(300),
                        new Part.StopStrip(30),
                        new Part.End(60)),
                false);
        Setup right = Setups.edge();
        Setup left = right.withLaw(right.law().withSide(Side.LEFT));
        List<Trial> trials = List.of(seen(0.1, 0, Seen.LOST_BEND), seen(1.1, 0, Seen.WIGGLES));
        // One spot, whose cells of 2.5 mm lie on the mirrored table as they do on this one: with others slopes would
        // differ by their cells.
        Map<Constant, Double> shares = new EnumMap<>(Prior.GUESSED.shares());
        shares.put(Constant.SPOT, 0.01);
        Prior prior = new Prior(shares);
        NextTrial one =
                NextTrial.of(new Story(right, prior, SMALL, Goal.FINISH, 4, trials), 1, Workers.of(2), Job.UNWATCHED);
        NextTrial other =
                NextTrial.of(new Story(left, prior, mirrored, Goal.FINISH, 4, trials), 1, Workers.of(2), Job.UNWATCHED);
        assertThat(other.next()).isEqualTo(one.next());
        assertThat(other.best()).isEqualTo(one.best());
        assertThat(other.chance()).isEqualTo(one.chance());
        assertThat(other.belief().lagS().mid()).isCloseTo(one.belief().lagS().mid(), within(1e-6));
        // The middle of an even number is the lower of two, in a mirror the higher: neighbours of eighty, a hundredth
        // apart at most.
        assertThat(other.belief().mismatchShare().mid())
                .isCloseTo(-one.belief().mismatchShare().mid(), within(0.002));
    }

    private static boolean inside(double value, Belief.Range range) {
        return value >= range.low() && value <= range.high();
    }

    private static double width(Belief.Range range) {
        return range.high() - range.low();
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
                    Trial.Finish.FINISHED,
                    OptionalDouble.empty(),
                    0,
                    OptionalDouble.of(7.2),
                    OptionalDouble.empty(),
                    OptionalDouble.empty()));
        }
        trials.add(seen(0.3, 0.3, Seen.LOST_GAP));
        NextTrial again = next(Setups.pair(), Goal.FINISH, 5, trials, 2);
        assertThat(again.why()).isEqualTo(NextTrial.Why.CONTRADICTS);
        assertThat(again.next()).contains(new Candidate(0.3, 0.3, 40));
    }
}
