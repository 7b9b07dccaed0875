package fahrbahn.core.check;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.colour.Channel;
import fahrbahn.core.setup.Chassis;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Side;
import java.util.function.DoubleConsumer;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Each number of a robot: its largest is taken, what is beyond it, and what is none, is refused with field, value and rule. */
class BoundsTest {
    private static final Sensor SENSOR = new Sensor("left", 60, 10, 3, 200, 700, 3, 1, Channel.ALL);
    private static final Drive DRIVE = new Drive(120, 500, 0.05, Mixing.DIFFERENCE, 100);
    private static final Law LAW = new Law(ErrorSignal.EDGE, Side.LEFT, Scale.PERCENT, 50, 0.5, 0, 1, 40);

    private static Arguments field(String name, double most, DoubleConsumer make) {
        return Arguments.of(name, most, make);
    }

    static Stream<Arguments> fields() {
        return Stream.of(
                field("forwardMm", Bounds.ROBOT_MM, v -> SENSOR.withPlace(v, 0)),
                field("leftMm", Bounds.ROBOT_MM, v -> SENSOR.withPlace(0, v)),
                field("spotSigmaMm", Bounds.SPOT_MM, SENSOR::withSpotSigmaMm),
                field("dark", Bounds.NUMBER, v -> SENSOR.withSurfaces(v, 700, 3)),
                field("light", Bounds.NUMBER, v -> SENSOR.withSurfaces(200, v, 3)),
                field("noise", Bounds.NUMBER, v -> SENSOR.withSurfaces(200, 700, v)),
                field("step", Bounds.NUMBER, SENSOR::withStep),
                field("freeSpeedMmPerS", Bounds.SPEED_MM_PER_S, DRIVE::withFreeSpeedMmPerS),
                field("trackWidthMm", Bounds.ROBOT_MM, v -> new Drive(v, 500, 0.05, Mixing.DIFFERENCE, 100)),
                field("lagS", Bounds.LAG_S, DRIVE::withLagS),
                field("fullCommand", Bounds.NUMBER, v -> new Drive(120, 500, 0.05, Mixing.DIFFERENCE, v)),
                field("periodS", Bounds.LONGEST_LOOP_S, v -> new Loop(v, 0)),
                field("widthMm", Bounds.LINE_MM, v -> new Line(v, Polarity.DARK_ON_LIGHT, 150)),
                field("tightestRadiusMm", Bounds.RADIUS_MM, v -> new Line(20, Polarity.DARK_ON_LIGHT, v)),
                field("kp", Bounds.NUMBER, v -> LAW.withGains(v, 0, 0)),
                field("ki", Bounds.NUMBER, v -> LAW.withGains(0, v, 0)),
                field("kd", Bounds.NUMBER, v -> LAW.withGains(0, 0, v)),
                field("target", Bounds.NUMBER, LAW::withTarget),
                field("baseCommand", Bounds.NUMBER, LAW::withBaseCommand),
                field("sensorHeightMm", Bounds.ROBOT_MM, Chassis.TYPICAL::withSensorHeightMm),
                field("wheelRadiusMm", Bounds.ROBOT_MM, Chassis.TYPICAL::withWheelRadiusMm),
                field("supportForwardMm", Bounds.ROBOT_MM, Chassis.TYPICAL::withSupportForwardMm));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("fields")
    void theLargestIsTakenAndNothingBeyond(String name, double most, DoubleConsumer make) {
        assertThatCode(() -> make.accept(most)).doesNotThrowAnyException();
        for (double beyond : new double[] {1.001 * most, 1e300, Double.POSITIVE_INFINITY, Double.NaN}) {
            assertThatThrownBy(() -> make.accept(beyond))
                    .as("%s of %s", name, beyond)
                    .isInstanceOfSatisfying(
                            BadValueException.class,
                            refused -> org.assertj.core.api.Assertions.assertThat(refused.field())
                                    .isEqualTo(name));
        }
    }
}
