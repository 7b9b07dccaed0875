package fahrbahn.core.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.sensing.Variation;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Options.LostLine;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.setup.Traits;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.trace.TickSink;
import fahrbahn.core.trace.Trace;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class EnsembleTest {
    private static final Setup GOOD = Setups.pair().withLaw(Setups.pair().law().withGains(0.3, 0, 0.6));

    private static Ensemble drive(Spread spread, int runs, long seed, int threads) {
        Track track = Track.of(DemoCourses.workshopLoop(), GOOD);
        return Ensemble.drive(track, spread, 0, runs, seed, Workers.of(threads), Job.UNWATCHED);
    }

    @Test
    void sameSeedSameRunsOnAnyNumberOfThreads() {
        Ensemble one = drive(Spread.TYPICAL, 30, 4, 1);
        assertThat(drive(Spread.TYPICAL, 30, 4, 2)).isEqualTo(one);
        assertThat(drive(Spread.TYPICAL, 30, 4, 7)).isEqualTo(one);
        assertThat(drive(Spread.TYPICAL, 30, 5, 2).results()).isNotEqualTo(one.results());
        assertThat(drive(Spread.TYPICAL, 12, 4, 2).results())
                .as("a run does not depend on how many follow")
                .isEqualTo(one.results().subList(0, 12));
    }

    /** A single run of many can be driven again, with a trace. */
    @Test
    void aRunOfManyComesBackByItsStart() {
        Ensemble many = drive(Spread.TYPICAL, 5, 9, 2);
        Trace trace = new Trace();
        Track track = Track.of(DemoCourses.workshopLoop(), GOOD);
        assertThat(Twin.run(track, many.starts().get(3), trace))
                .isEqualTo(many.results().get(3));
        assertThat(trace.size()).isGreaterThan(1000);
    }

    @Test
    void itIsStoppedWhenItsJobAsksAndTellsHowFarItIs() {
        AtomicInteger told = new AtomicInteger();
        Job stopsAfterSeven = new Job() {
            @Override
            public boolean cancelled() {
                return told.get() >= 7;
            }

            @Override
            public void progress(int done, int of) {
                assertThat(of).isEqualTo(5000);
                told.incrementAndGet();
            }
        };
        Track track = Track.of(DemoCourses.workshopLoop(), GOOD);
        assertThatThrownBy(() -> Ensemble.drive(track, Spread.NONE, 0, 5000, 1, Workers.of(2), stopsAfterSeven))
                .isInstanceOf(CancelledException.class);
        assertThat(told.get()).isBetween(7, 9);
        assertThatThrownBy(() -> drive(Spread.NONE, 0, 1, 1))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("runs is 0");
    }

    /** Normal draws cut at 2.5 sigma keep 0.97 of their standard deviation; 400 of them tell it to 10 % at three sigmas. */
    @Test
    void startsAreSpreadAsAsked() {
        double[] offsets = new double[400];
        double[] batteries = new double[400];
        for (int i = 0; i < offsets.length; i++) {
            Start start = Spread.TYPICAL.draw(5, 77, i);
            offsets[i] = start.offsetMm();
            batteries[i] = start.variation().batteryShare();
        }
        assertThat(new Sample(offsets).mean()).isCloseTo(5, within(3 * 3 / Math.sqrt(400)));
        assertThat(new Sample(offsets).sd()).isCloseTo(0.97 * 3, within(0.32));
        assertThat(new Sample(batteries).sd()).isCloseTo(0.97 * 0.03, within(0.0032));
        assertThat(Spread.NONE.draw(2, 1, 1)).satisfies(s -> {
            assertThat(s.offsetMm()).isEqualTo(2);
            assertThat(s.variation().slipShare()).isZero();
            assertThat(s.variation().batteryShare()).isEqualTo(1);
            assertThat(s.variation().heightShare()).isEqualTo(1);
        });
    }

    /** Speed is in proportion to the battery, and a lap takes the time that its length and speed say. */
    @Test
    void aWeakBatteryMakesLapsLongerInProportion() {
        Track track = Track.straight(2000, GOOD);
        Variation weak = new Variation(0.8, 1, 0, 0, 0, 1, 1, 0);
        double usual = Twin.run(track, Start.calm(0), TickSink.NONE).timeS();
        double slow = Twin.run(track, new Start(0, 0, weak, 0), TickSink.NONE).timeS();
        assertThat(slow).isCloseTo(usual / 0.8, within(2 * 0.01));
    }

    /** More or less light moves an edge rider off the edge: the reading at its target comes somewhere else on the edge. */
    @Test
    void moreLightMovesAnEdgeRiderTowardsTheDark() {
        Setup edge = Setups.edge();
        Track track = Track.straight(3000, edge.withLaw(edge.law().withGains(0.2, 0, 0.2)));
        Trace trace = new Trace();
        Twin.run(track, new Start(0, 0, new Variation(1, 1, 0, 0, 0, 1.2, 1, 0), 0), trace);
        double settled = trace.offsetMm(trace.size() - 1);
        // Riding the right edge of a dark line at target 45 of 12 to 78: light at 1.2 reads 45 where it read 37.5.
        double z = 3.4 * zOf((45 / 1.2 - 12) / (78 - 12));
        assertThat(settled).isCloseTo(-z, within(0.05));
    }

    private static double zOf(double share) {
        return new org.hipparchus.distribution.continuous.NormalDistribution().inverseCumulativeProbability(share);
    }

    @Test
    void aHigherSensorSeesALargerSpotAndLessContrast() {
        Track track = Track.straight(1500, GOOD);
        RunResult usual = Twin.run(track, Start.calm(2), TickSink.NONE);
        RunResult lifted = Twin.run(track, new Start(2, 0, new Variation(1, 1, 0, 0, 0, 1, 1.4, 0), 0), TickSink.NONE);
        assertThat(lifted.completed()).isTrue();
        assertThat(lifted).isNotEqualTo(usual);
        RunResult same = Twin.run(track, new Start(2, 0, new Variation(1, 1, 0, 0, 0, 1, 1, 0), 0), TickSink.NONE);
        assertThat(same).as("no change of height, no change at all").isEqualTo(usual);
    }

    @Test
    void jitterChangesTheRunButNotItsLengthOnAverage() {
        Track track = Track.straight(4000, GOOD);
        RunResult even = Twin.run(track, Start.calm(0), TickSink.NONE);
        RunResult jittering =
                Twin.run(track, new Start(0, 0, new Variation(1, 1, 0, 0, 0, 1, 1, 0.2), 3), TickSink.NONE);
        // 1786 ticks whose lengths scatter by 20 %: the sum by 20 % / sqrt(1786).
        assertThat(jittering.timeS()).isCloseTo(even.timeS(), within(4 * 0.01 * 0.2 * Math.sqrt(1786) + 0.02));
        assertThat(jittering).isNotEqualTo(even);
    }

    @Test
    void gapsAreCrossedStraightAndBendsAreTurnedInto() {
        Course gap = new Course(
                "gap",
                1400,
                400,
                new Pose(150, 200, 0),
                List.of(new Part.Straight(400), new Part.Gap(70), new Part.Straight(500)),
                false);
        Setup row = Setups.row(ErrorSignal.ARRAY_MEAN, 5, 11);
        Law law = row.law().withGains(0.9, 0, 4);
        Setup reckless = row.withLaw(
                law.withOptions(Options.PLAIN.withLost(new LostLine(LostLine.Action.LAST_SIDE, 0.3, 60, 0))));
        Setup careful =
                row.withLaw(law.withOptions(Options.PLAIN.withLost(new LostLine(LostLine.Action.BY_LOSS, 0.3, 60, 8))));
        Start slanted = new Start(3, 0, Variation.CALM, 0);
        assertThat(Twin.run(Track.of(gap, careful), slanted, TickSink.NONE).completed())
                .isTrue();
        assertThat(Twin.run(Track.of(gap, reckless), slanted, TickSink.NONE).peakMm())
                .isGreaterThan(
                        Twin.run(Track.of(gap, careful), slanted, TickSink.NONE).peakMm());
        Course corner = new Course(
                "corner",
                1000,
                900,
                new Pose(150, 200, 0),
                List.of(new Part.Straight(200), new Part.RightAngle(Part.Turn.LEFT, 150), new Part.Straight(150)),
                false);
        RunResult round = Twin.run(Track.of(corner, careful), Start.calm(0), TickSink.NONE);
        assertThat(round.completed()).as("%s", round).isTrue();
        Setup blind =
                row.withLaw(law.withOptions(Options.PLAIN.withLost(new LostLine(LostLine.Action.STRAIGHT, 0.3, 0, 0))));
        assertThat(Twin.run(Track.of(corner, blind), Start.calm(0), TickSink.NONE)
                        .completed())
                .isFalse();
    }

    /** Corners, gap, crossing, bump, crease and ramp: a row that tells a gap from a bend gets through to the stop strip. */
    @Test
    void aCarefulRowGetsThroughTheRescueCourse() {
        Setup row = Setups.row(ErrorSignal.ARRAY_MEAN, 5, 11);
        LostLine byLoss = new LostLine(LostLine.Action.BY_LOSS, 0.3, 45, 8);
        Setup careful = row.withLaw(row.law()
                .withGains(0.9, 0, 4)
                .withBaseCommand(25)
                .withOptions(Options.PLAIN.withLost(byLoss).withLimits(new Options.Limits(60, 0, 0.15))));
        RunResult result = Twin.run(Track.of(DemoCourses.rescue(), careful), Start.calm(0), TickSink.NONE);
        assertThat(result.completed()).as("%s", result).isTrue();
    }

    @Test
    void bumpsAndRampsDisturbTheRun() {
        List<Part> parts = List.of(
                new Part.Straight(300),
                new Part.Bump(60, 6),
                new Part.Straight(200),
                new Part.Ramp(200, 0.15),
                new Part.Straight(200));
        Course hills = new Course("hills", 1400, 400, new Pose(150, 200, 0), parts, false);
        Course flat = new Course("flat", 1400, 400, new Pose(150, 200, 0), List.of(new Part.Straight(960)), false);
        Setup edge = Setups.edge().withLaw(Setups.edge().law().withGains(0.2, 0, 0.3));
        RunResult uphill = Twin.run(Track.of(hills, edge), Start.calm(0), TickSink.NONE);
        RunResult level = Twin.run(Track.of(flat, edge), Start.calm(0), TickSink.NONE);
        assertThat(uphill.completed()).isTrue();
        assertThat(uphill.peakMm()).as("the lifted sensor reads wrong").isGreaterThan(level.peakMm() + 1);
        double slower = 200 / (edge.speedMmPerS() * (1 - Math.sin(0.15))) - 200 / edge.speedMmPerS();
        assertThat(uphill.timeS() - level.timeS()).isCloseTo(slower, within(0.06));
    }

    /** Commands go to zero in the tick that finished: the way to rest is speed * (delay + lag), less what is left of the tick. */
    @Test
    void itComesToRestWhereDelayAndLagCarryIt() {
        Setup slow = GOOD.withLoop(new Loop(0.001, 0.03));
        Track track = Track.straight(1000, slow);
        RunResult result = Twin.run(track, Start.calm(0), TickSink.NONE);
        double speed = slow.speedMmPerS();
        double expected = speed * (0.03 + slow.robot().drive().lagS());
        assertThat(result.stopAlongMm()).isCloseTo(expected, within(speed * 0.001 + 1e-6));
        assertThat(result.stopAcrossMm()).isCloseTo(0, within(0.01));
    }

    /** Left and right exchanged everywhere: sensors' places, edge, wheels' mismatch, bends. The path must be the mirror image. */
    @Test
    void mirroredRobotRidesTheMirroredCourse() {
        Setup right = Setups.edge().withLaw(Setups.edge().law().withGains(0.25, 0, 0.5));
        right = right.withDrive(right.robot().drive().withTraits(Traits.IDEAL.withMismatchShare(0.04)));
        Setup left = right.withLaw(right.law().withSide(Side.LEFT))
                .withDrive(right.robot().drive().withTraits(Traits.IDEAL.withMismatchShare(-0.04)));
        Trace onRight = new Trace();
        Trace onLeft = new Trace();
        Twin.run(Track.of(bent(1), right), Start.calm(2), onRight);
        Twin.run(Track.of(bent(-1), left), Start.calm(-2), onLeft);
        assertThat(onLeft.size()).isEqualTo(onRight.size());
        for (int i = 0; i < onRight.size(); i++) {
            // Cells hold floats: 1e-7 of the contrast, some 1e-6 mm at the edge, and the loop adds up a few hundred of
            // them.
            assertThat(onLeft.offsetMm(i)).as("tick %d", i).isCloseTo(-onRight.offsetMm(i), within(1e-4));
        }
    }

    private static Course bent(int side) {
        // The table is as wide above as below the start, a whole number of cells, so that the rasters mirror each
        // other.
        return new Course(
                "bent",
                900,
                800,
                new Pose(150, 400, 0),
                List.of(new Part.Straight(250), new Part.Bend(200, side * 1.2), new Part.Straight(100)),
                false);
    }

    /** The same loop in ticks of half the time, everything else as before, comes closer and closer to the continuous robot. */
    @Test
    void finerLoopsConvergeOnTheSamePath() {
        double coarse = settledAt(0.008);
        double middle = settledAt(0.004);
        double fine = settledAt(0.002);
        double finest = settledAt(0.001);
        assertThat(Math.abs(middle - fine)).isLessThan(Math.abs(coarse - middle));
        assertThat(Math.abs(fine - finest)).isLessThan(Math.abs(middle - fine));
    }

    /** Offset 0.4 s after the start from 4 mm, with P alone. */
    private static double settledAt(double periodS) {
        Setup setup =
                Setups.edge().withLaw(Setups.edge().law().withGains(0.15, 0, 0)).withLoop(new Loop(periodS, 0.008));
        Trace trace = new Trace();
        Twin.run(Track.straight(300, setup), Start.calm(4), trace);
        return trace.offsetMm((int) Math.round(0.4 / periodS));
    }
}
