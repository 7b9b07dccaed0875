package fahrbahn.core.loop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.law.GainUnits;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import org.junit.jupiter.api.Test;

/** Gains carried over to another scale, mixing, loop: against the conversion of units and against the border of each loop. */
class GainTransferTest {
    private static WiggleOnset onset(LoopModel model, double kdPerKp) {
        return WiggleOnset.along(new SampledLoop(model), GainRay.ratio(kdPerKp)).orElseThrow();
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
}
