package fahrbahn.core.sensing;

import fahrbahn.core.colour.Channel;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.SeenRaster;
import fahrbahn.core.raster.TableTop;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.SeenTable;
import java.util.List;
import java.util.stream.Stream;

/** A robot that stands still anywhere on a table: what each of its sensors reads there, noise left out. */
public final class Lookout {
    private final Setup setup;
    private final List<SeenRaster> seen;
    /** Red, green and blue of each colour sensor; the others have one. */
    private final List<List<SeenRaster>> colours;

    private Lookout(Setup setup, List<SeenRaster> seen, List<List<SeenRaster>> colours) {
        this.setup = setup;
        this.seen = List.copyOf(seen);
        this.colours = List.copyOf(colours);
    }

    /**
     * On a course or a mat. Painting it may take a moment.
     *
     * @throws fahrbahn.core.check.BadValueException when a picture is too coarse for a spot
     */
    public static Lookout on(TableTop table, Setup setup) {
        return new Lookout(
                setup,
                setup.robot().sensors().stream()
                        .map(s -> SeenTable.of(table, setup.line(), s.channel(), s.spotSigmaMm()))
                        .toList(),
                setup.robot().sensors().stream()
                        .map(s -> colours(table, setup, s))
                        .toList());
    }

    private static List<SeenRaster> colours(TableTop table, Setup setup, Sensor sensor) {
        return (sensor.channel() == Channel.ALL
                        ? Stream.of(Channel.ALL)
                        : Stream.of(Channel.RED, Channel.GREEN, Channel.BLUE))
                .map(c -> SeenTable.of(table, setup.line(), c, sensor.spotSigmaMm()))
                .toList();
    }

    public Setup setup() {
        return setup;
    }

    /** How much of the line a sensor sees with the robot at a pose: 0 nothing but ground, 1 nothing but line. */
    public double lineShare(int sensor, Pose pose) {
        Sensor its = setup.robot().sensors().get(sensor);
        Pose eye = pose.offset(its.forwardMm(), its.leftMm());
        return seen.get(sensor).at(eye.xMm(), eye.yMm());
    }

    /** The same of each channel of a colour sensor: red, green, blue; of another sensor the one it has. */
    public double[] lineShares(int sensor, Pose pose) {
        Sensor its = setup.robot().sensors().get(sensor);
        Pose eye = pose.offset(its.forwardMm(), its.leftMm());
        return colours.get(sensor).stream()
                .mapToDouble(raster -> raster.at(eye.xMm(), eye.yMm()))
                .toArray();
    }

    /** The reading of each sensor with the robot at a pose, in the sensors' own numbers. */
    public double[] readings(Pose pose) {
        Polarity polarity = setup.line().polarity();
        double[] readings = new double[seen.size()];
        for (int i = 0; i < readings.length; i++) {
            Sensor sensor = setup.robot().sensors().get(i);
            double ground = polarity.ground(sensor);
            double even = ground + (polarity.line(sensor) - ground) * lineShare(i, pose);
            readings[i] = sensor.step() > 0 ? Math.rint(even / sensor.step()) * sensor.step() : even;
        }
        return readings;
    }
}
