package fahrbahn.core.twin;

import fahrbahn.core.law.Program;
import fahrbahn.core.sensing.Eye;
import fahrbahn.core.sensing.Variation;
import fahrbahn.core.setup.ObstacleMove.Found;
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
    private final boolean usualHeight;
    private final Relief relief;
    private final double pointForwardMm;
    private final double pointLeftMm;
    private final double heightShare;
    private final double supportForwardMm;
    private final double sensorHeightMm;
    private final double rearMm;
    private final double frontMm;

    private final boolean feels;
    private final Obstacles obstacles;

    private double pointXMm;
    private double pointYMm;

    /** @param setup as programmed: of the track's robot, whose sensors may read otherwise than the program has it */
    SensorHead(Track track, Setup setup, Variation variation, SplittableRandom random) {
        List<Sensor> sensors = Track.lookingSensors(track.setup());
        List<Sensor> believed = Track.lookingSensors(setup);
        relief = track.relief();
        heightShare = variation.heightShare();
        usualHeight = heightShare == 1;
        supportForwardMm = setup.robot().chassis().supportForwardMm();
        sensorHeightMm = setup.robot().chassis().sensorHeightMm();
        eyes = new Eye[sensors.size()];
        feels = setup.law().options().obstacle().isPresent();
        obstacles = track.standing().isEmpty()
                ? null
                : new Obstacles(track.standing(), setup, variation.noiseShare() > 0, random);
        scaled = new double[eyes.length + (feels ? 1 : 0)];
        if (feels) {
            scaled[eyes.length] =
                    setup.law().options().obstacle().get().feeler().found() == Found.TOUCH ? 0 : Program.NOTHING_MM;
        }
        for (int i = 0; i < eyes.length; i++) {
            String name = sensors.get(i).name();
            boolean plain = i < Track.plainSensors(setup);
            eyes[i] = new Eye(
                    sensors.get(i),
                    believed.get(i),
                    setup.line().polarity(),
                    plain ? setup.law().scale() : Scale.UNIT,
                    track.views().get(i),
                    variation,
                    relief.flat(),
                    track.fault().filter(f -> f.sensor().equals(name)),
                    random);
        }
        rearMm = Math.min(0, Math.min(supportForwardMm, furthest(-1)));
        frontMm = Math.max(0, Math.max(supportForwardMm, furthest(1)));
        pointForwardMm = track.pointForwardMm();
        pointLeftMm = track.pointLeftMm();
    }

    private double furthest(int way) {
        double furthest = 0;
        for (Eye eye : eyes) {
            furthest = way * eye.forwardMm > way * furthest ? eye.forwardMm : furthest;
        }
        return furthest;
    }

    /** How far the robot may drive before anything of it is on an uneven stretch; 0 when something is. */
    double evenForMm(double sMm) {
        double wheels = sMm - pointForwardMm;
        return relief.evenForMm(wheels + rearMm, wheels + frontMm);
    }

    /**
     * @param uneven whether anything of the robot may be on an uneven stretch
     * @param sMm place of the law's point along the path; needed there only
     */
    void look(Body body, boolean uneven, double sMm) {
        if (obstacles != null) {
            double feeler = obstacles.look(body);
            if (feels) {
                scaled[eyes.length] = feeler;
            }
        }
        double cos = body.cos;
        double sin = body.sin;
        pointXMm = body.xMm + pointForwardMm * cos - pointLeftMm * sin;
        pointYMm = body.yMm + pointForwardMm * sin + pointLeftMm * cos;
        for (int i = 0; i < eyes.length; i++) {
            Eye eye = eyes[i];
            double x = body.xMm + eye.forwardMm * cos - eye.leftMm * sin;
            double y = body.yMm + eye.forwardMm * sin + eye.leftMm * cos;
            if (uneven) {
                scaled[i] = eye.scaledAtHeight(x, y, heightShare(eye.forwardMm, sMm));
            } else {
                scaled[i] = usualHeight ? eye.scaled(x, y) : eye.scaledHeld(x, y);
            }
        }
    }

    /** The robot stands on its wheels and one support; a sensor is as high above the table as that plane lifts it. */
    private double heightShare(double forwardMm, double sMm) {
        double wheels = sMm - pointForwardMm;
        double lift = relief.liftMm(wheels, forwardMm, supportForwardMm);
        return heightShare + lift / sensorHeightMm;
    }

    /** Whether the robot has run into what stands on the table, by the latest look. */
    boolean hit() {
        return obstacles != null && obstacles.hit();
    }

    /** Scaled readings of the latest look, what finds an obstacle last where there is such; the same array every time. */
    double[] scaled() {
        return scaled;
    }

    int sensors() {
        return eyes.length;
    }

    /** The latest look of one sensor, in its own numbers. */
    double reading(int sensor) {
        return eyes[sensor].reading(scaled[sensor]);
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
