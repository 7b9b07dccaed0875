package fahrbahn.core.loop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.law.GainUnits;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Margins, modes, region, wiggle clock and transfer: each against the others and against closed forms. */
class MarginsTest {
    static Stream<Setup> setups() {
        return Setups.drawn(5, 12).stream();
    }

    private static WiggleOnset onset(LoopModel model, double kdPerKp) {
        return WiggleOnset.along(new SampledLoop(model), GainRay.ratio(kdPerKp)).orElseThrow();
    }

    /** Eigenvalues and frequency response are two ways to one border. */
    @ParameterizedTest
    @MethodSource("setups")
    void gainMarginIsTheOnsetOverTheGain(Setup setup) {
        LoopModel model = LoopModel.of(setup);
        WiggleOnset onset = onset(model, 1.5);
        double kp = onset.kp() / 3;
        Margins margins = Margins.of(model, kp, 0, 1.5 * kp);
        assertThat(margins.gain()).isCloseTo(3, within(3e-6));
    }

    @ParameterizedTest
    @MethodSource("setups")
    void atTheDelayMarginTheLoopIsOnItsOnset(Setup setup) {
        LoopModel model = LoopModel.of(setup);
        double kp = onset(model, 1).kp() / 2;
        double extra = Margins.of(model, kp, 0, kp).delayS();
        assertThat(extra).isPositive();
        assertThat(onset(model.withDelayS(model.loop().delayS() + extra), 1).kp())
                .isCloseTo(kp, within(1e-5 * kp));
    }

    /** A vanishing gain leaves a slow second-order motion: theta'' has damping L*omega/(2v) at omega = sqrt(v*Kp*g*G). */
    @Test
    void dampingOfASoftLoopIsThatOfTheSecondOrderMotion() {
        LoopModel model = new LoopModel(200, 0.1, 0, new Loop(1e-4, 0), 60, 5);
        double kp = 1e-3;
        double omega = Math.sqrt(200 * kp * 5 * 0.1);
        Margins margins = Margins.of(model, kp, 0, 0);
        double damping = 60 * omega / (2 * 200);
        assertThat(margins.dampingRatio()).isCloseTo(damping, within(1e-3 * damping));
        assertThat(margins.slowestPeriodS())
                .isCloseTo(2 * Math.PI / (omega * Math.sqrt(1 - damping * damping)), within(1e-2));
        assertThat(margins.settlingS()).isCloseTo(1 / (damping * omega), within(1e-2 / (damping * omega)));
    }

    @Test
    void anUnstableLoopHasNoMarginsAndSaysSo() {
        LoopModel model = LoopModel.of(Setups.pair());
        double kp = 1.5 * onset(model, 0).kp();
        assertThatThrownBy(() -> Margins.of(model, kp, 0, 0)).hasMessageContaining("unstable as it is");
    }

    @Test
    void theRegionIsStableInsideAndUnstableOutside() {
        SampledLoop loop = new SampledLoop(LoopModel.of(Setups.pair()));
        StabilityRegion region = StabilityRegion.of(loop, 24);
        int seen = 0;
        for (StabilityRegion.Ray ray : region.rays()) {
            for (StableSpan span : ray.spans()) {
                double kp = span.toKp();
                double kd = ray.kdPerKp() * kp;
                assertThat(loop.spectralRadius(0.99 * kp, 0, 0.99 * kd)).isLessThan(1);
                assertThat(loop.spectralRadius(1.01 * kp, 0, 1.01 * kd)).isGreaterThan(1);
                seen++;
            }
        }
        assertThat(seen).isGreaterThan(12);
    }

    /** The clock is read off the onset's own period: lag and gain come back. Its continuous delay T/2 for the hold errs a little. */
    @ParameterizedTest
    @MethodSource("setups")
    void countingWigglesGivesTheLagBack(Setup setup) {
        LoopModel model = LoopModel.of(setup);
        WiggleOnset onset = onset(model, 0);
        WiggleClock clock = WiggleClock.of(onset.periodS(), model);
        // T/2 stands for the hold up to second order in omega*T; 5 % of the lag and 2 ms cover the fastest of these.
        assertThat(clock.lagS()).isCloseTo(model.lagS(), within(0.05 * model.lagS() + 0.002));
        assertThat(clock.onsetKp()).isCloseTo(onset.kp(), within(0.05 * onset.kp()));
    }

    @Test
    void aWiggleTooFastForItsLeadIsRefused() {
        assertThatThrownBy(() -> WiggleClock.of(0.02, LoopModel.of(Setups.edge())))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("periodS is 0.02");
        assertThatThrownBy(() -> WiggleClock.of(Double.NaN, LoopModel.of(Setups.edge())))
                .hasMessageContaining("NaN");
    }

    /** Doubling the numbers a reading spans halves the gain. */
    @Test
    void doublingTheReadingScaleHalvesKp() {
        Setup percent = Setups.edge();
        Sensor sensor = percent.robot().sensors().get(0);
        Setup raw = percent.withLaw(percent.law().withScale(Scale.RAW).withTarget(45));
        Sensor wide = new Sensor("eye", sensor.forwardMm(), 0, sensor.spotSigmaMm(), 24, 156, 1, 1);
        Setup doubled =
                raw.withRobot(raw.robot().withSensor(0, wide)).withLaw(raw.law().withTarget(90));
        double onset = onset(LoopModel.of(raw), 0).kp();
        assertThat(onset(LoopModel.of(doubled), 0).kp()).isCloseTo(onset / 2, within(1e-9 * onset));
        Law carried = GainTransfer.between(raw, doubled).sameSteering();
        assertThat(carried.kp()).isCloseTo(raw.law().kp() / 2, within(1e-6));
    }

    /** Where only the numbers changed, both ways of carrying gains over agree with the conversion of units. */
    @Test
    void gainsCarryOverToAnotherScaleMixingAndPower() {
        Setup from = Setups.edge().withLaw(Setups.edge().law().withGains(0.3, 0.004, 0.8));
        Sensor sensor = from.robot().sensors().get(0);
        Law permille = GainUnits.rescaled(from.law(), Scale.PERMILLE, sensor);
        GainTransfer scaled = GainTransfer.between(from, from.withLaw(permille.withGains(9, 9, 9)));
        assertThat(scaled.sameSteering().kd()).isCloseTo(permille.kd(), within(1e-6));
        assertThat(scaled.sameShare().orElseThrow().kp()).isCloseTo(permille.kp(), within(1e-6));

        Drive drive = from.robot().drive();
        Setup inner = from.withDrive(drive.withMixing(Mixing.INNER_WHEEL));
        // G of inner-wheel mixing is base/100 of that of difference mixing.
        assertThat(GainTransfer.between(from, inner).sameSteering().kp()).isCloseTo(0.3 / 0.4, within(1e-6));
        GainTransfer same = GainTransfer.between(from, from);
        assertThat(same.sameSteering()).isEqualTo(from.law());
        assertThat(same.from()).isEqualTo(same.to());
    }

    @Test
    void aSlowerLoopKeepsTheShareOfItsOwnOnset() {
        Setup from = Setups.edge().withLaw(Setups.edge().law().withGains(0.1, 0, 0.2));
        Setup slower = from.withLoop(new Loop(0.02, 0.016));
        Law carried = GainTransfer.between(from, slower).sameShare().orElseThrow();
        double before = 0.1 / onset(LoopModel.of(from), 2).kp();
        assertThat(carried.kd() / carried.kp())
                .as("half the ratio per loop is the same in time")
                .isCloseTo(1, within(1e-9));
        assertThat(carried.kp() / onset(LoopModel.of(slower), 1).kp()).isCloseTo(before, within(1e-6));
    }

    @Test
    void theLaneIsReadyToDrawAndClosesAtItsCeiling() {
        Lane lane = Lane.of(Setups.pair(), 1, 30);
        List<double[]> arrays = List.of(lane.speedsMmPerS(), lane.lowKps(), lane.wiggleKps());
        assertThat(arrays).allSatisfy(a -> assertThat(a).hasSize(30));
        double ceiling = lane.ceilingSpeedMmPerS().orElse(Double.POSITIVE_INFINITY);
        for (int i = 0; i < 30; i++) {
            boolean open = lane.wiggleKps()[i] > lane.lowKps()[i];
            assertThat(open).isEqualTo(lane.speedsMmPerS()[i] <= ceiling);
        }
    }
}
