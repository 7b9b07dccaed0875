package fahrbahn.core.practice;

import fahrbahn.core.response.Spot;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.Random;

/** Moved across a line by hand, from place to place along a ruler that begins on ground: what its display shows at each place. */
public final class SlideShowing {
    /** On ground, this many spots beside the line. */
    private static final double BESIDE_SPOTS = 4;

    private final Setup real;
    private final Random random;
    private final double centreMm;

    /** @param seed of the noise, and of where along the ruler the line lies */
    public SlideShowing(Setup real, long seed) {
        this.real = real;
        random = new Random(seed);
        double widest = real.robot().sensors().stream()
                .mapToDouble(s -> Math.abs(s.leftMm()) + BESIDE_SPOTS * s.spotSigmaMm())
                .max()
                .orElseThrow();
        centreMm = Math.ceil(widest + real.line().widthMm() / 2 + 5 * random.nextDouble());
    }

    /** A place behind the line where every sensor sees ground again, mm. */
    public double endMm() {
        return 2 * centreMm;
    }

    /** How far apart places should be so that each spot is seen at several: a spot's own size, in whole mm. */
    public double stepMm() {
        double smallest = real.robot().sensors().stream()
                .mapToDouble(Sensor::spotSigmaMm)
                .min()
                .orElseThrow();
        return Math.max(1, Math.floor(smallest));
    }

    /** What each sensor shows with the robot's middle at a place of the ruler. */
    public List<Double> readings(double placeMm) {
        Polarity polarity = real.line().polarity();
        return real.robot().sensors().stream()
                .map(sensor -> shown(
                        sensor,
                        polarity,
                        Spot.coverage(
                                placeMm - centreMm + sensor.leftMm(),
                                real.line().widthMm(),
                                sensor.spotSigmaMm())))
                .toList();
    }

    private double shown(Sensor sensor, Polarity polarity, double coverage) {
        double ground = polarity.ground(sensor);
        double even = ground + (polarity.line(sensor) - ground) * coverage + sensor.noise() * random.nextGaussian();
        return sensor.step() > 0 ? Math.rint(even / sensor.step()) * sensor.step() : even;
    }
}
