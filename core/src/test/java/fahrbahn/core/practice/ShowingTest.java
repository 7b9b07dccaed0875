package fahrbahn.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.HiddenRobot;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.measuring.LoopCount;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.measuring.RollFit;
import fahrbahn.core.measuring.SlideFit;
import fahrbahn.core.measuring.SpinTurns;
import fahrbahn.core.measuring.WiggleTiming;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.SpeedCurve;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A coach with a perfect watch, who sees nothing but what is shown, finds what is hidden. */
class ShowingTest {
    private static Setup hidden(long seed) {
        return HiddenRobot.of(Setups.pair(), new Random(seed));
    }

    /** When a quantity that grows first reaches a value, by looking every millisecond. */
    private interface Seen {
        double at(double tS);
    }

    private static double when(Seen seen, double value, double endS) {
        for (int k = 0; k < endS * 1000; k++) {
            if (seen.at(k / 1000.0) >= value) {
                return k / 1000.0;
            }
        }
        throw new AssertionError("never reached " + value);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void rollsTellSpeedDeadZoneAndMismatch(long seed) {
        Setup real = hidden(seed);
        Drive drive = real.robot().drive();
        List<RollFit.Roll> rolls = new ArrayList<>();
        // Thrice each: the fit takes a coach's thumb for granted, and tells the bend from enough of them.
        for (double command : new double[] {25, 25, 25, 60, 60, 60, 100, 100, 100}) {
            RollShowing roll = new RollShowing(real, command, 1000);
            Seen x = t -> roll.at(t).xMm();
            double time = when(x, 1000, roll.endS()) - when(x, 0, roll.endS());
            assertThat(roll.timeS(1000) - roll.timeS(0)).isCloseTo(time, within(0.003));
            rolls.add(new RollFit.Roll(command, 1000, time, roll.asideMm()));
            assertThat(roll.reading(roll.endS())).startsWith("At the last mark it is ");
        }
        RollFit fit = RollFit.of(rolls, drive);
        // Two looks of a millisecond on the shortest roll.
        assertThat(fit.freeSpeedMmPerS().value()).isCloseTo(drive.freeSpeedMmPerS(), within(3.0));
        assertThat(fit.deadZoneCommand().value())
                .isCloseTo(drive.traits().curve().deadZoneCommand(), within(0.3));
        assertThat(fit.mismatchShare().orElseThrow().value())
                .isCloseTo(drive.traits().mismatchShare(), within(1e-4));
        assertThat(drive.traits().curve().sagShare()).isNotZero();
        assertThat(fit.sagShare().orElseThrow().value())
                .isCloseTo(drive.traits().curve().sagShare(), within(0.02));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void creepingTellsWhatStartsAndHoldsIt(long seed) {
        Setup real = hidden(seed);
        SpeedCurve curve = real.robot().drive().traits().curve();
        assertThat(curve.sticks()).isTrue();
        double step = 0.1;
        CreepShowing creep = new CreepShowing(real, step);
        double t = 0;
        while (creep.at(t + 0.05).xMm() == 0) {
            t += 0.05;
        }
        double starts = shown(creep, t + 0.05);
        while (creep.at(t + 0.75).xMm() - creep.at(t).xMm() > 1) {
            t += 0.05;
        }
        double stops = shown(creep, t + 0.75);
        assertThat(starts).isCloseTo(curve.startsAboveCommand(), within(2 * step));
        assertThat(stops).isCloseTo(curve.holdsDownToCommand(), within(2 * step));
        assertThat(creep.at(creep.endS()).xMm() - creep.at(creep.endS() - 0.2).xMm())
                .as("it stands at the end, mm")
                .isLessThan(0.1);
    }

    private static double shown(CreepShowing creep, double tS) {
        return Double.parseDouble(creep.reading(tS).replace("command ", ""));
    }

    @Test
    void belowItsDeadZoneItStandsAndSaysSo() {
        Setup real = hidden(3);
        RollShowing roll =
                new RollShowing(real, real.robot().drive().traits().curve().deadZoneCommand() / 2, 1000);
        assertThat(roll.moves()).isFalse();
        assertThat(roll.at(1)).isEqualTo(roll.at(0));
        assertThat(roll.reading(0.1)).contains("too small to start it");
    }

    @ParameterizedTest
    @ValueSource(longs = {5, 6, 7})
    void spinsTellTheTurningWidth(long seed) {
        Setup real = hidden(seed);
        Drive drive = real.robot().drive();
        SpinShowing spin = new SpinShowing(real, 40, 10);
        Seen turned = t -> spin.at(t).headingRad();
        // From the first time round on: it is at speed then.
        double time = when(turned, 22 * Math.PI, spin.endS()) - when(turned, 2 * Math.PI, spin.endS());
        Measured width = SpinTurns.trackWidthMm(
                List.of(new SpinTurns.Spin(10, time)), new Measured(drive.speedMmPerS(40), 1, 1));
        assertThat(width.value()).isCloseTo(drive.effectiveTrackWidthMm(), within(0.1));
    }

    @Test
    void loopsCountedTellTheLoopTime() {
        Setup real = hidden(8);
        LoopShowing loops = new LoopShowing(real, 10, 0.3);
        assertThat(loops.reading(0)).isEqualTo("0");
        double count = Double.parseDouble(loops.reading(99));
        double period =
                LoopCount.periodS(List.of(new LoopCount.Count(count, 10))).value();
        // One loop more or less.
        assertThat(period).isCloseTo(Constant.LOOP_TIME.of(real), within(1.01 * period / count));
    }

    @ParameterizedTest
    @ValueSource(longs = {9, 10, 11, 12})
    void wigglesTellTheLag(long seed) {
        Setup real = hidden(seed);
        WiggleShowing wiggles = new WiggleShowing(real, 20);
        List<Double> crossings = new ArrayList<>();
        Pose before = wiggles.at(4);
        for (double t = 4; t < wiggles.endS(); t += 0.001) {
            Pose now = wiggles.at(t);
            if (before.yMm() < 150 && now.yMm() >= 150) {
                crossings.add(t);
            }
            before = now;
        }
        double time = crossings.get(crossings.size() - 1) - crossings.get(0);
        WiggleTiming timing = WiggleTiming.of(
                List.of(new WiggleTiming.Wiggles(crossings.size() - 1, time)),
                LoopModel.of(real.withLaw(real.law().withGains(real.law().kp(), 0, 0))));
        // The clock is that of onset; the steady wiggle of the twin is longer by some percent of its period (SCIENCE,
        // section 5).
        assertThat(timing.lagS().value()).isCloseTo(Constant.LAG.of(real), within(0.12 * Constant.LAG.of(real)));
    }

    @Test
    void aRobotThatWigglesAtAnyGainHasNoClock() {
        Setup close = Setups.edge();
        Setup none = close.withRobot(close.robot().withSensors(List.of(Setups.sensor("eye", 2, 0))));
        assertThatThrownBy(() -> new WiggleShowing(none, 10))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("wiggles at any gain");
    }

    @Test
    void aSlideTellsSpotsAndSurfaces() {
        Setup real = hidden(13);
        SlideShowing slide = new SlideShowing(real, 4);
        List<Double> places = new ArrayList<>();
        List<List<Double>> shown = new ArrayList<>();
        for (double at = 0; at <= slide.endMm(); at += slide.stepMm()) {
            places.add(at);
            shown.add(slide.readings(at));
        }
        for (int i = 0; i < 2; i++) {
            int sensor = i;
            SlideFit fit = SlideFit.of(
                    places.stream().mapToDouble(p -> p).toArray(),
                    shown.stream().mapToDouble(r -> r.get(sensor)).toArray());
            Setup of = real;
            assertThat(fit.sigmaMm().value())
                    .isCloseTo(
                            of.robot().sensors().get(i).spotSigmaMm(),
                            within(3 * fit.sigmaMm().plusMinus()));
            assertThat(fit.ground().value())
                    .isCloseTo(of.robot().sensors().get(i).light(), within(1.5));
        }
    }
}
