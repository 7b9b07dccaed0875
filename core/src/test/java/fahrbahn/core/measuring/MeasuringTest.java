package fahrbahn.core.measuring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.GuessCost;
import fahrbahn.core.loop.GainRay;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.loop.SampledLoop;
import fahrbahn.core.loop.WiggleClock;
import fahrbahn.core.loop.WiggleOnset;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.SpeedCurve;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class MeasuringTest {
    private static final Drive DRIVE = new Drive(130, 600, 0.05, Mixing.DIFFERENCE, 200);

    @Test
    void whatIsKnownBeforehandAndWhatTheEntriesShowArePooled() {
        Measured mean = Measured.mean(new double[] {2.0, 2.2, 2.4}, 0.1);
        assertThat(mean.value()).isCloseTo(2.2, within(1e-12));
        // Twelve degrees of freedom of 0.1 and two of 0.2: variance (12 * 0.01 + 0.08) / 14.
        double error = Math.sqrt(0.2 / 14 / 3);
        assertThat(mean.standardError()).isCloseTo(error, within(1e-12));
        assertThat(mean.plusMinus()).isCloseTo(2.144787 * error, within(1e-6)); // t(0.975, 14), any table
        assertThat(Measured.mean(new double[] {5}, 0.1).plusMinus()).isCloseTo(0.2178813, within(1e-6)); // t(0.975, 12)
        assertThatThrownBy(() -> Measured.mean(new double[] {}, 0.1)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> Measured.mean(new double[] {1, Double.NaN}, 0.1))
                .isInstanceOf(BadValueException.class);
        assertThat(new Measured(3, 0.1, 4).through(x -> x * x).standardError()).isCloseTo(0.6, within(0.02));
    }

    /** 600 +- 28 became 601 +- 440 with the second entry once. */
    @Test
    void agreeingEntriesShrinkTheInterval() {
        double before = Double.POSITIVE_INFINITY;
        for (int n = 1; n <= 6; n++) {
            double[] entries = new double[n];
            for (int i = 0; i < n; i++) {
                entries[i] = 600 + i % 2;
            }
            double now = Measured.mean(entries, 14).plusMinus();
            assertThat(now).isLessThan(0.9 * before);
            before = now;
        }
        assertThat(Measured.mean(new double[] {560, 600, 640}, 14).plusMinus())
                .as("those that scatter widen it")
                .isGreaterThan(Measured.mean(new double[] {599, 600, 601}, 14).plusMinus() * 1.5);
    }

    @Test
    void rolledMetresGiveSpeedAndDeadZoneBack() {
        List<RollFit.Roll> rolls = new ArrayList<>();
        for (double command : new double[] {60, 100, 150, 200}) {
            double speed = 600 * (command - 20) / (200 - 20);
            rolls.add(new RollFit.Roll(command, 1000, 1000 / speed, 0));
            rolls.add(new RollFit.Roll(command, 1000, 1000 / speed, 0));
        }
        RollFit fit = RollFit.of(rolls, DRIVE);
        assertThat(fit.freeSpeedMmPerS().value()).isCloseTo(600, within(1e-6));
        assertThat(fit.deadZoneCommand().value()).isCloseTo(20, within(1e-6));
        assertThat(fit.crookedShare()).isLessThan(1e-9);
        assertThat(fit.mismatchShare().orElseThrow().value()).isZero();
        assertThat(fit.perCommand()).hasSize(4);
    }

    @Test
    void threeCommandsGiveTheBendBackAndTwoSayTheyCannot() {
        Drive bent = DRIVE.withCurve(new SpeedCurve(20, 0.3, 0, 0));
        List<RollFit.Roll> rolls = new ArrayList<>();
        for (double command : new double[] {60, 130, 200}) {
            rolls.add(new RollFit.Roll(command, 1000, 1000 / bent.speedMmPerS(command), 0));
        }
        RollFit fit = RollFit.of(rolls, DRIVE);
        assertThat(fit.freeSpeedMmPerS().value()).isCloseTo(600, within(1e-6));
        assertThat(fit.deadZoneCommand().value()).isCloseTo(20, within(1e-6));
        assertThat(fit.sagShare().orElseThrow().value()).isCloseTo(0.3, within(1e-6));
        assertThat(RollFit.of(rolls.subList(0, 2), DRIVE).sagShare()).isEmpty();
        List<RollFit.Roll> near = new ArrayList<>();
        for (double command : new double[] {100, 104, 108}) {
            near.add(new RollFit.Roll(command, 1000, 1000 / bent.speedMmPerS(command), 0));
        }
        assertThat(RollFit.of(near, DRIVE).sagShare()).as("too near each other").isEmpty();
        // One command is scaled by the curve that is known.
        assertThat(RollFit.of(rolls.subList(1, 2), bent).freeSpeedMmPerS().value())
                .isCloseTo(600, within(1e-6));
    }

    @Test
    void creepingTellsWhatStartsAndWhatHolds() {
        CreepFit fit = CreepFit.of(List.of(new CreepFit.Creep(2, 24, 16), new CreepFit.Creep(2, 22, 14)));
        assertThat(fit.breakawayCommand().value()).isCloseTo(22, within(1e-12));
        assertThat(fit.holdingCommand().value()).isCloseTo(16, within(1e-12));
        assertThatThrownBy(() -> new CreepFit.Creep(1, 10, 12)).hasMessageContaining("less holds a rolling wheel");
        assertThatThrownBy(() -> CreepFit.of(List.of())).isInstanceOf(BadValueException.class);
    }

    @Test
    void theIntervalOfTheRolledSpeedHoldsTheTruth() {
        Random random = new Random(4);
        int held = 0;
        int runs = 300;
        for (int run = 0; run < runs; run++) {
            List<RollFit.Roll> rolls = new ArrayList<>();
            for (double command : new double[] {70, 110, 160, 200}) {
                double speed = 600 * (command - 15) / (200 - 15);
                double time = 1000 / speed + RollFit.WATCH_ERROR_S * random.nextGaussian();
                rolls.add(new RollFit.Roll(command, 1000 + RollFit.RULER_ERROR_MM * random.nextGaussian(), time, 0));
            }
            Measured speed = RollFit.of(rolls, DRIVE).freeSpeedMmPerS();
            held += Math.abs(speed.value() - 600) <= 1.96 * speed.standardError() ? 1 : 0;
        }
        // 95 % is 285; time is in the denominator, so the error is a little skewed: four standard deviations and two
        // more.
        assertThat(held).isGreaterThan(285 - 17);
    }

    /** Two rolls, of which one was not looked at from behind: the other alone tells whether it veers. */
    @Test
    void whatWasNotMeasuredIsNotNothing() {
        RollFit.Roll looked = new RollFit.Roll(100, 1000, 4, 30);
        RollFit.Roll not = new RollFit.Roll(100, 1000, 4, Double.NaN);
        assertThat(RollFit.of(List.of(looked, not), DRIVE)
                        .mismatchShare()
                        .orElseThrow()
                        .value())
                .isEqualTo(RollFit.of(List.of(looked), DRIVE)
                        .mismatchShare()
                        .orElseThrow()
                        .value());
        assertThat(RollFit.of(List.of(not), DRIVE).mismatchShare()).isEmpty();
    }

    @Test
    void oneCommandScalesAndAnArcTellsTheMismatch() {
        RollFit fit = RollFit.of(List.of(new RollFit.Roll(100, 1000, 4, 30)), DRIVE);
        assertThat(fit.freeSpeedMmPerS().value()).isCloseTo(500, within(1e-9));
        // The arc's curvature is 2*30/1000^2 per mm; over 130 mm of track the right wheel is 0.78 % faster.
        assertThat(fit.mismatchShare().orElseThrow().value()).isCloseTo(130 * 2 * 30 / 1e6, within(1e-12));
        assertThatThrownBy(() -> RollFit.of(List.of(), DRIVE)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() ->
                        RollFit.of(List.of(new RollFit.Roll(50, 1000, 2, 0), new RollFit.Roll(100, 1000, 3, 0)), DRIVE))
                .hasMessageContaining("roll faster at higher commands");
    }

    @Test
    void turnsOnTheSpotGiveTheTrackWidth() {
        // Each wheel at 200 mm/s about a middle 65 mm away turns 200/65 rad/s: ten turns take 20*pi*65/200 s.
        double time = 20 * Math.PI * 65 / 200;
        Measured width = SpinTurns.trackWidthMm(
                List.of(new SpinTurns.Spin(10, time), new SpinTurns.Spin(10, time)), new Measured(200, 4, 5));
        assertThat(width.value()).isCloseTo(130, within(1e-9));
        assertThat(width.standardError()).isGreaterThan(0.02 * 130).isLessThan(0.022 * 130);
    }

    @Test
    void countedLoopsGiveTheLoopTime() {
        Measured period = LoopCount.periodS(List.of(new LoopCount.Count(2000, 10), new LoopCount.Count(2020, 10)));
        assertThat(period.value()).isCloseTo((0.005 + 10 / 2020.0) / 2, within(1e-12));
        assertThatThrownBy(() -> new LoopCount.Count(0, 10)).hasMessageContaining("at least 1");
    }

    @Test
    void wigglesGiveTheLagBackAndItsErrorByTheClock() {
        Setup setup = Setups.edge();
        LoopModel model = LoopModel.of(setup);
        double period = WiggleOnset.along(new SampledLoop(model), GainRay.PROPORTIONAL)
                .orElseThrow()
                .periodS();
        WiggleTiming timing = WiggleTiming.of(List.of(new WiggleTiming.Wiggles(30, 30 * period)), model);
        assertThat(timing.lagS().value())
                .isCloseTo(WiggleClock.of(period, model).lagS(), within(1e-12))
                .isCloseTo(model.lagS(), within(0.03 * model.lagS())); // the clock's delay of T/2 stands for the hold
        double watch = RollFit.WATCH_ERROR_S / 30;
        double moved =
                WiggleClock.of(period + watch, model).lagS() - timing.lagS().value();
        assertThat(timing.lagS().standardError()).isCloseTo(moved, within(0.1 * moved));
    }

    @ParameterizedTest
    @EnumSource(Constant.class)
    void everyConstantIsReadBackAsItWasSet(Constant constant) {
        Setup setup = Setups.pair();
        double changed = constant.of(setup) * 1.1 + 0.0011;
        assertThat(constant.of(constant.with(setup, changed))).isCloseTo(changed, within(1e-9 * changed));
        assertThat(constant.guessedWithin(setup)).isPositive();
    }

    @Test
    void aWorseGuessCostsMoreAndNoUncertaintyCostsNothing() {
        Setup setup = Setups.pair();
        GuessCost none = GuessCost.of(setup, Constant.LAG, 0);
        assertThat(none.share()).isLessThan(1e-9);
        GuessCost some = GuessCost.of(setup, Constant.LAG, 0.2 * Constant.LAG.of(setup));
        GuessCost more = GuessCost.of(setup, Constant.LAG, 0.4 * Constant.LAG.of(setup));
        assertThat(some.share()).isGreaterThan(0.05);
        assertThat(more.share()).isGreaterThan(some.share());
        assertThat(some.lowKp()).isLessThan(some.nowKp());
        assertThat(some.highKp()).isGreaterThan(some.nowKp());
    }
}
