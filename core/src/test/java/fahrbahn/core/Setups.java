package fahrbahn.core;

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
import java.util.List;
import java.util.Random;

/** Robots for tests. */
public final class Setups {
    private Setups() {}

    /** One sensor on the right edge of a wide line. */
    public static Setup edge() {
        Drive drive = new Drive(124, 560, 0.04, Mixing.DIFFERENCE, 100);
        Robot robot = new Robot("edge", drive, new Loop(0.01, 0.006), List.of(sensor("eye", 55, 0)));
        Law law = new Law(ErrorSignal.EDGE, Side.RIGHT, Scale.PERCENT, 50, 0.4, 0, 0, 40);
        return new Setup(robot, new Line(24, Polarity.DARK_ON_LIGHT, 160), law);
    }

    /** Two sensors a line width apart. */
    public static Setup pair() {
        Setup edge = edge();
        Robot robot = edge.robot().withSensors(List.of(sensor("left", 55, 12), sensor("right", 55, -12)));
        Law law = new Law(ErrorSignal.PAIR, Side.RIGHT, Scale.PERCENT, 50, 0.2, 0, 0.3, 40);
        return new Setup(robot, edge.line(), law);
    }

    /** A pair astride the line and, outside of it, two that look for marks in the middle of where they stand. */
    public static Setup withMarkSensors() {
        Setup pair = pair();
        double beside = pair.line().widthMm() * (0.5 + 0.625);
        return pair.withRobot(pair.robot()
                .withSensors(List.of(
                        sensor("far left", 55, beside),
                        pair.robot().sensors().get(0),
                        pair.robot().sensors().get(1),
                        sensor("far right", 55, -beside))));
    }

    public static Sensor sensor(String name, double forwardMm, double leftMm) {
        return new Sensor(name, forwardMm, leftMm, 3.4, 12, 78, 0.6, 1);
    }

    /**
     * Setups of all kinds, the same ones for the same seed: edge and pair, three mixings, delays below and above one tick. Each
     * has a wiggle onset.
     */
    public static List<Setup> drawn(long seed, int count) {
        Random random = new Random(seed);
        List<Setup> drawn = new ArrayList<>();
        while (drawn.size() < count) {
            Setup base = random.nextBoolean() ? edge() : pair();
            int mixing = random.nextInt(3);
            // The third mixing, turn effort, is difference mixing with commands from -1 to 1.
            double full = mixing == 2 ? 1 : 100;
            double periodS = 0.004 + 0.012 * random.nextDouble();
            Drive drive = new Drive(
                    100 + 60 * random.nextDouble(),
                    400 + 400 * random.nextDouble(),
                    0.01 + 0.06 * random.nextDouble(),
                    mixing == 1 ? Mixing.INNER_WHEEL : Mixing.DIFFERENCE,
                    full);
            double lead = 45 + 40 * random.nextDouble();
            List<Sensor> sensors = base.robot().sensors().stream()
                    .map(s -> s.withPlace(lead, s.leftMm()))
                    .toList();
            Loop loop = new Loop(periodS, periodS * 2.4 * random.nextDouble());
            Robot robot = new Robot("drawn " + drawn.size(), drive, loop, sensors);
            Law law = base.law().withBaseCommand(full * (0.2 + 0.2 * random.nextDouble()));
            // Widths of all kinds put the edges everywhere in the raster's cells.
            Line line = new Line(20 + 6 * random.nextDouble(), Polarity.DARK_ON_LIGHT, 160);
            drawn.add(new Setup(robot, line, law));
        }
        return drawn;
    }

    /** A row of sensors at an even pitch, centred, with a law of this kind. */
    public static Setup row(ErrorSignal kind, int sensors, double pitchMm) {
        List<Sensor> row = new ArrayList<>();
        for (int i = 0; i < sensors; i++) {
            row.add(sensor("s" + i, 55, pitchMm * ((sensors - 1) / 2.0 - i)));
        }
        Setup edge = edge();
        return new Setup(
                edge.robot().withSensors(row),
                edge.line(),
                edge.law().withGains(0, 0, 0).withSignal(kind));
    }
}
