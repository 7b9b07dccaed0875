package fahrbahn.core.knowledge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.path.Part;
import fahrbahn.core.setup.Chassis;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.BumpClearance;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class ClearanceTest {
    /** By drawing: wheel and ramp touch where the wheel's circle meets the ramp's line; the part is then on the ramp. */
    @ParameterizedTest
    @CsvSource({"9, 28, 20", "6, 40, 15", "12, 21, 25", "3, 28, 5"})
    void theFormulaAgreesWithTheGeometry(double height, double radius, double degrees) {
        double a = Math.toRadians(degrees);
        // Wheel centre x before the foot such that its distance to the ramp's line is the radius.
        double low = 0;
        double high = 500;
        for (int i = 0; i < 100; i++) {
            double x = (low + high) / 2;
            double distance = x * Math.sin(a) + radius * Math.cos(a);
            if (distance > radius) {
                high = x;
            } else {
                low = x;
            }
        }
        double rampAtHeight = height / Math.tan(a);
        assertThat(Clearance.mostOverhangMm(height, radius, a)).isCloseTo(low + rampAtHeight - radius, within(1e-9));
    }

    @Test
    void theSteepestRampJustClears() {
        Chassis chassis = new Chassis(-70, 9, 28, false);
        Sensor sensor = new Sensor("s", 70, 0, 3, 200, 700, 3, 1);
        double steepest = Clearance.steepestRampRad(chassis, sensor);
        assertThat(Clearance.spareAtRampMm(chassis, sensor, steepest)).isCloseTo(0, within(1e-3));
        assertThat(Clearance.spareAtRampMm(chassis, sensor, steepest * 1.1)).isNegative();
        assertThat(Clearance.steepestRampRad(chassis, sensor.withPlace(-20, 0))).isEqualTo(Math.PI / 2);
        assertThatThrownBy(() -> Clearance.mostOverhangMm(9, 28, 0)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> Clearance.mostOverhangMm(Double.NaN, 28, 0.2)).isInstanceOf(BadValueException.class);
    }

    @Test
    void onAFlatBumpNothingChangesAndOnAHighOneTheSensorScrapes() {
        Chassis chassis = new Chassis(-70, 9);
        assertThat(BumpClearance.of(new Part.Bump(60, 0), chassis, 58).leastMm())
                .isCloseTo(9, within(1e-9));
        // Wheels and support still flat, the sensor is over the top: 9 - 5.
        BumpClearance five = BumpClearance.of(new Part.Bump(60, 5), chassis, 58);
        assertThat(five.leastMm()).isLessThanOrEqualTo(4);
        assertThat(BumpClearance.of(new Part.Bump(60, 14), chassis, 58).leastMm())
                .isNegative();
        assertThat(BumpClearance.of(new Part.Bump(60, 5), chassis, 2).leastMm())
                .as("near the wheels it is lifted with them")
                .isGreaterThan(8);
    }

    @ParameterizedTest
    @EnumSource(SensorPreset.class)
    void everyPresetMakesARowOfAnySize(SensorPreset preset) {
        for (int count = 1; count <= 16; count++) {
            Setup pair = Setups.pair();
            ErrorSignal kind = count == 1 ? ErrorSignal.EDGE : count == 2 ? ErrorSignal.PAIR : ErrorSignal.ARRAY_MEAN;
            Setup setup = new Setup(
                    pair.robot().withSensors(preset.row(count, 60, 19)),
                    pair.line(),
                    pair.law().withSignal(kind).withScale(Scale.PERCENT).withTarget(50));
            assertThat(setup.robot().sensors()).hasSize(count);
            double middle =
                    setup.robot().sensors().stream().mapToDouble(Sensor::leftMm).sum();
            assertThat(middle).isCloseTo(0, within(1e-9));
        }
    }
}
