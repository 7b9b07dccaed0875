package fahrbahn.core;

import fahrbahn.core.setup.Drive;
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
import java.util.List;
import java.util.Random;

/** Robots for tests. */
public final class Setups {
    private Setups() {}

    /** One sensor on the right edge of a wide line. */
    public static Setup edge() {
        Drive drive = new Drive(124, 560, 0.04, Mixing.DIFFERENCE, 100);
        Robot robot = new Robot("edge", drive, new Loop(0.01, 0.006), List.of(sensor("eye", 55, 0)));
        Law law = new Law(Law.Kind.EDGE, Side.RIGHT, Scale.PERCENT, 50, 0.4, 0, 0, 40);
        return new Setup(robot, new Line(24, Polarity.DARK_ON_LIGHT, 160), law);
    }

    /** Two sensors a line width apart. */
    public static Setup pair() {
        Setup edge = edge();
        Robot robot = edge.robot().withSensors(List.of(sensor("left", 55, 12), sensor("right", 55, -12)));
        Law law = new Law(Law.Kind.PAIR, Side.RIGHT, Scale.PERCENT, 50, 0.2, 0, 0.3, 40);
        return new Setup(robot, edge.line(), law);
    }

    public static Sensor sensor(String name, double forwardMm, double leftMm) {
        return new Sensor(name, forwardMm, leftMm, 3.4, 12, 78, 0.6, 1);
    }

    /** Setups of all kinds, the same ones for the same seed: edge and pair, both mixings, delays below and above one tick. */
    public static List<Setup> drawn(long seed, int count) {
        Random random = new Random(seed);
        List<Setup> drawn = new ArrayList<>();
        while (drawn.size() < count) {
            Setup base = random.nextBoolean() ? edge() : pair();
            Mixing mixing = Mixing.values()[random.nextInt(2)];
            double periodS = 0.004 + 0.012 * random.nextDouble();
            Drive drive = new Drive(
                    100 + 60 * random.nextDouble(),
                    400 + 400 * random.nextDouble(),
                    0.01 + 0.06 * random.nextDouble(),
                    mixing,
                    100);
            double lead = 45 + 40 * random.nextDouble();
            List<Sensor> sensors = base.robot().sensors().stream()
                    .map(s -> s.withPlace(lead, s.leftMm()))
                    .toList();
            Loop loop = new Loop(periodS, periodS * 2.4 * random.nextDouble());
            Robot robot = new Robot("drawn", drive, loop, sensors);
            drawn.add(new Setup(robot, base.line(), base.law().withBaseCommand(20 + 20 * random.nextDouble())));
        }
        return drawn;
    }
}
