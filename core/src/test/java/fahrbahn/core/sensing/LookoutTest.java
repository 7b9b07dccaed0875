package fahrbahn.core.sensing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.mat.Mat;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.path.Pose;
import fahrbahn.core.response.Spacing;
import fahrbahn.core.response.Spot;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LookoutTest {
    private final Setup setup = Setups.pair();
    private final Course straight = Course.straight(1000);

    /** A straight line along x at y 150; the raster agrees with the closed form to half a percent of the contrast. */
    @ParameterizedTest
    @ValueSource(doubles = {-20, -7.5, 0, 4, 12, 30})
    void aStandingRobotReadsWhatTheClosedFormSays(double offset) {
        Lookout lookout = Lookout.on(straight, setup);
        double[] readings = lookout.readings(new Pose(500, 150 + offset, 0));
        for (int i = 0; i < readings.length; i++) {
            Sensor sensor = setup.robot().sensors().get(i);
            double coverage =
                    Spot.coverage(offset + sensor.leftMm(), setup.line().widthMm(), sensor.spotSigmaMm());
            double expected = sensor.light() + (sensor.dark() - sensor.light()) * coverage;
            assertThat(readings[i]).isCloseTo(expected, within(0.005 * sensor.contrast() + sensor.step() / 2));
        }
    }

    @Test
    void turnedRoundItSeesTheSameMirrored() {
        Lookout lookout = Lookout.on(straight, setup);
        double[] along = lookout.readings(new Pose(500, 158, 0));
        double[] back = lookout.readings(new Pose(610, 158, Math.PI));
        assertThat(back[0]).isCloseTo(along[1], within(1.0)); // a step of the sensor
        assertThat(back[1]).isCloseTo(along[0], within(1.0));
    }

    @Test
    void onAMatItReadsItsPicture() {
        int[] rgb = new int[400 * 300];
        java.util.Arrays.fill(rgb, 0xffffff);
        java.util.Arrays.fill(rgb, 140 * 400, 160 * 400, 0x000000);
        Picture picture = new Picture(400, 300, rgb, 0);
        Lookout mat = Lookout.on(new Mat("m", picture, 400, 0x000000, 0xffffff), setup);
        Sensor left = setup.robot().sensors().get(0);
        double[] over = mat.readings(new Pose(100, 150 - left.leftMm(), 0));
        double coverage = Spot.coverage(0, 20, left.spotSigmaMm());
        assertThat(over[0]).isCloseTo(left.light() + (left.dark() - left.light()) * coverage, within(1.0));
        assertThat(over[1]).as("a spacing and a half away, on ground").isCloseTo(left.light(), within(1.0));
    }

    @Test
    void spacingIsSteepestAtOneLineWidthAndBlindWhenWide() {
        Spacing at = Spacing.of(spaced(setup.line().widthMm()));
        assertThat(at.slopeShare()).isCloseTo(1, within(1e-12));
        assertThat(at.blindHalfMm()).isZero();
        for (double span : new double[] {14, 20, 30, 36}) {
            assertThat(Spacing.of(spaced(span)).slopeShare()).isLessThan(1);
        }
        Spacing wide = Spacing.of(spaced(48));
        assertThat(wide.blindHalfMm()).isCloseTo((48 - 24) / 2.0 - 2 * 3.4, within(1e-12));
        // Marks reach from half a line width, 12 mm, 30 mm further out.
        assertThat(wide.markInnerMm()).isEqualTo(12);
        assertThat(wide.markOuterMm()).isEqualTo(42);
        assertThat(wide.seeingMarks()).containsExactly("left", "right");
        assertThat(Spacing.of(spaced(10)).seeingMarks()).isEmpty();
        assertThat(Spacing.of(Setups.edge()).slopeShare()).isNaN();
    }

    private Setup spaced(double spanMm) {
        return setup.withRobot(setup.robot()
                        .withSensor(0, Setups.sensor("left", 55, spanMm / 2))
                        .withSensor(1, Setups.sensor("right", 55, -spanMm / 2)))
                .withLaw(setup.law().withSignal(ErrorSignal.PAIR));
    }
}
