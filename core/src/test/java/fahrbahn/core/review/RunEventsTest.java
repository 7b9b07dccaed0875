package fahrbahn.core.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.loop.SteadyTurn;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.review.RunEvents.Event;
import fahrbahn.core.review.RunEvents.Kind;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.List;
import org.junit.jupiter.api.Test;

class RunEventsTest {
    private static Trace drive(Setup setup, Part... parts) {
        Course course = new Course("trial", 3000, 3000, new Pose(500, 1500, 0), List.of(parts), false);
        Trace trace = new Trace();
        Twin.run(Track.of(course, setup), Start.calm(0), trace);
        return trace;
    }

    private static Setup with(Setup setup, Options options) {
        Law law = setup.law().withGains(0.3, 0, 0.5).withOptions(options);
        return setup.withLaw(law);
    }

    @Test
    void aRuleForALostLineDrivesAGapForAsLongAsItTakes() {
        Setup pair = Setups.pair();
        Setup setup = with(
                pair, pair.law().options().withLost(new Options.LostLine(Options.LostLine.Action.STRAIGHT, 0.3, 0, 0)));
        Trace trace = drive(setup, new Part.Straight(600), new Part.Gap(200), new Part.Straight(600));
        List<Event> events = RunEvents.of(trace, setup);
        assertThat(events).extracting(Event::kind).contains(Kind.LOST_RULE);
        Event lost = events.stream()
                .filter(e -> e.kind() == Kind.LOST_RULE)
                .findFirst()
                .orElseThrow();
        // Over the gap, 200 mm at 224 mm/s; the spots smear each end by a few mm.
        assertThat(lost.atS()).as("begins, s").isCloseTo((600 - 55) / setup.speedMmPerS(), within(0.05));
        assertThat(lost.lengthS()).as("lasts, s").isCloseTo(200 / setup.speedMmPerS(), within(0.05));
        assertThat(lost.side()).isZero();
    }

    @Test
    void aCrossingThatIsWaitedOutIsBlankedForThatTime() {
        Setup pair = Setups.pair();
        // Astride, each sensor sees half a line all along: more than that is a crossing.
        Options.LostLine seen = new Options.LostLine(Options.LostLine.Action.NONE, 0.9, 0, 0);
        Setup setup = with(pair, pair.law().options().withLost(seen).withLimits(new Options.Limits(1e9, 0, 0.4)));
        Trace trace = drive(
                setup,
                new Part.Straight(500),
                new Part.Crossing(120, Part.Turn.STRAIGHT, false),
                new Part.Straight(500));
        Event blanked = RunEvents.of(trace, setup).stream()
                .filter(e -> e.kind() == Kind.BLANKED)
                .findFirst()
                .orElseThrow();
        // From when both sensors see the crossing until 0.4 s after the last tick they do: the line's width more.
        assertThat(blanked.lengthS()).as("lasts, s").isBetween(0.4, 0.4 + 24 / setup.speedMmPerS() + 0.05);
    }

    @Test
    void aWheelAtItsLimitIsToldWithItsSide() {
        Setup pair = Setups.pair();
        Setup setup = pair.withLaw(pair.law().withGains(0.3, 0, 0).withBaseCommand(90));
        Trace trace = new Trace();
        Course course = new Course("s", 3000, 3000, new Pose(500, 1500, 0), List.of(new Part.Straight(1500)), false);
        Twin.run(Track.of(course, setup), Start.calm(10), trace);
        assertThat(RunEvents.of(trace, setup))
                .anyMatch(e -> e.kind() == Kind.AT_LIMIT && e.side() == -1 && e.tick() < 5);
    }

    /** The shares of the law's terms add up to what it steers, where nothing limits it. */
    @Test
    void theTermsOfTheLawAddUpToItsSteering() {
        Setup setup = Setups.pair().withLaw(Setups.pair().law().withGains(0.2, 0.001, 0.4));
        Trace trace = drive(setup, new Part.Straight(600), new Part.Bend(250, 1.2), new Part.Straight(400));
        assertThat(trace.size()).isGreaterThan(100);
        for (int i = 0; i < trace.size(); i++) {
            assertThat(trace.proportional(i) + trace.integral(i) + trace.derivative(i))
                    .as("steering at tick %s", i)
                    .isCloseTo(trace.steering(i), within(1e-9));
        }
    }

    /** Difference mixing: k = 2u/(B b); inner-wheel: 100 k b/2/(1 + k b/2) is the steering for k. */
    @Test
    void steadyTurnsAreThoseOfTheFormulas() {
        Drive difference = new Drive(120, 500, 0.05, Mixing.DIFFERENCE, 100);
        assertThat(SteadyTurn.curvaturePerMm(difference, 40, 12)).isCloseTo(2 * 12 / (40 * 120.0), within(1e-12));
        Drive inner = difference.withMixing(Mixing.INNER_WHEEL);
        double k = 1 / 200.0;
        double u = 100 * k * 60 / (1 + k * 60);
        assertThat(SteadyTurn.steering(inner, 40, 100, k)).isCloseTo(u, within(1e-9));
        assertThat(SteadyTurn.curvaturePerMm(inner, 40, u)).isCloseTo(k, within(1e-12));
        assertThat(SteadyTurn.steering(difference, 40, 10, 1 / 100.0)).isEqualTo(Double.POSITIVE_INFINITY);
    }
}
