package fahrbahn.core.tuning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.List;
import org.junit.jupiter.api.Test;

class UnscaledTest {
    private static Setup pair(double leftLight) {
        Setup pair = Setups.pair();
        List<Sensor> sensors = pair.robot().sensors();
        Sensor brighter = sensors.get(0).withSurfaces(12, leftLight, 0);
        return pair.withRobot(pair.robot().withSensors(List.of(brighter, sensors.get(1))))
                .withLaw(pair.law().withGains(0.2, 0, 0));
    }

    @Test
    void sensorsThatReadAlikeNeedNoScaling() {
        Unscaled alike = Unscaled.of(pair(78), 100);
        assertThat(alike.groundSteering()).isCloseTo(0, within(1e-12));
        assertThat(alike.asideMm()).isCloseTo(0, within(0.05));
        assertThat(alike.comesBack()).isTrue();
    }

    /** Ground reads 85 and 78 where the program takes 81.5 for both: an error of 7 in 69.5 parts of 100, times Kp. */
    @Test
    void groundSteersByTheDifferenceAndTheGapIsLeftOnAnArc() {
        Setup real = pair(85);
        Unscaled unlike = Unscaled.of(real, 100);
        double steering = 0.2 * 100 * 7 / 69.5;
        assertThat(Math.abs(unlike.groundSteering())).isCloseTo(steering, within(1e-9));
        // In the gap it turns at G u, but for the lag and delay at its beginning: half the square of the way over the
        // radius.
        double radius = real.speedMmPerS()
                / (real.robot().drive().turnRatePerCommand(real.law().baseCommand()) * steering);
        double lead = real.leadMm();
        double full = (100 * 100 / 2.0 + 100 * lead) / radius;
        assertThat(Math.abs(unlike.asideMm())).isBetween(0.3 * full, 1.05 * full);
        assertThat(Math.signum(unlike.asideMm())).isEqualTo(Math.signum(unlike.groundSteering()));
        assertThat(Math.abs(unlike.scaledAsideMm())).isLessThan(0.1 * Math.abs(unlike.asideMm()));
        assertThat(Math.abs(Unscaled.of(pair(92), 100).asideMm())).isGreaterThan(1.5 * Math.abs(unlike.asideMm()));
        assertThat(Unscaled.matters(real)).isTrue();
        assertThat(Unscaled.matters(Setups.edge())).isFalse();
    }
}
