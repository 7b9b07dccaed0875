package fahrbahn.core.setup;

import fahrbahn.core.check.Check;
import java.util.List;

/** A robot, the line it follows and the law it runs: everything the computations need to know. */
public record Setup(Robot robot, Line line, Law law) {
    public Setup {
        int needed = law.kind() == Law.Kind.PAIR ? 2 : 1;
        Check.require(
                robot.sensors().size() >= needed,
                "robot.sensors",
                robot.sensors().size(),
                "at least " + needed + " for the law '" + law.kind().word() + "'");
        if (law.kind() == Law.Kind.PAIR) {
            Sensor left = robot.sensors().get(0);
            Sensor right = robot.sensors().get(robot.sensors().size() - 1);
            Check.require(
                    left.leftMm() > right.leftMm(),
                    "robot.sensors.leftMm",
                    left.leftMm(),
                    "above that of the last sensor, " + right.leftMm() + ": sensors are listed from left to right");
        }
        Check.require(
                law.baseCommand() <= robot.drive().fullCommand(),
                "law.baseCommand",
                law.baseCommand(),
                "at most the full command, " + robot.drive().fullCommand());
    }

    /** Settled speed along a straight line, mm/s. */
    public double speedMmPerS() {
        return robot.drive().speedMmPerS(law.baseCommand());
    }

    /** The sensors the law listens to, left to right. */
    public List<Sensor> lawSensors() {
        List<Sensor> all = robot.sensors();
        return law.kind() == Law.Kind.EDGE ? List.of(all.get(0)) : List.of(all.get(0), all.get(all.size() - 1));
    }

    /** How far ahead of the turning point the law's sensors sit, mm; the mean where they differ. */
    public double leadMm() {
        return lawSensors().stream().mapToDouble(Sensor::forwardMm).average().orElseThrow();
    }

    public Setup withRobot(Robot newRobot) {
        return new Setup(newRobot, line, law);
    }

    public Setup withLine(Line newLine) {
        return new Setup(robot, newLine, law);
    }

    public Setup withLaw(Law newLaw) {
        return new Setup(robot, line, newLaw);
    }
}
