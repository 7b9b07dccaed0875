package fahrbahn.core.setup;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Bounds;
import fahrbahn.core.check.Check;
import fahrbahn.core.colour.Channel;

/**
 * One downward light sensor and what it has been seen to report.
 *
 * @param name the column that carries its readings
 * @param forwardMm lead: how far ahead of the turning point it sits; negative behind it
 * @param leftMm how far left of the robot's centre line it sits; negative on the right
 * @param spotSigmaMm standard deviation of the Gaussian spot it sees; it grows with mounting height; above 0
 * @param dark reading on the dark surface, in the sensor's own numbers
 * @param light reading on the light surface; may be below {@code dark}, never equal to it
 * @param noise standard deviation of its readings on an even surface, in its own numbers; 0 or more
 * @param step smallest change it can report, in its own numbers; 0 or more
 * @param channel the light it works with
 */
public record Sensor(
        String name,
        double forwardMm,
        double leftMm,
        double spotSigmaMm,
        double dark,
        double light,
        double noise,
        double step,
        Channel channel) {
    public Sensor {
        Check.text("name", name, "the name of the sensor's column");
        Check.within("forwardMm", forwardMm, Bounds.ROBOT_MM);
        Check.within("leftMm", leftMm, Bounds.ROBOT_MM);
        Check.positive("spotSigmaMm", spotSigmaMm, Bounds.SPOT_MM);
        Check.within("dark", dark, Bounds.NUMBER);
        Check.within("light", light, Bounds.NUMBER);
        if (dark == light) {
            throw new BadValueException("light", light, "different from the reading on dark");
        }
        Check.notNegative("noise", noise, Bounds.NUMBER);
        Check.notNegative("step", step, Bounds.NUMBER);
    }

    /** A sensor that works with all light. */
    public Sensor(
            String name,
            double forwardMm,
            double leftMm,
            double spotSigmaMm,
            double dark,
            double light,
            double noise,
            double step) {
        this(name, forwardMm, leftMm, spotSigmaMm, dark, light, noise, step, Channel.ALL);
    }

    /** Size of the step from dark to light, in the sensor's own numbers. */
    public double contrast() {
        return Math.abs(light - dark);
    }

    public Sensor withPlace(double newForwardMm, double newLeftMm) {
        return new Sensor(name, newForwardMm, newLeftMm, spotSigmaMm, dark, light, noise, step, channel);
    }

    public Sensor withSurfaces(double newDark, double newLight, double newNoise) {
        return new Sensor(name, forwardMm, leftMm, spotSigmaMm, newDark, newLight, newNoise, step, channel);
    }

    public Sensor withSpotSigmaMm(double newSpotSigmaMm) {
        return new Sensor(name, forwardMm, leftMm, newSpotSigmaMm, dark, light, noise, step, channel);
    }

    public Sensor withChannel(Channel newChannel) {
        return new Sensor(name, forwardMm, leftMm, spotSigmaMm, dark, light, noise, step, newChannel);
    }

    public Sensor withStep(double newStep) {
        return new Sensor(name, forwardMm, leftMm, spotSigmaMm, dark, light, noise, newStep, channel);
    }
}
