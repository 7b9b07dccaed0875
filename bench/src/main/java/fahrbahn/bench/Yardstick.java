package fahrbahn.bench;

import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
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
import fahrbahn.core.table.Course;
import java.util.List;

/** The yardstick's robot and course: an oval of 1800 by 800 mm with corners of 200 mm, one sensor on its outer edge. */
final class Yardstick {
    private static final double QUARTER = Math.PI / 2;

    private Yardstick() {}

    static Setup setup() {
        Drive drive = new Drive(120, 600, 0.03, Mixing.DIFFERENCE, 100);
        Sensor sensor = new Sensor("eye", 60, 0, 3.5, 0, 100, 1, 0);
        Robot robot = new Robot("yardstick", drive, new Loop(0.01, 0.01), List.of(sensor));
        Law law = new Law(ErrorSignal.EDGE, Side.RIGHT, Scale.PERCENT, 50, 0.4, 0, 0, 40);
        return new Setup(robot, new Line(25, Polarity.DARK_ON_LIGHT, 200), law);
    }

    static Course oval() {
        List<Part> parts = List.of(
                new Part.Straight(700),
                new Part.Bend(200, QUARTER),
                new Part.Straight(400),
                new Part.Bend(200, QUARTER),
                new Part.Straight(1400),
                new Part.Bend(200, QUARTER),
                new Part.Straight(400),
                new Part.Bend(200, QUARTER),
                new Part.Straight(700));
        return new Course("oval", 2400, 1200, new Pose(1200, 200, 0), parts, true);
    }

    /** An open part of the oval that takes 12 s at the yardstick's speed. */
    static Course twelveSeconds() {
        List<Part> parts = List.of(
                new Part.Straight(700),
                new Part.Bend(200, QUARTER),
                new Part.Straight(400),
                new Part.Bend(200, QUARTER),
                new Part.Straight(12 * setup().speedMmPerS() - 1100 - 400 * QUARTER));
        return new Course("twelve seconds", 2400, 1200, new Pose(1200, 200, 0), parts, false);
    }
}
