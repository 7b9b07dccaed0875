package fahrbahn.core.setup;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A robot, the line it follows and the law it runs: everything the computations need to know. */
public record Setup(Robot robot, Line line, Law law) {

    public Setup {
        List<Sensor> following = following(robot, law);
        int needed = law.signal().leastSensors();
        Check.require(
                following.size() >= needed,
                "robot.sensors",
                following.size(),
                "at least " + needed + " for the law '" + law.signal().word() + "', emergency sensors not counted");
        checkOrder(law.signal().of(following));
        checkOptions(law, following.size());
        law.options().turnMarks().ifPresent(marks -> checkMarks(robot, marks));
        law.options().obstacle().ifPresent(move -> checkObstacle(robot, move));
        checkTurns("line.tightestRadiusMm", line.tightestRadiusMm(), robot.drive());
        SpeedCurve curve = robot.drive().traits().curve();
        double starts = curve.startsAboveCommand();
        double full = robot.drive().fullCommand();
        Check.require(
                law.baseCommand() > starts && law.baseCommand() <= full,
                "law.baseCommand",
                law.baseCommand(),
                (starts > 0
                                ? "above the " + (curve.sticks() ? "start-up power, " : "dead band, ") + starts
                                        + ", and "
                                : "")
                        + "at most the max motor value, " + full);
    }

    private static void checkObstacle(Robot robot, ObstacleMove move) {
        String input = move.feeler().found().input();
        Check.require(
                robot.sensors().stream().noneMatch(s -> s.name().equals(input)),
                "law.obstacle",
                "\"" + input + "\"",
                "no sensor of this name that follows the line: it is the reading that finds the obstacle");
        double full = robot.drive().fullCommand();
        Check.require(
                move.arc().outside() <= full && move.turnCommand() <= full,
                "law.obstacle",
                Math.max(move.arc().outside(), move.turnCommand()),
                "commands of at most the max motor value, " + full);
    }

    private static void checkOrder(List<Sensor> following) {
        for (int i = 1; i < following.size(); i++) {
            double before = following.get(i - 1).leftMm();
            Check.require(
                    before > following.get(i).leftMm(),
                    "robot.sensors.leftMm",
                    before,
                    "above that of the next sensor, " + following.get(i).leftMm()
                            + ": sensors are listed from left to right");
        }
    }

    /**
     * Refuses bends no robot of this width rides: round a tighter one than half its track width its inner wheel would have to roll
     * backwards.
     */
    public static void checkTurns(String field, double radiusMm, Drive drive) {
        double half = drive.effectiveTrackWidthMm() / 2;
        Check.require(
                radiusMm >= half,
                field,
                radiusMm,
                "at least half the track width, " + half
                        + " mm: on a tighter bend the inner wheel would roll backwards");
    }

    private static void checkOptions(Law law, int sensors) {
        Options options = law.options();
        if (law.signal().wholeRow() && !options.weights().isEmpty()) {
            Check.require(
                    options.weights().size() == sensors,
                    "law.weights",
                    options.weights().size(),
                    "one for each of the " + sensors + " sensors that follow the line");
        }
        if (!law.signal().hasError()) {
            Check.require(!options.patterns().isEmpty(), "law.patterns", 0, "one or more, or the robot never steers");
            Check.require(
                    options.thresholds().isEmpty() || options.thresholds().size() == sensors,
                    "law.thresholds",
                    options.thresholds().size(),
                    "one for each of the " + sensors + " sensors that follow the line");
            for (Options.Pattern pattern : options.patterns()) {
                Check.require(
                        pattern.bits().length() == sensors,
                        "law.patterns.bits",
                        pattern.bits(),
                        sensors + " ones and zeros, one for each sensor");
            }
        }
    }

    private static void checkMarks(Robot robot, TurnMarks marks) {
        double left =
                named(robot, "law.turnMarks.left.sensor", marks.left().sensor()).leftMm();
        double right = named(robot, "law.turnMarks.right.sensor", marks.right().sensor())
                .leftMm();
        Check.require(left > right, "law.turnMarks.left.sensor", left, "further left than the right one, " + right);
        double full = robot.drive().fullCommand();
        Check.require(
                marks.turn().command() <= full,
                "law.turnMarks.turn.command",
                marks.turn().command(),
                "at most the max motor value, " + full);
    }

    /** Settled speed along a straight line, mm/s. */
    public double speedMmPerS() {
        return robot.drive().speedMmPerS(law.baseCommand());
    }

    /** The sensors the law follows the line with, left to right. */
    public List<Sensor> lawSensors() {
        return law.signal().of(following(robot, law));
    }

    /** All that follow the line where a whole row does, left to right, whatever the law is. */
    public List<Sensor> row() {
        return following(robot, law.withSignal(ErrorSignal.PATTERN));
    }

    /** The two emergency sensors, left and right, of a law that has them; else empty. */
    public List<Sensor> outerSensors() {
        Optional<Options.Outer> outer = law.options().outer();
        return outer.isEmpty()
                ? List.of()
                : List.of(
                        named(robot, "law.outer", outer.get().left()),
                        named(robot, "law.outer", outer.get().right()));
    }

    /** The two sensors that look for turn marks, left and right, of a law that has them; else empty. */
    public List<Sensor> markSensors() {
        return law.options()
                .turnMarks()
                .map(m -> List.of(
                        named(robot, "law.turnMarks", m.left().sensor()),
                        named(robot, "law.turnMarks", m.right().sensor())))
                .orElse(List.of());
    }

    /** Not the emergency sensors; nor, where a law follows with one or two, those that look for marks if enough others are there. */
    private static List<Sensor> following(Robot robot, Law law) {
        List<Sensor> all = new ArrayList<>(robot.sensors());
        law.options().outer().ifPresent(outer -> {
            all.remove(named(robot, "law.outer", outer.left()));
            all.remove(named(robot, "law.outer", outer.right()));
        });
        List<String> lookers = law.options()
                .turnMarks()
                .map(m -> List.of(m.left().sensor(), m.right().sensor()))
                .orElse(List.of());
        List<Sensor> others =
                all.stream().filter(s -> !lookers.contains(s.name())).toList();
        return law.signal().wholeRow() || others.size() < law.signal().leastSensors() ? List.copyOf(all) : others;
    }

    private static Sensor named(Robot robot, String field, String name) {
        return robot.sensors().stream()
                .filter(s -> s.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new BadValueException(field, "\"" + name + "\"", "the name of a sensor"));
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

    public Setup withDrive(Drive newDrive) {
        return withRobot(robot.withDrive(newDrive));
    }

    public Setup withLoop(Loop newLoop) {
        return withRobot(robot.withLoop(newLoop));
    }
}
