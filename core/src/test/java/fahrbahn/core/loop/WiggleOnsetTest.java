package fahrbahn.core.loop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class WiggleOnsetTest {
    static Stream<Setup> setups() {
        return Setups.drawn(11, 60).stream();
    }

    /** The frequency response says where; the eigenvalues, computed another way, must agree on both sides of it. */
    @ParameterizedTest
    @MethodSource("setups")
    void loopIsStableJustBelowAndUnstableJustAbove(Setup setup) {
        SampledLoop loop = new SampledLoop(LoopModel.of(setup));
        for (GainRay ray : List.of(
                GainRay.PROPORTIONAL,
                GainRay.ratio(2),
                new GainRay(0.003 * setup.robot().drive().fullCommand(), 0))) {
            Optional<WiggleOnset> onset = WiggleOnset.along(loop, ray);
            assertThat(onset).isPresent();
            double kp = onset.get().kp();
            assertThat(loop.spectralRadius(0.999 * kp, 0, ray.kdAt(0.999 * kp))).isLessThan(1);
            assertThat(loop.spectralRadius(1.001 * kp, 0, ray.kdAt(1.001 * kp))).isGreaterThan(1);
        }
    }

    @Test
    void noProportionalGainIsStableBelowTheLeastLead() {
        double least = LoopModel.of(Setups.edge()).leastLeadMm();
        assertThat(onset(withLead(0.98 * least))).isEmpty();
        assertThat(onset(withLead(1.02 * least))).isPresent();
    }

    /** With tiny periods the sampled loop becomes the continuous one. */
    @Test
    void tendsToTheContinuousLoopAsThePeriodShrinks() {
        double v = 200;
        double lead = 60;
        double tau = 0.05;
        // tau s^3 + s^2 + K L s + K v = 0 is on the edge when K L = tau K v, so any K > 0 is stable for L > tau v.
        LoopModel fast = new LoopModel(v, 0.1, tau, new Loop(1e-4, 0), lead, 10);
        assertThat(fast.leastLeadMm()).isCloseTo(v * tau, within(v * 1e-4));
        double coarse = WiggleOnset.along(new SampledLoop(withPeriod(fast, 4e-3)), GainRay.PROPORTIONAL)
                .orElseThrow()
                .kp();
        double fine = WiggleOnset.along(new SampledLoop(withPeriod(fast, 1e-3)), GainRay.PROPORTIONAL)
                .orElseThrow()
                .kp();
        assertThat(fine / coarse).as("the onset runs off to infinity as 1/T").isCloseTo(4, within(0.8));
    }

    private static LoopModel withPeriod(LoopModel m, double periodS) {
        return new LoopModel(
                m.speedMmPerS(), m.turnRatePerCommand(), m.lagS(), new Loop(periodS, 0), m.leadMm(), m.slopePerMm());
    }

    @Test
    void doublingTheScaleOfReadingsHalvesTheOnset() {
        Setup percent = Setups.edge();
        Law law = percent.law();
        Setup permille = percent.withLaw(
                new Law(law.signal(), law.side(), Scale.PERMILLE, 500, law.kp(), 0, 0, law.baseCommand()));
        assertThat(onset(permille).orElseThrow().kp())
                .isCloseTo(onset(percent).orElseThrow().kp() / 10, within(1e-6));
        assertThat(onset(permille).orElseThrow().periodS())
                .isCloseTo(onset(percent).orElseThrow().periodS(), within(1e-9));
    }

    /** A delay of whole periods, told as whole or as a hair less, is the same loop. */
    @Test
    void delayIsContinuousAcrossWholePeriods() {
        LoopModel m = LoopModel.of(Setups.edge());
        double whole = onsetKp(m, 0.02);
        assertThat(onsetKp(m, 0.02 - 1e-7)).isCloseTo(whole, within(1e-4 * whole));
        assertThat(onsetKp(m, 0.02 + 1e-7)).isCloseTo(whole, within(1e-4 * whole));
    }

    private static double onsetKp(LoopModel m, double delayS) {
        LoopModel delayed = new LoopModel(
                m.speedMmPerS(), m.turnRatePerCommand(), m.lagS(), new Loop(0.01, delayS), m.leadMm(), m.slopePerMm());
        return WiggleOnset.along(new SampledLoop(delayed), GainRay.PROPORTIONAL)
                .orElseThrow()
                .kp();
    }

    private static Optional<WiggleOnset> onset(Setup setup) {
        return WiggleOnset.along(new SampledLoop(LoopModel.of(setup)), GainRay.PROPORTIONAL);
    }

    private static Setup withLead(double leadMm) {
        Sensor sensor = Setups.sensor("eye", leadMm, 0);
        return Setups.edge().withRobot(Setups.edge().robot().withSensors(List.of(sensor)));
    }
}
