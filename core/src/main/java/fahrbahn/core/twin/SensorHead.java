package fahrbahn.core.twin;

import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Raster;
import fahrbahn.core.table.Relief;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/**
 * The law's sensors on the moving robot: looks at the table and scales what it sees. Allocates nothing while it looks.
 *
 * <p>Higher than where it was captured, a sensor sees a larger spot, and its light comes back by the square of the height: the
 * reading falls from what the surface gives towards the reading on dark. That is a model of ours, for bumps and ramps.
 */
final class SensorHead {
    private final Raster[] usual;
    private final Raster[][] byHeight;
    private final double[] forwardMm;
    private final double[] leftMm;
    private final double[] ground;
    private final double[] lineLessGround;
    private final double[] dark;
    private final double[] noise;
    private final double[] step;
    private final double[] scaleFactor;
    private final double[] scaleShift;
    private final double[] scaled;
    private final double pointForwardMm;
    private final double pointLeftMm;
    private final double heightShare;
    private final SplittableRandom random;
    private final Relief relief;
    private final double supportForwardMm;
    private final double sensorHeightMm;

    private double pointXMm;
    private double pointYMm;

    SensorHead(Track track, Setup setup, Variation variation, SplittableRandom random) {
        List<Sensor> law = setup.lawSensors();
        List<Sensor> sensors = new ArrayList<>(law);
        sensors.addAll(setup.outerSensors());
        int count = sensors.size();
        usual = new Raster[count];
        byHeight = new Raster[count][];
        forwardMm = new double[count];
        leftMm = new double[count];
        ground = new double[count];
        lineLessGround = new double[count];
        dark = new double[count];
        noise = new double[count];
        step = new double[count];
        scaleFactor = new double[count];
        scaleShift = new double[count];
        scaled = new double[count];
        relief = track.relief().flat() ? null : track.relief();
        heightShare = variation.heightShare();
        this.random = variation.noiseShare() > 0 ? random : null;
        supportForwardMm = setup.robot().chassis().supportForwardMm();
        sensorHeightMm = setup.robot().chassis().sensorHeightMm();
        boolean level = relief == null && heightShare == 1;
        for (int i = 0; i < count; i++) {
            set(i, sensors.get(i), setup.line().polarity(), setup.law(), variation);
            SpotView view = track.views().get(i);
            usual[i] = view.usual();
            byHeight[i] = level ? null : view.byHeight();
        }
        pointForwardMm = setup.leadMm();
        pointLeftMm = law.stream().mapToDouble(Sensor::leftMm).average().orElseThrow();
    }

    private void set(int i, Sensor sensor, Polarity polarity, Law law, Variation variation) {
        forwardMm[i] = sensor.forwardMm();
        leftMm[i] = sensor.leftMm();
        double light = variation.lightShare();
        ground[i] = light * polarity.ground(sensor);
        lineLessGround[i] = light * (polarity.line(sensor) - polarity.ground(sensor));
        dark[i] = light * sensor.dark();
        noise[i] = sensor.noise() * variation.noiseShare();
        step[i] = sensor.step();
        scaleShift[i] = law.scale().scaled(sensor, 0);
        scaleFactor[i] = law.scale().scaled(sensor, 1) - scaleShift[i];
    }

    /** @param sMm place of the law's point along the path; needed on an uneven table only */
    void look(Body body, double sMm) {
        double cos = body.cos;
        double sin = body.sin;
        pointXMm = body.xMm + pointForwardMm * cos - pointLeftMm * sin;
        pointYMm = body.yMm + pointForwardMm * sin + pointLeftMm * cos;
        for (int i = 0; i < scaled.length; i++) {
            double x = body.xMm + forwardMm[i] * cos - leftMm[i] * sin;
            double y = body.yMm + forwardMm[i] * sin + leftMm[i] * cos;
            double reading =
                    byHeight[i] == null ? ground[i] + lineLessGround[i] * usual[i].at(x, y) : lifted(i, x, y, sMm);
            if (random != null) {
                reading += noise[i] * random.nextGaussian();
                reading = step[i] > 0 ? Math.rint(reading / step[i]) * step[i] : reading;
            }
            scaled[i] = scaleShift[i] + scaleFactor[i] * reading;
        }
    }

    private double lifted(int i, double x, double y, double sMm) {
        double height = heightShare;
        if (relief != null) {
            double wheels = sMm - pointForwardMm;
            double atWheels = relief.heightMm(wheels);
            double pitch = (relief.heightMm(wheels + supportForwardMm) - atWheels) / supportForwardMm;
            double lift = atWheels + pitch * forwardMm[i] - relief.heightMm(wheels + forwardMm[i]);
            height += lift / sensorHeightMm;
        }
        height = Math.max(SpotView.LEAST_HEIGHT, Math.min(SpotView.MOST_HEIGHT, height));
        double seen = ground[i] + lineLessGround[i] * SpotView.at(byHeight[i], height, x, y);
        return dark[i] + (seen - dark[i]) / (height * height);
    }

    /** Scaled readings of the latest look; the same array every time. */
    double[] scaled() {
        return scaled;
    }

    /** The point the law looks from: the sensor on an edge, the middle of the others. Table frame. */
    double pointXMm() {
        return pointXMm;
    }

    double pointYMm() {
        return pointYMm;
    }

    double pointForwardMm() {
        return pointForwardMm;
    }

    /** How far left of the robot's middle that point sits. */
    double pointLeftMm() {
        return pointLeftMm;
    }
}
