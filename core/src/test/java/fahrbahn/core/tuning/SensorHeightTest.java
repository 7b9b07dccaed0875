package fahrbahn.core.tuning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import org.junit.jupiter.api.Test;

class SensorHeightTest {
    private final Setup setup = Setups.edge();
    private final double heightMm = setup.robot().chassis().sensorHeightMm();

    /** In percent of what was captured there, the slope at the edge of a wide line falls as the spot grows; in raw numbers the light falls too. */
    @Test
    void slopeFallsWithTheSpotAndInRawNumbersWithTheLight() {
        double share = 1.4;
        double percent =
                LoopModel.of(SensorHeight.moved(setup, share * heightMm)).slopePerMm();
        assertThat(percent)
                .isCloseTo(
                        LoopModel.of(setup).slopePerMm() / share,
                        within(0.002 * LoopModel.of(setup).slopePerMm()));

        Sensor eye = setup.robot().sensors().get(0);
        double middle = (eye.dark() + eye.light()) / 2;
        Setup raw = setup.withLaw(setup.law().withScale(Scale.RAW).withTarget(middle));
        Setup moved = SensorHeight.moved(raw, share * heightMm);
        Sensor eyeThere = moved.robot().sensors().get(0);
        assertThat(moved.law().target()).isCloseTo((eyeThere.dark() + eyeThere.light()) / 2, within(1e-9));
        assertThat(LoopModel.of(moved).slopePerMm())
                .isCloseTo(
                        LoopModel.of(raw).slopePerMm() / (share * share * share),
                        within(0.002 * LoopModel.of(raw).slopePerMm()));
    }

    @Test
    void backIsWhereItWas() {
        Setup there = SensorHeight.moved(setup, 1.5 * heightMm);
        Sensor back = SensorHeight.moved(there, heightMm).robot().sensors().get(0);
        Sensor eye = setup.robot().sensors().get(0);
        assertThat(back.light()).isCloseTo(eye.light(), within(1e-9));
        assertThat(back.spotSigmaMm()).isCloseTo(eye.spotSigmaMm(), within(1e-9));
        assertThat(back.dark()).isEqualTo(eye.dark());
    }

    @Test
    void farHeightsAreRefused() {
        assertThatThrownBy(() -> SensorHeight.moved(setup, 2.1 * heightMm)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> SensorHeight.moved(setup, Double.NaN)).isInstanceOf(BadValueException.class);
    }
}
