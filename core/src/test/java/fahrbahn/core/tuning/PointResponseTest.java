package fahrbahn.core.tuning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.setup.Setup;
import java.util.ArrayDeque;
import java.util.Collections;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A step beside the path and the tightest bend, with calm gains, soft ones and such that wiggle. */
class PointResponseTest {
    private static final double DT_S = 5e-5;

    private static Setup with(double kp, double kd) {
        return Setups.pair().withLaw(Setups.pair().law().withGains(kp, 0, kd));
    }

    /**
     * The linear model of the loop, integrated in steps of 0.05 ms by a second program: commands every period, after the delay. The twin's curve
     * bends away from its slope over 5 mm, so the times agree to a fifth and two ticks, the swing beyond to a tenth of the step.
     */
    @ParameterizedTest
    @CsvSource({"0.2, 0.3", "0.3, 0.6", "0.4, 0.2"})
    void settlesAndSwingsAsTheLinearModelDoes(double kp, double kd) {
        Setup setup = with(kp, kd);
        PointResponse response = PointResponse.of(setup);
        LoopModel model = LoopModel.of(setup);
        double periodS = setup.robot().loop().periodS();
        int delay = (int) Math.round(setup.robot().loop().delayS() / DT_S);
        int perTick = (int) Math.round(periodS / DT_S);
        double v = setup.speedMmPerS();
        double lead = setup.leadMm();
        double tau = setup.robot().drive().lagS();
        double y = response.stepMm();
        double heading = 0;
        double turn = 0;
        double last = y;
        double settles = 0;
        double beyond = 0;
        ArrayDeque<Double> sent = new ArrayDeque<>(Collections.nCopies(delay, 0.0));
        double steering = 0;
        for (int i = 0; i * DT_S < 3; i++) {
            double e = y + lead * heading;
            if (i % perTick == 0) {
                steering = -model.slopePerMm() * (kp * e + kd * (e - last));
                last = e;
                settles = Math.abs(e) > 0.1 * response.stepMm() ? i * DT_S + periodS : settles;
                beyond = Math.max(beyond, -e / response.stepMm());
            }
            sent.add(steering);
            turn += DT_S * (model.turnRatePerCommand() * sent.remove() - turn) / tau;
            heading += DT_S * turn;
            y += DT_S * v * heading;
        }
        assertThat(response.stays()).isTrue();
        assertThat(response.round()).isTrue();
        assertThat(response.step().offsetMm(0)).isCloseTo(response.stepMm(), within(1e-9));
        assertThat(response.settlesS()).isCloseTo(settles, within(0.2 * settles + 2 * periodS));
        assertThat(response.overshootShare()).isCloseTo(beyond, within(0.1));
    }

    @Test
    void moreGainSwingsFurtherBeyondAndStraysLessInTheBend() {
        PointResponse soft = PointResponse.of(with(0.2, 0.6));
        PointResponse sharp = PointResponse.of(with(0.5, 0.6));
        assertThat(sharp.overshootShare()).isGreaterThan(soft.overshootShare());
        assertThat(sharp.strayMm()).isLessThan(soft.strayMm());
    }

    @Test
    void gainsThatWiggleNeverSettle() {
        assertThat(PointResponse.of(with(3, 0)).settlesS()).isNaN();
        assertThat(PointResponse.of(with(0.01, 0)).round()).isFalse();
    }
}
