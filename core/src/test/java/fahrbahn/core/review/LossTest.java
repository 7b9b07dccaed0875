package fahrbahn.core.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.law.Controller.Doing;
import fahrbahn.core.loop.BendFloor;
import fahrbahn.core.loop.LaneReport;
import fahrbahn.core.loop.WiggleOnset;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.sensing.Variation;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.trace.TickSink;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.tuning.UsualTurnMarks;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Robots with one thing wrong that is known: it is the reason that is found. */
class LossTest {
    private static Course course(Part... parts) {
        return new Course("trial", 4000, 4000, new Pose(1500, 2000, 0), List.of(parts), false);
    }

    private static Loss lost(Setup setup, Start start, Part... parts) {
        Track track = Track.of(course(parts), setup);
        Trace trace = new Trace();
        RunResult result = Twin.run(track, start, trace);
        assertThat(result.completed()).as("completed").isFalse();
        return Loss.of(track, start, result, trace).orElseThrow();
    }

    private static Setup gains(Setup setup, double kp, double kd) {
        return setup.withLaw(setup.law().withGains(kp, 0, kd));
    }

    @ParameterizedTest
    @ValueSource(doubles = {1, -1})
    void aBendTighterThanFullSteeringIsNamedWithWhatWasMissing(double way) {
        // Difference mixing with a steering limit u turns on a radius of B b / (2 u): 124 * 40 / (2 * 10) = 248 mm.
        Setup pair = gains(Setups.pair(), 0.2, 0.4);
        Law law = pair.law().withOptions(pair.law().options().withLimits(new Options.Limits(10, 0, 0)));
        Loss loss = lost(
                pair.withLaw(law),
                Start.calm(0),
                new Part.Straight(500),
                new Part.Bend(180, way * Math.PI),
                new Part.Straight(500));
        assertThat(loss.why()).isInstanceOf(Why.NotEnoughTurn.class);
        // The turning point runs inside the bend by lead, 55 mm, and outside by what the sensors have left to see.
        assertThat(((Why.NotEnoughTurn) loss.why()).moreShare()).as("lacking").isBetween(0.2, 248.0 / 160 - 1);
        assertThat(loss.onLeft()).isEqualTo(way < 0);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.35, 0.6, 0.8})
    void aGainBelowTheBendsFloorIsTooSoft(double share) {
        Setup pair = Setups.pair();
        Setup setup = new Setup(pair.robot(), new Line(24, Polarity.DARK_ON_LIGHT, 150), pair.law());
        double floor = BendFloor.kp(setup);
        Loss loss = lost(
                gains(setup, share * floor, 2 * share * floor),
                Start.calm(0),
                new Part.Straight(600),
                new Part.Bend(150, Math.PI),
                new Part.Straight(500));
        assertThat(loss.why()).isInstanceOf(Why.TooSoft.class);
        Why.TooSoft soft = (Why.TooSoft) loss.why();
        assertThat(soft.asked() / soft.needed()).as("asked over needed").isBetween(0.7 * share, 1.25 * share);
        assertThat(loss.onLeft()).as("outside of a bend to the left is right").isFalse();
        assertThat(loss.part()).isInstanceOf(Part.Bend.class);
    }

    @ParameterizedTest
    @ValueSource(doubles = {3, 4, 6})
    void aGainFarAboveTheOnsetWiggles(double times) {
        Setup setup = Setups.edge();
        WiggleOnset onset = LaneReport.of(setup).wiggle().orElseThrow();
        Loss loss = lost(
                gains(setup, times * onset.kp(), 0),
                Start.calm(2),
                new Part.Straight(1500),
                new Part.Bend(200, Math.PI),
                new Part.Straight(800));
        assertThat(loss.why()).isInstanceOf(Why.Wiggled.class);
        assertThat(((Why.Wiggled) loss.why()).periodS())
                .as("period, s")
                .isCloseTo(onset.periodS(), within(0.35 * onset.periodS()));
    }

    @Test
    void aCornerThatNothingTurnsAt() {
        Loss loss = lost(
                gains(Setups.pair(), 0.3, 0.6),
                Start.calm(0),
                new Part.Straight(500),
                new Part.RightAngle(Part.Turn.LEFT, 100),
                new Part.Straight(500));
        assertThat(loss.why()).isEqualTo(new Why.Corner(Doing.FOLLOWING));
    }

    @Test
    void aGapBeganAslant() {
        Loss loss = lost(
                gains(Setups.pair(), 0.3, 0.6),
                Start.calm(0),
                new Part.Straight(300),
                new Part.Bend(200, Math.PI / 2),
                new Part.Gap(500),
                new Part.Straight(500));
        assertThat(loss.why()).isInstanceOf(Why.Unguided.class);
        assertThat(loss.blindS()).as("blind, s").isGreaterThan(0.3);
    }

    @Test
    void aStartFarAslant() {
        Loss loss = lost(gains(Setups.pair(), 0.1, 0), new Start(0, 0.9, Variation.CALM, 0), new Part.Straight(1500));
        assertThat(loss.why()).isEqualTo(new Why.BadStart(0, 0.9));
        assertThat(loss.onLeft()).isTrue();
    }

    /** Gain enough for the bend, as it shows without the delay; but a sixth of a second goes by before anything comes of it. */
    @Test
    void aLoopThatIsLateAtTheBend() {
        Setup pair = Setups.pair();
        Setup quick = pair.withLaw(pair.law().withGains(0.25, 0, 0).withBaseCommand(50));
        Part[] parts = {new Part.Straight(400), new Part.Bend(140, Math.PI), new Part.Straight(500)};
        Track track = Track.of(course(parts), quick);
        assertThat(Twin.run(track, Start.calm(0), TickSink.NONE).completed()).isTrue();
        Loss loss = lost(quick.withLoop(new Loop(0.01, 0.16)), Start.calm(0), parts);
        assertThat(loss.why()).isInstanceOf(Why.TooLate.class);
        assertThat(((Why.TooLate) loss.why()).lagS()).as("late by, s").isCloseTo(0.16 + 0.005 + 0.04, within(1e-9));
    }

    /** Marks that say left where the course goes on: the rule that turns at crossings steers off the line. */
    @Test
    void aMarkThatLies() {
        Loss loss = lost(
                marked(),
                Start.calm(0),
                new Part.Straight(500),
                new Part.Crossing(150, Part.Turn.STRAIGHT, new Part.Marks(Part.Sides.LEFT, Part.Sides.NONE)),
                new Part.Straight(900));
        assertThat(loss.why()).isEqualTo(new Why.TurnedAway(Doing.TURNING));
    }

    @Test
    void marksThatSayTurnRoundOnTheWay() {
        Loss loss = lost(
                marked(),
                Start.calm(0),
                new Part.Straight(900),
                new Part.Crossing(150, Part.Turn.STRAIGHT, new Part.Marks(Part.Sides.BOTH, Part.Sides.NONE)),
                new Part.Straight(900));
        assertThat(loss.why()).isEqualTo(new Why.TurnedRound(Doing.TURNING));
    }

    /** A fifth of its volts, five times as long. */
    @Test
    void aFlatBattery() {
        Variation flat = new Variation(0.2, 1, 0, 0, 0, 1, 1, 0);
        Loss loss = lost(gains(Setups.pair(), 0.3, 0.6), new Start(0, 0, flat, 0), new Part.Straight(1500));
        assertThat(loss.why()).isEqualTo(new Why.TooSlow());
    }

    /** Wheels so uneven that hardly any gain holds the straight. */
    @Test
    void unevenWheelsOnAStraight() {
        Variation uneven = new Variation(1, 1, 0.4, 0, 0, 1, 1, 0);
        Loss loss = lost(gains(Setups.pair(), 0.03, 0.06), new Start(0, 0, uneven, 0), new Part.Straight(2500));
        assertThat(loss.why()).isEqualTo(new Why.Drifted());
        assertThat(loss.onLeft()).as("the right wheel is faster").isTrue();
    }

    private static Setup marked() {
        Setup setup = gains(Setups.withMarkSensors(), 0.3, 0.6);
        return setup.withLaw(setup.law()
                .withOptions(
                        setup.law().options().withTurnMarks(Optional.of(UsualTurnMarks.of(setup, Palette.USUAL)))));
    }

    @Test
    void aCompletedRunHasNone() {
        Track track = Track.of(course(new Part.Straight(1500)), Setups.pair());
        Trace trace = new Trace();
        RunResult result = Twin.run(track, Start.calm(0), trace);
        assertThat(result.completed()).isTrue();
        assertThat(Loss.of(track, Start.calm(0), result, trace)).isEmpty();
    }
}
