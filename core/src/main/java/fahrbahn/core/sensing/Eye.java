package fahrbahn.core.sensing;

import fahrbahn.core.raster.SeenRaster;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import java.util.Optional;
import java.util.SplittableRandom;

/**
 * One sensor in one run: what it reads at a place, scaled as the program scales it.
 *
 * <p>Higher than where it was captured, a sensor sees a larger spot, and its light comes back by the square of the height: the
 * reading falls from what the surface gives towards the reading on dark. That is a model of ours, for bumps and ramps.
 */
public final class Eye {
    public final double forwardMm;
    public final double leftMm;
    private final SeenRaster usual;
    private final SeenRaster[] byHeight;
    private final SpotView.Held held;
    private final double heldPerSquare;
    private final double ground;
    private final double lineLessGround;
    private final double dark;
    private final double noise;
    private final double step;
    private final double perStep;
    private final double scaleFactor;
    private final double scaleShift;
    private final SplittableRandom random;

    /**
     * @param sensor as it is
     * @param believed as the program has it, whose dark and light it scales by
     * @param scale in which the program works with it
     * @param level true when the sensor keeps its height all along
     * @param fault of this sensor
     */
    public Eye(
            Sensor sensor,
            Sensor believed,
            Polarity polarity,
            Scale scale,
            SpotView view,
            Variation variation,
            boolean level,
            Optional<SensorFault> fault,
            SplittableRandom random) {
        double light = variation.lightShare();
        double least = fault.map(SensorFault::least).orElse(0.0);
        double contrast = fault.map(SensorFault::contrast).orElse(1.0);
        forwardMm = sensor.forwardMm();
        leftMm = sensor.leftMm();
        usual = view.usual();
        byHeight = level ? null : view.byHeight();
        held = variation.heightShare() == 1 ? null : view.held(variation.heightShare());
        heldPerSquare = 1 / (variation.heightShare() * variation.heightShare());
        double whole = light * (polarity.line(sensor) - polarity.ground(sensor));
        ground = light * polarity.ground(sensor) + least * whole;
        lineLessGround = contrast * whole;
        dark = light * sensor.dark();
        noise = sensor.noise() * variation.noiseShare();
        step = sensor.step();
        perStep = step > 0 ? 1 / step : 0;
        scaleShift = scale.scaled(believed, 0);
        scaleFactor = scale.scaled(believed, 1) - scaleShift;
        this.random = variation.noiseShare() > 0 ? random : null;
    }

    /** At the height of the captures. */
    public double scaled(double xMm, double yMm) {
        return scaled(ground + lineLessGround * usual.at(xMm, yMm));
    }

    /** On even ground, at the height of this run; where that is not the height of the captures. */
    public double scaledHeld(double xMm, double yMm) {
        double seen = ground + lineLessGround * held.at(xMm, yMm);
        return scaled(dark + (seen - dark) * heldPerSquare);
    }

    /** On uneven ground. @param heightShare height over that of the captures; held inside what is painted */
    public double scaledAtHeight(double xMm, double yMm, double heightShare) {
        double height = Math.max(SpotView.LEAST_HEIGHT, Math.min(SpotView.MOST_HEIGHT, heightShare));
        double seen = ground + lineLessGround * SpotView.at(byHeight, height, xMm, yMm);
        return scaled(dark + (seen - dark) / (height * height));
    }

    /** Of a scaled reading, the reading; to the last digits where it was a whole number of steps. */
    public double reading(double scaled) {
        double reading = (scaled - scaleShift) / scaleFactor;
        return random != null && step > 0 ? Math.rint(reading * perStep) * step : reading;
    }

    private double scaled(double even) {
        double reading = even;
        if (random != null) {
            reading += noise * NormalDraws.next(random);
            reading = step > 0 ? Math.rint(reading * perStep) * step : reading;
        }
        return scaleShift + scaleFactor * reading;
    }
}
