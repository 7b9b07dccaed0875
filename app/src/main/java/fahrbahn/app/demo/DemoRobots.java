package fahrbahn.app.demo;

import fahrbahn.app.club.RobotKind;
import fahrbahn.core.knowledge.SensorPreset;
import fahrbahn.core.loop.GainAdvisor;
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
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.SetupJson;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** The made-up club's robots, of different build. */
final class DemoRobots {
    private static final Line LINE = new Line(19, Polarity.DARK_ON_LIGHT, 150);

    private DemoRobots() {}

    /** Two eyes astride the line, a little slow to answer: the bench robot's twin. */
    static Setup kestrel() throws BadFileException {
        try (InputStream json = DemoRobots.class.getResourceAsStream("/fahrbahn/app/demo.setup.json")) {
            return SetupJson.parse(new String(json.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /** One eye on the right edge; much about it is still as it was guessed. */
    static Setup heron() {
        Setup begun = RobotKind.EDGE.setup("Heron");
        Sensor eye = new Sensor("eye", 44, 0, 3.3, 11, 64, 0.5, 1);
        Drive drive = begun.robot().drive().withFreeSpeedMmPerS(430);
        Robot robot = begun.robot().withDrive(drive).withSensors(List.of(eye));
        return advised(new Setup(robot, LINE, begun.law().withBaseCommand(38)));
    }

    /** What Heron began as, with its lag and loop guessed still. */
    static Setup heronBegun() {
        return RobotKind.EDGE.setup("Heron");
    }

    /** A row of eight, quick. */
    static Setup otter() {
        Drive drive = new Drive(146, 620, 0.035, Mixing.DIFFERENCE, 100);
        Robot robot = new Robot(
                "Otter", drive, new Loop(0.008, 0.006), SensorPreset.PHOTOTRANSISTOR_FINE.row(8, 66, LINE.widthMm()));
        Law law = new Law(ErrorSignal.ARRAY_MEAN, Side.RIGHT, Scale.PERCENT, 50, 1, 0, 3, 42);
        return advised(new Setup(robot, LINE, law));
    }

    /** With the gains the app itself would try. */
    private static Setup advised(Setup setup) {
        return GainAdvisor.advise(setup)
                .map(a -> setup.withLaw(setup.law().withGains(a.kp(), 0, a.kd())))
                .orElse(setup);
    }
}
