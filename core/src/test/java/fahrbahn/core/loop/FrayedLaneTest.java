package fahrbahn.core.loop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.setup.Setup;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The lane with other batteries. */
class FrayedLaneTest {
    @Test
    void anotherBatteryIsAnotherSpeedOfTheSameCommand() {
        Setup setup = Setups.pair();
        List<Lane> frayed = Lane.frayed(setup, 1.5, 20, 0.06);
        for (int i = 0; i < 2; i++) {
            double times = i == 0 ? 0.94 : 1.06;
            Lane.Slice slice = frayed.get(i).at(40);
            assertThat(slice.baseCommand()).isCloseTo(40, within(1e-9));
            assertThat(slice.speedMmPerS()).isCloseTo(times * setup.speedMmPerS(), within(1e-9));
            Setup driven = setup.withDrive(setup.robot()
                    .drive()
                    .withFreeSpeedMmPerS(times * setup.robot().drive().freeSpeedMmPerS()));
            SampledLoop loop = new SampledLoop(LoopModel.of(driven));
            assertThat(slice.wiggleKp().orElseThrow())
                    .isCloseTo(
                            WiggleOnset.along(loop, GainRay.ratio(1.5))
                                    .orElseThrow()
                                    .kp(),
                            within(1e-6));
        }
        // A full battery turns it quicker for the same steering, and drives it faster: it wiggles sooner.
        assertThat(frayed.get(1).at(40).wiggleKp().orElseThrow())
                .isLessThan(Lane.of(setup, 1.5, 20).at(40).wiggleKp().orElseThrow());
        assertThat(frayed.get(0).at(40).wiggleKp().orElseThrow())
                .isGreaterThan(Lane.of(setup, 1.5, 20).at(40).wiggleKp().orElseThrow());
    }
}
