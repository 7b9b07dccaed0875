package fahrbahn.core.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.loop.BendFloor;
import fahrbahn.core.loop.SpeedFloor;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.SpeedCurve;
import fahrbahn.core.setup.Traits;
import fahrbahn.core.table.Course;
import java.util.List;
import org.junit.jupiter.api.Test;

/** How slow is too slow, in closed form and on the twin. */
class SpeedFloorTest {
    private static final double RADIUS_MM = 130;

    private static Setup with(SpeedCurve curve, double base) {
        Setup pair = Setups.pair();
        return pair.withDrive(pair.robot().drive().withTraits(Traits.IDEAL.withCurve(curve)))
                .withLine(new Line(24, pair.line().polarity(), RADIUS_MM))
                .withLaw(pair.law().withBaseCommand(base));
    }

    @Test
    void aPlainDriveHasNone() {
        assertThat(SpeedFloor.of(with(SpeedCurve.STRAIGHT, 40))).isEmpty();
    }

    /** A wheel that goes on as long as it is driven at all never stops in a bend that it can make. */
    @Test
    void withADeadZoneAloneTheStartDecides() {
        SpeedFloor floor = SpeedFloor.of(with(new SpeedCurve(8, 0, 14, 8), 40)).orElseThrow();
        assertThat(floor.why()).isEqualTo(SpeedFloor.Why.START);
        assertThat(floor.baseCommand()).isEqualTo(14);
        assertThat(floor.speedMmPerS()).isCloseTo(560 * (14 - 8) / 92.0, within(1e-9));
    }

    /** The inner wheel runs at d + (B - d)(1 - b/2R), which is to be above what holds it rolling. */
    @Test
    void aWheelThatSticksIsHeldRollingInTheBend() {
        SpeedCurve sticky = new SpeedCurve(4, 0, 14, 13);
        Setup setup = with(sticky, 40);
        SpeedFloor floor = SpeedFloor.of(setup).orElseThrow();
        assertThat(floor.why()).isEqualTo(SpeedFloor.Why.BEND);
        double inner = (13 - 4) / (floor.baseCommand() - 4);
        double turning = 124 / 2.0 / (1 - inner);
        // The turning point runs inside the sensors' circle: sqrt(Rs^2 - L^2), Rs off the line by what the error needs.
        assertThat(turning).isBetween(Math.sqrt(RADIUS_MM * RADIUS_MM - 55 * 55), RADIUS_MM + 12);
        assertThat(letGo(with(sticky, 0.9 * floor.baseCommand())))
                .as("again and again")
                .isGreaterThan(20);
        assertThat(letGo(with(sticky, 1.15 * floor.baseCommand()))).isZero();
    }

    /** How many ticks of a bend, once it has settled, leave a wheel below what holds it rolling. */
    private static int letGo(Setup setup) {
        Course bend = new Course(
                "bend",
                1200,
                1200,
                new Pose(500, 300, 0),
                List.of(new Part.Straight(130), new Part.Bend(RADIUS_MM, 3 * Math.PI / 2)),
                false,
                Palette.USUAL);
        Setup soft = setup.withLaw(setup.law().withGains(1.2 * BendFloor.kp(setup), 0, 0));
        double holds = setup.robot().drive().traits().curve().holdsDownToCommand();
        int[] ticks = {0};
        Twin.run(Track.of(bend, soft), Start.calm(0), now -> {
            boolean low = Math.min(now.leftCommand(), now.rightCommand()) < holds;
            ticks[0] += now.sMm() > 400 && low ? 1 : 0;
        });
        return ticks[0];
    }
}
