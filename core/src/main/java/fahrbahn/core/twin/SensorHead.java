package fahrbahn.core.twin;

import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Raster;
import java.util.List;
import java.util.SplittableRandom;

/** The law's sensors on the moving robot: looks at the table and makes the error. Allocates nothing while it looks. */
final class SensorHead {
    private final Raster[] seen;
    private final double[] forwardMm;
    private final double[] leftMm;
    private final double[] ground;
    private final double[] lineLessGround;
    private final double[] noise;
    private final double[] step;
    private final double[] scaleFactor;
    private final double[] scaleShift;
    private final double target;
    private final boolean pair;
    private final double pointForwardMm;
    private final double pointLeftMm;

    private double error;
    private double pointXMm;
    private double pointYMm;

    SensorHead(Setup setup, List<Raster> seenBySensor) {
        List<Sensor> sensors = setup.lawSensors();
        Polarity polarity = setup.line().polarity();
        Law law = setup.law();
        seen = seenBySensor.toArray(Raster[]::new);
        forwardMm = sensors.stream().mapToDouble(Sensor::forwardMm).toArray();
        leftMm = sensors.stream().mapToDouble(Sensor::leftMm).toArray();
        ground = sensors.stream().mapToDouble(polarity::ground).toArray();
        lineLessGround = sensors.stream()
                .mapToDouble(s -> polarity.line(s) - polarity.ground(s))
                .toArray();
        noise = sensors.stream().mapToDouble(Sensor::noise).toArray();
        step = sensors.stream().mapToDouble(Sensor::step).toArray();
        scaleShift = sensors.stream().mapToDouble(s -> law.scale().scaled(s, 0)).toArray();
        scaleFactor = sensors.stream()
                .mapToDouble(s -> law.scale().scaled(s, 1) - law.scale().scaled(s, 0))
                .toArray();
        target = law.target();
        pair = law.kind() == Law.Kind.PAIR;
        pointForwardMm = setup.leadMm();
        pointLeftMm = sensors.stream().mapToDouble(Sensor::leftMm).average().orElseThrow();
    }

    /** @param random source of noise; null for none, and then no rounding either */
    void look(double xMm, double yMm, double headingRad, SplittableRandom random) {
        double cos = Math.cos(headingRad);
        double sin = Math.sin(headingRad);
        pointXMm = xMm + pointForwardMm * cos - pointLeftMm * sin;
        pointYMm = yMm + pointForwardMm * sin + pointLeftMm * cos;
        double first = scaled(0, xMm, yMm, cos, sin, random);
        error = pair ? first - scaled(1, xMm, yMm, cos, sin, random) : first - target;
    }

    private double scaled(int i, double xMm, double yMm, double cos, double sin, SplittableRandom random) {
        double covered =
                seen[i].at(xMm + forwardMm[i] * cos - leftMm[i] * sin, yMm + forwardMm[i] * sin + leftMm[i] * cos);
        double reading = ground[i] + lineLessGround[i] * covered;
        if (random != null) {
            reading += noise[i] * random.nextGaussian();
            reading = step[i] > 0 ? Math.rint(reading / step[i]) * step[i] : reading;
        }
        return scaleShift[i] + scaleFactor[i] * reading;
    }

    double error() {
        return error;
    }

    /** The point the law looks from: the sensor on an edge, the middle of a pair. Table frame. */
    double pointXMm() {
        return pointXMm;
    }

    double pointYMm() {
        return pointYMm;
    }

    /** How far left of the robot's middle that point sits. */
    double pointLeftMm() {
        return pointLeftMm;
    }
}
