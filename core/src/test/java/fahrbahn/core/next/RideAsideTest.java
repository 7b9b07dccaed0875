package fahrbahn.core.next;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Repeated;
import fahrbahn.core.Setups;
import fahrbahn.core.belief.Belief;
import fahrbahn.core.belief.Story;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.benchmark.TuningRobots;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.table.Course;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.tuning.race.Goal;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A robot that rides beside its edge: as the twin rides, and to which target it leads. */
class RideAsideTest extends Repeated {
    private static final Setup EDGE = Setups.edge();

    private static Trial seen(Seen seen, double target) {
        return new Trial(
                0.4,
                1,
                40,
                seen,
                Trial.Finish.NOT_SAID,
                OptionalDouble.empty(),
                0,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(target));
    }

    private static double ridesTowardsLightMm(Setup program, double shift) {
        Sensor eye = program.robot().sensors().get(0);
        double by = shift * (eye.light() - eye.dark());
        Setup real = program.withRobot(program.robot()
                        .withSensors(List.of(eye.withSurfaces(eye.dark() + by, eye.light() + by, eye.noise()))))
                .withLaw(program.law().withTarget(50));
        Track track = Track.of(Course.straight(2500), real);
        Trace trace = new Trace();
        Twin.asProgrammed(track, program, Start.calm(0), trace);
        // Offsets are from the middle of the edge; the right one has light on its right.
        return -trace.offsetMm(trace.size() - 1);
    }

    /** The twin, with readings lighter or darker than its program has them, rides where the closed form says. */
    @ParameterizedTest
    @CsvSource({"0.2", "-0.25", "0.05", "0.35"})
    void ridesWhereTheTwinDoes(double shift) {
        Setup program = EDGE.withLaw(EDGE.law().withGains(0.4, 0, 1));
        double rides = ridesTowardsLightMm(program, shift);
        assertThat(new RideAside(program, List.of()).lightMm(50, shift)).isCloseTo(rides, within(0.15));
    }

    /** Seen to ride dark twice, then set as told, it rides much nearer to the middle. */
    @Test
    void theTargetThatIsToldPutsItRight() {
        Setup program = EDGE.withLaw(EDGE.law().withGains(0.4, 0, 1));
        RideAside seen = new RideAside(program, List.of(seen(Seen.RIDES_DARK, 50), seen(Seen.RIDES_DARK, 50)));
        assertThat(seen.lightMm()).isLessThan(-2);
        double target = seen.target().orElseThrow();
        assertThat(target).isGreaterThan(65);
        double before = ridesTowardsLightMm(program, 0.3);
        double after = ridesTowardsLightMm(program.withLaw(program.law().withTarget(target)), 0.3);
        assertThat(before).isLessThan(-1.5);
        assertThat(Math.abs(after)).isLessThan(0.6 * Math.abs(before));
        // Set so and seen to run smoothly, nothing more is asked for.
        Setup set = program.withLaw(program.law().withTarget(target));
        List<Trial> all = List.of(seen(Seen.RIDES_DARK, 50), seen(Seen.RIDES_DARK, 50), seen(Seen.SMOOTH, target));
        assertThat(new RideAside(set, all).target()).isEmpty();
    }

    @Test
    void lightAndDarkAreMirrorsInAnyScale() {
        RideAside light = new RideAside(EDGE, List.of(seen(Seen.RIDES_LIGHT, 50)));
        RideAside dark = new RideAside(EDGE, List.of(seen(Seen.RIDES_DARK, 50)));
        assertThat(light.target().orElseThrow()).isCloseTo(100 - dark.target().orElseThrow(), within(0.6));
        Setup unit = EDGE.withLaw(EDGE.law().withScale(Scale.UNIT).withTarget(0.5));
        RideAside inUnits = new RideAside(unit, List.of(seen(Seen.RIDES_LIGHT, 0.5)));
        assertThat(inUnits.target().orElseThrow()).isCloseTo(light.target().orElseThrow() / 100, within(0.01));
        Setup left = EDGE.withLaw(EDGE.law().withSide(Side.LEFT));
        assertThat(new RideAside(left, List.of(seen(Seen.RIDES_LIGHT, 50))).target())
                .isEqualTo(light.target());
    }

    /** Robots that tell the truth, drawn as the belief draws its own: 90 % ranges hold 85 to 95 % of two thousand. */
    @Test
    void theTruthLiesInTheRange() {
        SplittableRandom random = new SplittableRandom(4);
        RideAside closed = new RideAside(EDGE, List.of());
        int robots = times(200, 2000);
        int inside = 0;
        for (int i = 0; i < robots; i++) {
            double shift = Math.max(-0.45, Math.min(0.45, 0.12 * random.nextGaussian()));
            List<Trial> trials = new ArrayList<>();
            for (double target : new double[] {50, 60, 45}) {
                double mm = closed.lightMm(target, shift) + random.nextGaussian();
                boolean errs = random.nextDouble() < 0.05;
                Seen truly = mm > 2.5 ? Seen.RIDES_LIGHT : mm < -2.5 ? Seen.RIDES_DARK : Seen.SMOOTH;
                Seen any =
                        List.of(Seen.RIDES_LIGHT, Seen.RIDES_DARK, Seen.SMOOTH).get(random.nextInt(3));
                trials.add(seen(errs ? any : truly, target));
            }
            Belief.Range range = new RideAside(EDGE, trials).shift();
            inside += shift >= range.low() && shift <= range.high() ? 1 : 0;
        }
        assertThat(inside / (double) robots)
                .isBetween(
                        0.85 - (robots < 2000 ? luck(0.9, robots) / 3 : 0),
                        0.95 + (robots < 2000 ? luck(0.9, robots) / 3 : 0));
    }

    /** Nobody saw it ride beside, or it has no edge: no target is asked for. */
    @Test
    void withoutASightThereIsNoAdvice() {
        assertThat(new RideAside(EDGE, List.of(seen(Seen.SMOOTH, 50), seen(Seen.WIGGLES, 50))).target())
                .isEmpty();
        RideAside pair = new RideAside(Setups.pair(), List.of(seen(Seen.RIDES_LIGHT, 50)));
        assertThat(pair.target()).isEmpty();
        assertThat(pair.untold()).isTrue();
    }

    @Test
    void theNextTrialTellsIt() {
        Story story = new Story(
                EDGE,
                TuningRobots.course(),
                Goal.FINISH,
                5,
                List.of(seen(Seen.RIDES_LIGHT, 50), seen(Seen.RIDES_LIGHT, 50)));
        NextTrial next = NextTrial.of(story, 1, Workers.of(2), Job.UNWATCHED);
        assertThat(next.aside().target().orElseThrow()).isLessThan(40);
        assertThat(NextWords.reason(next))
                .startsWith("It rides some ")
                .contains(" mm too far towards light: set the target to ");
        assertThat(EDGE.line().polarity()).isEqualTo(Polarity.DARK_ON_LIGHT);
    }
}
