package fahrbahn.headless;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.setup.Setup;
import fahrbahn.headless.kit.CourseChoice;
import fahrbahn.headless.kit.SeedOption;
import fahrbahn.link.bench.BenchRig;
import fahrbahn.link.bench.BenchRobot;
import fahrbahn.link.bench.BenchRobotServer;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.SetupJson;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
        name = "bench-robot",
        description = "A simulated robot that sends live readings over TCP, on the loopback address unless asked.")
final class BenchRobotCommand implements Callable<Integer> {
    private static final int HIGHEST_PORT = 65_535;

    @Spec
    private CommandSpec spec;

    @Option(names = "--port", paramLabel = "N", required = true, description = "port to listen on; 0 takes a free one")
    private int port;

    @Mixin
    private SeedOption seed;

    @Option(
            names = "--setup",
            paramLabel = "SETUP.json",
            description = "the robot it is: its sensors and its line (a pair of no robot in particular)")
    private Path setup;

    @Option(
            names = "--course",
            paramLabel = "COURSE.json",
            description =
                    "the table it can be put on and drives along, by the setup's law: a file, or loop, rescue, mission or sprint")
    private String course;

    @Option(names = "--to-all", description = "let other machines connect too, not this one alone")
    private boolean toAll;

    @Override
    public Integer call() throws BadFileException {
        Check.between("--port", port, 0, HIGHEST_PORT);
        try (BenchRobotServer server = open(robot())) {
            String where = server.loopbackOnly() ? "127.0.0.1:" : "every address of this machine, port ";
            spec.commandLine().getOut().println("bench robot listening on " + where + server.port());
            spec.commandLine().getOut().flush();
            server.serve(dropped -> spec.commandLine()
                    .getErr()
                    .println("a listener that did not read was dropped, " + dropped + " so far"));
            return 0;
        } catch (IOException taken) {
            throw new BadValueException("--port", port, "free: another program listens there already");
        }
    }

    private BenchRobot robot() throws BadFileException {
        if (setup == null) {
            Check.require(course == null, "--course", course, "given with --setup: what drives along it has a law");
            return new BenchRobot(BenchRig.PAIR, seed.seed());
        }
        Setup read = SetupJson.read(setup);
        BenchRig rig = BenchRig.of(read, read, "");
        return course == null
                ? new BenchRobot(rig, seed.seed())
                : new BenchRobot(rig, Optional.of(rig.on(CourseChoice.read(course), read, read)), seed.seed());
    }

    private BenchRobotServer open(BenchRobot robot) throws IOException {
        return toAll ? BenchRobotServer.openToAll(port, robot) : BenchRobotServer.open(port, robot);
    }
}
