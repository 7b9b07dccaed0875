package fahrbahn.core.benchmark;

import fahrbahn.core.check.Rounding;
import fahrbahn.core.loop.Lane;
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
import java.util.SplittableRandom;

/** Robots as coaches believe them to be, of many builds, and the course they are tuned on. */
public final class TuningRobots {
    private static final double TIGHTEST_MM = 150;
    private static final double KD_PER_KP = 3;
    private static final int SPEEDS = 16;

    private TuningRobots() {}

    /** Bends either way. */
    public static Course course() {
        return new Course(
                "Bench bends",
                1700,
                1150,
                new Pose(200, 200, 0),
                List.of(
                        new Part.Straight(500),
                        new Part.SwingOver(160, Math.PI / 4),
                        new Part.Bend(160, Math.PI / 2),
                        new Part.Straight(120),
                        new Part.Bend(TIGHTEST_MM, Math.PI / 2),
                        new Part.Straight(250),
                        new Part.Bend(TIGHTEST_MM, -Math.PI / 2),
                        new Part.Straight(80),
                        new Part.StopStrip(40),
                        new Part.End(60)),
                false);
    }

    /** One sensor or two, either mixing, any scale, slow loops and quick ones; as quick as leaves its lane open two to four times over. */
    public static Setup drawn(SplittableRandom random) {
        boolean pair = random.nextBoolean();
        Mixing mixing = Mixing.values()[random.nextInt(2)];
        Scale scale = Scale.NAMED.get(random.nextInt(Scale.NAMED.size()));
        double lead = Math.rint(random.nextDouble(35, 85));
        double spot = random.nextDouble(2.8, 4.6);
        double range = random.nextBoolean() ? 1 : 10;
        double dark = Math.rint(range * random.nextDouble(5, 20));
        double light = Math.rint(range * random.nextDouble(55, 85));
        List<Sensor> sensors = pair
                ? List.of(
                        new Sensor("left", lead, 10, spot, dark, light, range * 0.5, 1),
                        new Sensor("right", lead, -10, spot, dark, light, range * 0.5, 1))
                : List.of(new Sensor("eye", lead, 0, spot, dark, light, range * 0.5, 1));
        double periodS = List.of(0.005, 0.01, 0.015, 0.025).get(random.nextInt(4));
        Drive drive = new Drive(
                Math.rint(random.nextDouble(95, 150)),
                Math.rint(random.nextDouble(420, 800)),
                random.nextDouble(0.03, 0.1),
                mixing,
                100);
        Robot robot = new Robot("bench", drive, new Loop(periodS, periodS * random.nextDouble(0.5, 1.5)), sensors);
        double middle = (scale.dark(sensors.get(0)) + scale.light(sensors.get(0))) / 2;
        Law law = new Law(pair ? ErrorSignal.PAIR : ErrorSignal.EDGE, Side.RIGHT, scale, middle, 1, 0, 0, 50);
        Setup setup = new Setup(robot, new Line(20, Polarity.DARK_ON_LIGHT, TIGHTEST_MM), law);
        return setup.withLaw(law.withBaseCommand(base(setup, random.nextDouble(1.1, 1.8))));
    }

    private static double base(Setup setup, double open) {
        return Lane.of(setup, KD_PER_KP, SPEEDS).slices().stream()
                .filter(s -> s.open() && s.wiggleKp().get() > open * s.lowKp())
                .mapToDouble(Lane.Slice::baseCommand)
                .max()
                .stream()
                .map(base -> Rounding.significant(base, 2))
                .findFirst()
                .orElse(30);
    }
}
