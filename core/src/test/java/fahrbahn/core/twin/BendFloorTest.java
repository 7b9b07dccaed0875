package fahrbahn.core.twin;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Setups;
import fahrbahn.core.loop.BendFloor;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.trace.TickSink;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The bend floor against the least Kp with which the twin holds a bend. */
class BendFloorTest {
    private static final double RADIUS_MM = 150;
    private static final double LINE_MM = 25;
    private static final double QUARTERS = 3 * Math.PI / 2;

    record Case(ErrorSignal kind, Mixing mixing, double leadMm, double spotMm) {
        Setup setup(double kp) {
            Setup base = kind.tracksEdge() ? Setups.edge() : Setups.pair();
            List<Sensor> sensors = base.robot().sensors().stream()
                    .map(s -> s.withPlace(leadMm, Math.signum(s.leftMm()) * LINE_MM / 2)
                            .withSpotSigmaMm(spotMm))
                    .toList();
            // Quick: no lag to speak of, so that what is left is the bend alone.
            Drive drive = new Drive(120, 600, 0.004, mixing, 100);
            return new Setup(
                    base.robot().withSensors(sensors).withDrive(drive).withLoop(new Loop(0.004, 0)),
                    new Line(LINE_MM, base.line().polarity(), RADIUS_MM),
                    base.law().withBaseCommand(25).withGains(kp, 0, 0));
        }
    }

    static List<Case> cases() {
        List<Case> cases = new ArrayList<>();
        for (ErrorSignal kind : List.of(ErrorSignal.EDGE, ErrorSignal.PAIR)) {
            for (Mixing mixing : Mixing.values()) {
                for (double lead : new double[] {20, 40, 60, 90, 120}) {
                    cases.add(new Case(kind, mixing, lead, 3.5));
                    cases.add(new Case(kind, mixing, lead, LINE_MM / 2));
                }
            }
        }
        return cases;
    }

    private static boolean holds(Case each, double kp, double way) {
        Course course = new Course(
                "bend",
                1200,
                1200,
                new Pose(500, way > 0 ? 300 : 900, 0),
                List.of(new Part.Straight(130), new Part.Bend(RADIUS_MM, way * QUARTERS)),
                false,
                Palette.USUAL);
        return Twin.run(Track.of(course, each.setup(kp)), Start.calm(0), TickSink.NONE)
                .completed();
    }

    /** By bisection to half a percent; both ways round have to hold. */
    private static double leastKp(Case each, double floor) {
        double low = floor / 3;
        double high = 3 * floor;
        assertThat(holds(each, high, 1) && holds(each, high, -1))
                .as("holds at three times the floor")
                .isTrue();
        assertThat(holds(each, low, 1) && holds(each, low, -1))
                .as("is lost at a third of it")
                .isFalse();
        while (high / low > 1.005) {
            double middle = Math.sqrt(low * high);
            if (holds(each, middle, 1) && holds(each, middle, -1)) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return high;
    }

    @ParameterizedTest
    @MethodSource("cases")
    void liesAtTheLeastGainThatHolds(Case each) {
        double floor = BendFloor.kp(each.setup(1));
        double least = leastKp(each, floor);
        assertThat(floor / least).isBetween(0.94, 1.16);
    }

    @Test
    void thereIsNoneWhereTheSensorsCannotBeOnTheirCircle() {
        assertThat(BendFloor.kp(new Case(ErrorSignal.PAIR, Mixing.DIFFERENCE, 190, 3.5).setup(1)))
                .as("the sensors are further ahead than the circle they ride on is wide")
                .isInfinite();
    }

    @Test
    void thereIsNoneWhereAClampStopsTheSteering() {
        Setup setup = new Case(ErrorSignal.PAIR, Mixing.DIFFERENCE, 60, 3.5).setup(1);
        Options.Limits limits = new Options.Limits(4, 0, 0);
        assertThat(BendFloor.kp(setup)).isFinite();
        assertThat(BendFloor.kp(setup.withLaw(
                        setup.law().withOptions(setup.law().options().withLimits(limits)))))
                .as("steering held to 4 makes too wide a circle")
                .isInfinite();
    }
}
