package fahrbahn.core.twin;

import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Relief;
import java.util.List;
import java.util.SplittableRandom;

/** The law's sensors, its emergency sensors after them, and then the channels of those that look for marks, on the moving robot. Allocates nothing while it looks. */
final class SensorHead {
    private final Eye[] eyes;
    private final double[] scaled;
    private final boolean level;
    private final boolean flat;
    private final Relief relief;
    private final double pointForwardMm;
    private final double pointLeftMm;
    private final double heightShare;
    private final double supportForwardMm;
    private final double sensorHeightMm;

    private double pointXMm;
    private double pointYMm;

    /** @param setup as programmed: of the track's robot, whose sensors may read otherwise than the program has it */
    SensorHead(Track track, Setup setup, Variation variation, SplittableRandom random) {
        List<Sensor> sensors = Track.lookingSensors(track.setup());
        List<Sensor> believed = Track.lookingSensors(setup);
        relief = track.relief();
        heightShare = variation.heightShare();
        flat = relief.flat();
        level = flat && heightShare == 1;
        supportForwardMm = setup.robot().chassis().supportForwardMm();
        sensorHeightMm = setup.robot().chassis().sensorHeightMm();
        eyes = new Eye[sensors.size()];
        scaled = new double[eyes.length];
        for (int i = 0; i < eyes.length; i++) {
            boolean plain = i < Track.plainSensors(setup);
            eyes[i] = new Eye(
                    sensors.get(i),
                    believed.get(i),
                    setup.line().polarity(),
                    plain ? setup.law().scale() : Scale.UNIT,
                    track.views().get(i),
                    variation,
                    level,
                    random);
        }
        pointForwardMm = track.pointForwardMm();
        pointLeftMm = track.pointLeftMm();
    }

    /** @param sMm place of the law's point along the path; needed on an uneven table only */
    void look(Body body, double sMm) {
        double cos = body.cos;
        double sin = body.sin;
        pointXMm = body.xMm + pointForwardMm * cos - pointLeftMm * sin;
        pointYMm = body.yMm + pointForwardMm * sin + pointLeftMm * cos;
        for (int i = 0; i < eyes.length; i++) {
            Eye eye = eyes[i];
            double x = body.xMm + eye.forwardMm * cos - eye.leftMm * sin;
            double y = body.yMm + eye.forwardMm * sin + eye.leftMm * cos;
            scaled[i] = level
                    ? eye.scaled(x, y)
                    : flat ? eye.scaledHeld(x, y) : eye.scaledAtHeight(x, y, heightShare(eye.forwardMm, sMm));
        }
    }

    /** The robot stands on its wheels and one support; a sensor is as high above the table as that plane lifts it. */
    private double heightShare(double forwardMm, double sMm) {
        double wheels = sMm - pointForwardMm;
        double lift = relief.liftMm(wheels, forwardMm, supportForwardMm);
        return heightShare + lift / sensorHeightMm;
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
