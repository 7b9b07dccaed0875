package fahrbahn.core.twin;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.Pose;
import fahrbahn.core.table.Raster;
import fahrbahn.core.table.SeenTable;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** A robot that stands still anywhere on a table: what each of its sensors reads there, noise left out. */
public final class Lookout {
    private final Setup setup;
    private final List<Raster> seen;

    private Lookout(Setup setup, List<Raster> seen) {
        this.setup = setup;
        this.seen = List.copyOf(seen);
    }

    /** On a course. Painting the table may take a moment. */
    public static Lookout on(Course course, Setup setup) {
        return new Lookout(
                setup,
                setup.robot().sensors().stream()
                        .map(s -> SeenTable.of(course, setup.line(), s.channel(), s.spotSigmaMm()))
                        .toList());
    }

    /**
     * On a mat from a picture.
     *
     * @param mat sharp; 0 is ground and 1 line
     * @throws BadValueException when the picture is too coarse for a spot
     */
    public static Lookout on(Raster mat, Setup setup) {
        Map<Double, Raster> blurred = new HashMap<>();
        return new Lookout(
                setup,
                setup.robot().sensors().stream()
                        .map(s -> blurred.computeIfAbsent(s.spotSigmaMm(), mat::blurred))
                        .toList());
    }

    public Setup setup() {
        return setup;
    }

    /** The reading of each sensor with the robot at a pose, in the sensors' own numbers. */
    public double[] readings(Pose pose) {
        Polarity polarity = setup.line().polarity();
        double[] readings = new double[seen.size()];
        for (int i = 0; i < readings.length; i++) {
            Sensor sensor = setup.robot().sensors().get(i);
            Pose eye = pose.offset(sensor.forwardMm(), sensor.leftMm());
            double ground = polarity.ground(sensor);
            double even =
                    ground + (polarity.line(sensor) - ground) * seen.get(i).at(eye.xMm(), eye.yMm());
            readings[i] = sensor.step() > 0 ? Math.rint(even / sensor.step()) * sensor.step() : even;
        }
        return readings;
    }
}
