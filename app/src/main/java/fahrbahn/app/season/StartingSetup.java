package fahrbahn.app.season;

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
import java.util.List;

/** The plain robot an empty season begins with: guesses to be replaced, none of them measured. */
public final class StartingSetup {
    private StartingSetup() {}

    public static Setup guess() {
        Drive drive = new Drive(140, 500, 0.05, Mixing.DIFFERENCE, 100);
        List<Sensor> pair =
                List.of(new Sensor("left", 50, 10, 3, 200, 700, 3, 1), new Sensor("right", 50, -10, 3, 200, 700, 3, 1));
        Robot robot = new Robot("Robot", drive, new Loop(0.01, 0.01), pair);
        Law law = new Law(ErrorSignal.PAIR, Side.RIGHT, Scale.PERCENT, 50, 0.2, 0, 0.5, 40);
        return new Setup(robot, new Line(20, Polarity.DARK_ON_LIGHT, 150), law);
    }
}
