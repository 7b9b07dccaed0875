package fahrbahn.core.tuning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Repeated;
import fahrbahn.core.Setups;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.marks.MarkTiming;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.table.Course;
import fahrbahn.core.trace.TickSink;
import fahrbahn.core.twin.CrossingPass;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Turn marks obeyed by the twin: which way it goes at a crossing, and why it does not. */
class MarkTrialTest extends Repeated {
    private static Setup seeing() {
        return marked(Setups.withMarkSensors(), m -> m);
    }

    private static Setup marked(Setup setup, UnaryOperator<TurnMarks> change) {
        TurnMarks marks = setup.law().options().turnMarks().orElse(null);
        TurnMarks begun = marks == null ? UsualTurnMarks.of(setup, Palette.USUAL) : marks;
        return setup.withLaw(
                setup.law().withOptions(setup.law().options().withTurnMarks(Optional.of(change.apply(begun)))));
    }

    private static RunResult run(Setup setup, Part.Turn way) {
        TurnMarks.Place place = setup.law().options().turnMarks().orElseThrow().place();
        Course course = MarkTrial.course(way, place, Palette.USUAL);
        return Twin.run(Track.of(course, setup), Start.noisy(0, 3), TickSink.NONE);
    }

    private static CrossingPass wrong(RunResult result) {
        return result.crossings().stream().filter(p -> !p.right()).findFirst().orElseThrow();
    }

    @ParameterizedTest
    @EnumSource(Part.Turn.class)
    void goesTheWayTheMarksTell(Part.Turn way) {
        for (TurnMarks.Place place : TurnMarks.Place.values()) {
            for (Mixing mixing : Mixing.values()) {
                Setup setup = marked(seeing(), m -> m.withPlace(place));
                var drive = setup.robot().drive();
                setup = setup.withDrive(new fahrbahn.core.setup.Drive(
                        drive.trackWidthMm(), drive.freeSpeedMmPerS(), drive.lagS(), mixing, drive.fullCommand()));
                RunResult result = run(setup, way);
                assertThat(result.crossings())
                        .as("%s %s %s", way, place, mixing)
                        .hasSize(1);
                assertThat(result.crossings().get(0).decided()).contains(way);
                assertThat(result.crossings().get(0).right()).isTrue();
                assertThat(result.completed())
                        .as("%s %s %s: %s", way, place, mixing, result)
                        .isTrue();
            }
        }
    }

    @Test
    void anEveningsRunsAreCountedByKind() {
        int runs = times(5, 20);
        MarkTrial trial = MarkTrial.of(seeing(), Palette.USUAL, runs, Workers.of(2), Job.UNWATCHED);
        assertThat(trial.met()).extracting(MarkTrial.Met::way).containsExactly(Part.Turn.values());
        for (MarkTrial.Met met : trial.met()) {
            assertThat(met.right()).as("%s", met).isGreaterThanOrEqualTo(times(4, 18));
            assertThat(met.through())
                    .as("%s", met)
                    .isGreaterThanOrEqualTo(times(3, 16))
                    .isLessThanOrEqualTo(met.right());
        }
    }

    @Test
    void readsThatDoNotFitAreNamed() {
        RunResult result = run(marked(seeing(), m -> m.withReads(40)), Part.Turn.LEFT);
        CrossingPass pass = wrong(result);
        assertThat(pass.cause()).isEqualTo(CrossingPass.Cause.TOO_FEW_READS);
        assertThat(pass.onLeft()).isTrue();
        assertThat(pass.reads()).isBetween(5, 39);
        assertThat(result.completed()).isFalse();
        assertThat(result.end()).isEqualTo(RunResult.End.LEFT_THE_LINE);
    }

    /** The mark ends at the crossing; with a short look back the spot's way from one to the other is too long. */
    @Test
    void aLookBackThatIsTooShortIsNamed() {
        CrossingPass pass =
                wrong(run(marked(seeing(), m -> m.withLookBack(new Extent(0, Extent.Unit.LOOPS))), Part.Turn.RIGHT));
        assertThat(pass.cause()).isEqualTo(CrossingPass.Cause.TOO_LONG_AGO);
        assertThat(pass.onLeft()).isFalse();
        assertThat(pass.since()).isGreaterThan(0);
    }

    @Test
    void marksOfTheOtherSideOfTheCrossingTellNothing() {
        Setup behind = marked(seeing(), m -> m.withPlace(TurnMarks.Place.BEHIND));
        Course before = MarkTrial.course(Part.Turn.LEFT, TurnMarks.Place.BEFORE, Palette.USUAL);
        RunResult result = Twin.run(Track.of(before, behind), Start.noisy(0, 3), TickSink.NONE);
        assertThat(result.crossings().get(0).decided()).contains(Part.Turn.ROUND);
        assertThat(wrong(result).cause()).isEqualTo(CrossingPass.Cause.NO_MARK);
    }

    /** Sensors that pass beside the marks never read them. */
    @Test
    void sensorsBesideTheMarksNeverReadThem() {
        Setup setup = seeing();
        List<Sensor> wide = setup.robot().sensors().stream()
                .map(s -> s.name().startsWith("far") ? s.withPlace(55, 2.2 * s.leftMm()) : s)
                .toList();
        CrossingPass pass = wrong(run(setup.withRobot(setup.robot().withSensors(wide)), Part.Turn.LEFT));
        assertThat(pass.cause()).isEqualTo(CrossingPass.Cause.NEVER_READ);
    }

    /** Two crossings near each other: what is passed while nothing counts is named so. */
    @Test
    void marksPassedWhileNothingCountsAreNamed() {
        Setup setup = marked(seeing(), m -> m.withBlank(new Extent(260, Extent.Unit.MM)));
        Course course = new Course(
                "two",
                1500,
                800,
                new Pose(250, 400, 0),
                List.of(
                        new Part.Straight(350),
                        new Part.Crossing(110, Part.Turn.STRAIGHT, false),
                        new Part.Straight(40),
                        new Part.Crossing(110, Part.Turn.LEFT, true),
                        new Part.Straight(100)),
                false);
        RunResult result = Twin.run(Track.of(course, setup), Start.noisy(0, 3), TickSink.NONE);
        assertThat(result.crossings()).hasSize(2);
        assertThat(result.crossings().get(0).right()).isTrue();
        assertThat(result.crossings().get(1).cause())
                .as("%s", result.crossings())
                .isEqualTo(CrossingPass.Cause.BLIND);
        Setup longer = marked(seeing(), m -> m.withBlank(new Extent(300, Extent.Unit.MM)));
        assertThat(Twin.run(Track.of(course, longer), Start.noisy(0, 3), TickSink.NONE)
                        .crossings()
                        .get(1)
                        .cause())
                .isEqualTo(CrossingPass.Cause.CROSSING_UNNOTICED);
    }

    /** A pair that rides an edge's width off the colours it expects takes the line's border for a mark: the edge has to be known. */
    @Test
    void aRuleThatDoesNotKnowTheEdgeImaginesMarks() {
        Setup setup = marked(seeing(), m -> {
            var known = m.colours().known().stream()
                    .filter(k -> !k.surface().equals("edge"))
                    .toList();
            var rule = new fahrbahn.core.colour.ColourRule(m.colours().space(), List.of(), known);
            return m.withReads(1).withColours(rule, m.left(), m.right());
        });
        CrossingPass pass = wrong(run(setup, Part.Turn.STRAIGHT));
        assertThat(pass.cause()).isEqualTo(CrossingPass.Cause.IMAGINED);
        assertThat(run(marked(seeing(), m -> m.withReads(1)), Part.Turn.STRAIGHT)
                        .crossings()
                        .get(0)
                        .right())
                .isTrue();
    }

    /**
     * The share of marks that is missed for want of reads is the one computed: over a noiseless mark, with the phase of the reads drawn evenly by
     * the way to it, a run counts as many reads as fit into the length over which the mark shows.
     */
    @Test
    void marksAreMissedInTheComputedShare() {
        int runs = times(20, 80);
        Setup setup = marked(seeing(), m -> m.withLookBack(new Extent(60, Extent.Unit.MM)));
        double stepMm = setup.robot().loop().periodS() * setup.speedMmPerS();
        double shownMm = shownMm(setup);
        for (int reads = (int) (shownMm / stepMm); reads <= shownMm / stepMm + 2; reads++) {
            int asked = reads;
            Setup asking = marked(setup, m -> m.withReads(asked));
            double computed =
                    new MarkTiming(reads, setup.robot().loop().periodS(), setup.speedMmPerS()).missed(shownMm);
            int missed = 0;
            for (int i = 0; i < runs; i++) {
                missed += calm(asking, stepMm * i / runs).crossings().get(0).cause() == CrossingPass.Cause.TOO_FEW_READS
                        ? 1
                        : 0;
            }
            // The phases are even, not random: the share is met to a run where it begins and one where it ends.
            assertThat((double) missed / runs).as("%d reads", reads).isCloseTo(computed, within(2.0 / runs));
        }
    }

    private static RunResult calm(Setup setup, double laterMm) {
        List<Part> parts = List.of(
                new Part.Straight(90 + laterMm), new Part.Crossing(60, Part.Turn.LEFT, true), new Part.Straight(40));
        Course small = new Course("later", 300, 240, new Pose(60, 100, 0), parts, false);
        return Twin.run(Track.of(small, setup), Start.calm(0), TickSink.NONE);
    }

    /** The length over which a robot going straight reads the mark: told by reads a hundredth as far apart. */
    private static double shownMm(Setup setup) {
        double finer = 100;
        var loop = setup.robot().loop();
        Setup fine = setup.withLoop(new fahrbahn.core.setup.Loop(loop.periodS() / finer, loop.delayS() / finer));
        Setup all = marked(fine, m -> m.withReads(1000));
        return calm(all, 0).crossings().get(0).reads() * loop.periodS() / finer * setup.speedMmPerS();
    }
}
