package fahrbahn.core.tuning;

import fahrbahn.core.check.Check;
import fahrbahn.core.law.Program;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.trace.Moment;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.List;

/**
 * What a robot does whose program takes all sensors for alike, dark and light the mean of theirs, instead of scaling each by its own: over
 * plain ground, and across a gap in the line, on the twin.
 *
 * @param groundSteering what it steers while all its sensors see ground, command units, left positive
 * @param gapMm length of the gap
 * @param asideMm how far beside its path its sensors are where the gap ends, left positive
 * @param scaledAsideMm the same of the program that scales
 * @param comesBack whether it finds the line behind the gap
 */
public record Unscaled(double groundSteering, double gapMm, double asideMm, double scaledAsideMm, boolean comesBack) {
    private static final double BEFORE_MM = 300;
    private static final double BEHIND_MM = 400;
    private static final double MARGIN_MM = 200;

    /**
     * @param real as its sensors read
     * @param gapMm above 0
     * @throws fahrbahn.core.check.BadValueException when the robot rides nowhere
     */
    public static Unscaled of(Setup real, double gapMm) {
        Check.positive("gapMm", gapMm);
        Setup alike = alike(real);
        Program program = new Program(alike);
        program.tick(
                program.readings(s -> ground(real, s.name())),
                real.robot().loop().periodS());
        double length = BEFORE_MM + gapMm + BEHIND_MM + 2 * MARGIN_MM;
        Course course = new Course(
                "gap",
                length,
                4 * MARGIN_MM,
                new Pose(MARGIN_MM, 2 * MARGIN_MM, 0),
                List.of(new Part.Straight(BEFORE_MM), new Part.Gap(gapMm), new Part.Straight(BEHIND_MM)),
                false,
                Palette.USUAL);
        Track track = Track.of(course, real);
        AtGapsEnd unscaled = new AtGapsEnd(real.leadMm(), gapMm);
        RunResult result = Twin.asProgrammed(track, alike, Start.calm(0), unscaled::tick);
        AtGapsEnd scaled = new AtGapsEnd(real.leadMm(), gapMm);
        Twin.asProgrammed(track, real, Start.calm(0), scaled::tick);
        return new Unscaled(program.steering(), gapMm, unscaled.asideMm, scaled.asideMm, result.completed());
    }

    private static double ground(Setup real, String name) {
        Polarity polarity = real.line().polarity();
        return real.robot().sensors().stream()
                .filter(s -> s.name().equals(name))
                .mapToDouble(polarity::ground)
                .findFirst()
                .orElseThrow();
    }

    /** The program that takes the mean for all. */
    static Setup alike(Setup real) {
        List<Sensor> following = real.lawSensors();
        double dark = following.stream().mapToDouble(Sensor::dark).average().orElseThrow();
        double light = following.stream().mapToDouble(Sensor::light).average().orElseThrow();
        Robot robot = real.robot();
        for (int i = 0; i < robot.sensors().size(); i++) {
            Sensor sensor = robot.sensors().get(i);
            if (following.contains(sensor)) {
                robot = robot.withSensor(i, sensor.withSurfaces(dark, light, sensor.noise()));
            }
        }
        return real.withRobot(robot);
    }

    /** Whether a law's sensors are compared with each other at all. */
    public static boolean matters(Setup setup) {
        return !setup.law().signal().tracksEdge() && setup.lawSensors().size() > 1;
    }

    /** Remembers where the law's point was at the end of the gap. */
    private static final class AtGapsEnd {
        private final double leadMm;
        private final double endMm;
        private double asideMm;

        AtGapsEnd(double leadMm, double gapMm) {
            this.leadMm = leadMm;
            this.endMm = MARGIN_MM + BEFORE_MM + gapMm;
        }

        void tick(Moment now) {
            if (now.xMm() + leadMm * Math.cos(now.headingRad()) <= endMm) {
                asideMm = now.offsetMm();
            }
        }
    }
}
