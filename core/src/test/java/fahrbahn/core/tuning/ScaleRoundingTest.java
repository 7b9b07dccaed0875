package fahrbahn.core.tuning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.law.GainUnits;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import org.junit.jupiter.api.Test;

/** What whole numbers cost, against sums by hand. */
class ScaleRoundingTest {
    private static Setup edgeIn(Scale scale) {
        Setup edge = Setups.edge();
        return edge.withLaw(
                GainUnits.rescaled(edge.law(), scale, edge.lawSensors().get(0)));
    }

    private static ScaleRounding in(Scale scale) {
        return ScaleRounding.of(edgeIn(scale), Workers.all(), Job.UNWATCHED).orElseThrow();
    }

    /** Contrast 66 in ten steps: 6.6 readings each; the edge's slope is top / (sigma root 2 pi) a mm. */
    @Test
    void tenStepsByHand() {
        ScaleRounding ten = in(new Scale(10));
        Sensor eye = Setups.edge().robot().sensors().get(0);
        assertThat(ten.stepReadings()).isCloseTo(6.6, within(1e-12));
        assertThat(Math.abs(ten.stepMm()))
                .as("a line seven spots wide is an edge")
                .isCloseTo(eye.spotSigmaMm() * Math.sqrt(2 * Math.PI) / 10, within(0.01));
        double now = Math.sqrt(0.6 * 0.6 + 1 / 12.0);
        assertThat(ten.noiseTimes()).isCloseTo(Math.sqrt(0.6 * 0.6 + (1 + 6.6 * 6.6) / 12) / now, within(1e-12));
        assertThat(ten.roundedRmsMm()).as("eleven shades are felt").isGreaterThan(1.1 * ten.rmsMm());
    }

    /** As many steps as the sensor has, and nothing is lost; in the sensor's own numbers there is nothing to round. */
    @Test
    void finerThanTheSensorCostsNothing() {
        ScaleRounding thousand = in(Scale.PERMILLE);
        assertThat(thousand.roundedRmsMm()).isCloseTo(thousand.rmsMm(), within(1e-12));
        assertThat(thousand.noiseTimes()).isLessThan(1.01);
        assertThat(ScaleRounding.of(edgeIn(Scale.RAW), Workers.all(), Job.UNWATCHED))
                .isEmpty();
    }
}
