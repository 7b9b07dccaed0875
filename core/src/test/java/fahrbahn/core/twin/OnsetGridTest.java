package fahrbahn.core.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Repeated;
import fahrbahn.core.Setups;
import fahrbahn.core.loop.GainRay;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.loop.SampledLoop;
import fahrbahn.core.loop.WiggleOnset;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.SpeedCurve;
import fahrbahn.core.trace.TickSink;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The twin on a straight line against the sampled-data theory, over a grid of drawn setups: it must be the same loop. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class OnsetGridTest extends Repeated {
    private static final double STRAIGHT_MM = 10_000;

    /** A swing this small is inside the straight part of every edge: a hundredth of a spot. */
    private static final double SMALL_MM = 0.03;

    private int count() {
        return times(8, 60);
    }

    Stream<Setup> setups() {
        return Stream.concat(Setups.drawn(31, count()).stream(), bent());
    }

    /** Speeds that sag, or rise, with the command, above a dead zone: the loop has their slope at the base command. */
    private Stream<Setup> bent() {
        Random random = new Random(5);
        return Setups.drawn(32, count() / 4).stream().map(s -> {
            double full = s.robot().drive().fullCommand();
            double sag = 0.8 * random.nextDouble() - 0.2;
            SpeedCurve curve = new SpeedCurve(0.08 * random.nextDouble() * full, sag, 0.1 * full, 0.09 * full);
            return s.withDrive(s.robot().drive().withCurve(curve));
        });
    }

    private static WiggleOnset onset(Setup setup) {
        return WiggleOnset.along(new SampledLoop(LoopModel.of(setup)), GainRay.PROPORTIONAL)
                .orElseThrow();
    }

    /**
     * Onset within 2 %: small swings die out 2 % below it, and 2 % above it grow until the curve of the edge holds them. The
     * slowest of these loops changes its swings tenfold on the way.
     */
    @ParameterizedTest
    @MethodSource("setups")
    void swingsDieOutBelowTheOnsetAndGrowAboveIt(Setup setup) {
        double kp = onset(setup).kp();
        assertThat(lastSwings(setup, 0.98 * kp)).as("at 0.98 of the onset").isLessThan(SMALL_MM / 3);
        assertThat(lastSwings(setup, 1.02 * kp)).as("at 1.02 of the onset").isGreaterThan(SMALL_MM);
    }

    /** A bent curve slows an inner wheel by more than its slope says, so that its robot soon wiggles faster: left out here. */
    Stream<Setup> ofOnePeriod() {
        return setups().filter(s -> s.robot().drive().traits().curve().isStraight()
                || s.robot().drive().mixing() == Mixing.DIFFERENCE);
    }

    /** Period within 3 %, of the wiggle that has settled 2 % above the onset. */
    @ParameterizedTest
    @MethodSource("ofOnePeriod")
    void wigglesWithThePredictedPeriod(Setup setup) {
        WiggleOnset onset = onset(setup);
        RunResult result =
                Twin.run(Track.straight(STRAIGHT_MM, at(setup, 1.02 * onset.kp())), Start.calm(2), TickSink.NONE);
        assertThat(result.ride().wigglePeriodS()).as("%s", result).isPresent();
        assertThat(result.ride().wigglePeriodS().getAsDouble())
                .isCloseTo(onset.periodS(), within(0.03 * onset.periodS()));
    }

    /** Root mean square of the swings over the second half of the way. */
    private static double lastSwings(Setup setup, double kp) {
        return Twin.run(Track.straight(STRAIGHT_MM, at(setup, kp)), Start.calm(SMALL_MM), TickSink.NONE)
                .rmsMm();
    }

    /**
     * Far above the onset the edge saturates: at three times its gain the period is some percent off that of the onset, either way, and with
     * inner-wheel mixing, which slows the robot, more. Screens say which of the two a figure comes from; these are the bounds they name.
     */
    @Test
    void atThreeTimesTheOnsetTheTwinsPeriodIsItsOwn() {
        double least = 1;
        double most = 1;
        double leastSlowed = 1;
        for (Setup setup : Setups.drawn(31, count())) {
            WiggleOnset onset = onset(setup);
            RunResult result =
                    Twin.run(Track.straight(STRAIGHT_MM, at(setup, 3 * onset.kp())), Start.calm(2), TickSink.NONE);
            double ratio = result.ride().wigglePeriodS().orElse(onset.periodS()) / onset.periodS();
            if (setup.robot().drive().mixing() == Mixing.DIFFERENCE) {
                least = Math.min(least, ratio);
                most = Math.max(most, ratio);
            } else {
                leastSlowed = Math.min(leastSlowed, ratio);
            }
        }
        assertThat(least).isBetween(0.88, count() < 60 ? 1 : 0.98);
        assertThat(most).isBetween(count() < 60 ? 1 : 1.02, 1.06);
        assertThat(leastSlowed).isBetween(0.88, count() < 60 ? 1 : 0.98);
    }

    Stream<Setup> innerWheelSetups() {
        return Setups.drawn(31, count()).stream().filter(s -> s.robot().drive().mixing() == Mixing.INNER_WHEEL);
    }

    /**
     * Well above the onset inner-wheel mixing slows the robot as it wiggles, by up to two thirds, and its wiggle gets shorter. At
     * the speed it really has, the theory gives the period again: 1 %, the curve of the edge being left out.
     */
    @ParameterizedTest
    @MethodSource("innerWheelSetups")
    void innerWheelMixingChangesThePeriodByItsSpeedAlone(Setup setup) {
        double lengthMm = 6000;
        Setup wiggling = at(setup, 1.1 * onset(setup).kp());
        RunResult result = Twin.run(Track.straight(lengthMm, wiggling), Start.calm(2), TickSink.NONE);
        double realSpeed = lengthMm / result.timeS();
        assertThat(realSpeed).isLessThan(0.95 * setup.speedMmPerS());
        double base = setup.law().baseCommand() * realSpeed / setup.speedMmPerS();
        double expected =
                onset(setup.withLaw(setup.law().withBaseCommand(base))).periodS();
        assertThat(result.ride().wigglePeriodS().getAsDouble()).isCloseTo(expected, within(0.01 * expected));
    }

    private static Setup at(Setup setup, double kp) {
        return setup.withLaw(setup.law().withGains(kp, 0, 0));
    }
}
