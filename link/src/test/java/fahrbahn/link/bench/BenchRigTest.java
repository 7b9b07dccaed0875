package fahrbahn.link.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.colour.Channel;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The bench robot is the robot of the setup: its sensors, its numbers, its line. */
class BenchRigTest {
    private static Setup row(int count, double dark, double light, double step, Polarity polarity) {
        List<Sensor> sensors = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double left = 9 * ((count - 1) / 2.0 - i);
            sensors.add(
                    new Sensor("r" + i, 60, left, 3, dark, light, 0.005 * Math.abs(light - dark), step, Channel.ALL));
        }
        Robot robot = new Robot("Finch", new Drive(130, 600, 0.05, Mixing.DIFFERENCE, 200), new Loop(0.01, 0), sensors);
        ErrorSignal kind = count == 1 ? ErrorSignal.EDGE : count == 2 ? ErrorSignal.PAIR : ErrorSignal.ARRAY_MEAN;
        return new Setup(
                robot,
                new Line(19, polarity, 150),
                new Law(kind, Side.LEFT, Scale.PERCENT, count == 1 ? 50 : 0, 1, 0, 0, 40));
    }

    private static double[] means(BenchRobot robot) {
        int n = robot.rig().sensors().size();
        double[] sums = new double[n];
        for (int k = 0; k < 400; k++) {
            Reading reading = robot.tick();
            for (int i = 0; i < n; i++) {
                sums[i] += reading.value(i) / 400;
            }
        }
        return sums;
    }

    @Test
    void eightSensorsReadNearWhatTheSetupSaysOfThem() {
        Setup setup = row(8, 300, 3600, 1, Polarity.DARK_ON_LIGHT);
        BenchRobot robot = new BenchRobot(BenchRig.of(setup, setup, ""), 3);
        assertThat(robot.rig().names()).hasSize(8).startsWith("r0");
        assertThat(Arrays.stream(means(robot)).boxed())
                .allSatisfy(v -> assertThat(v).isCloseTo(3600, within(0.12 * 3300)));
        robot.placeOnDark();
        assertThat(Arrays.stream(means(robot)).boxed())
                .allSatisfy(v -> assertThat(v).isCloseTo(300, within(0.12 * 3300)));
        robot.place(-31.5); // the sensor furthest left stands on the line alone
        double[] seen = means(robot);
        assertThat(seen[0]).isLessThan(1000);
        assertThat(seen[7]).isGreaterThan(3000);
    }

    @Test
    void aLightLineReadsLightOnTheLine() {
        BenchRobot robot = new BenchRobot(
                BenchRig.of(row(1, 20, 80, 1, Polarity.LIGHT_ON_DARK), row(1, 20, 80, 1, Polarity.LIGHT_ON_DARK), ""),
                3);
        assertThat(means(robot)[0]).isCloseTo(20, within(6.0));
        robot.place(0);
        assertThat(means(robot)[0]).isCloseTo(80, within(8.0));
    }

    @Test
    void everyScaleIsSentWithTheDecimalsOfItsStep() {
        assertThat(line(row(1, 0.12, 0.81, 0.01, Polarity.DARK_ON_LIGHT))).matches("0\\.00,80\\.0,0\\.\\d\\d");
        assertThat(line(row(1, 12, 81, 1, Polarity.DARK_ON_LIGHT))).matches("0\\.00,80\\.0,\\d\\d");
        assertThat(line(row(1, 12, 81, 0, Polarity.DARK_ON_LIGHT))).matches("0\\.00,80\\.0,\\d\\d\\.\\d{4}");
    }

    private static String line(Setup setup) {
        BenchRobot robot = new BenchRobot(BenchRig.of(setup, setup, ""), 1);
        return BenchProtocol.line(robot, robot.tick());
    }

    @Test
    void anotherHallIsBrighterOrDarkerAndTheSameIsTheSame() {
        Setup setup = row(2, 200, 800, 1, Polarity.DARK_ON_LIGHT);
        assertThat(BenchRig.of(setup, setup, "gym")).isEqualTo(BenchRig.of(setup, setup, "gym"));
        double gym = BenchRig.of(setup, setup, "gym").sensors().get(0).reads().ground();
        double barn = BenchRig.of(setup, setup, "barn").sensors().get(0).reads().ground();
        assertThat(Math.abs(gym - barn)).isGreaterThan(2);
    }

    @Test
    void whatTheCoachPutsOnTheRobotChangesNothingOfIt() {
        Setup begun = row(2, 200, 800, 1, Polarity.DARK_ON_LIGHT);
        Sensor left = begun.robot().sensors().get(0);
        Setup found = begun.withRobot(begun.robot().withSensor(0, left.withSurfaces(230, 777, 4)));
        assertThat(BenchRig.of(found, begun, "")).isEqualTo(BenchRig.of(begun, begun, ""));
        Setup moved = begun.withRobot(begun.robot().withSensor(0, left.withPlace(50, 12)));
        assertThat(BenchRig.of(moved, begun, "").sensors().get(0).leftMm()).isEqualTo(12);
        assertThat(BenchRig.PAIR.laidOutAs(moved)).as("of other names").isEqualTo(BenchRig.PAIR);
    }

    @Test
    void itBecomesAnotherRobotInTheMiddle() {
        BenchRobot robot = new BenchRobot(BenchRig.PAIR, 4);
        BenchProtocol.obey(robot, "lamp off");
        robot.become(
                BenchRig.of(
                        row(5, 200, 800, 1, Polarity.DARK_ON_LIGHT), row(5, 200, 800, 1, Polarity.DARK_ON_LIGHT), ""),
                Optional.empty());
        assertThat(robot.tick().values()).hasSize(5);
        assertThat(means(robot)[2]).as("its lamps are on").isGreaterThan(600);
    }
}
