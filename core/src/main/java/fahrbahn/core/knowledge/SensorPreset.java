package fahrbahn.core.knowledge;

import fahrbahn.core.setup.Sensor;
import java.util.ArrayList;
import java.util.List;

/**
 * Kinds of sensor, described by how they are built and not by who sells them. Their numbers are our own guesses, to begin with
 * until the sensor has been measured: spot at a finger's breadth, readings on matt paper, noise and rounding.
 */
public enum SensorPreset {
    PHOTOTRANSISTOR("a lamp and a phototransistor, 10 bit", 3.0, 220, 710, 3, 1),
    PHOTOTRANSISTOR_FINE("a lamp and a phototransistor, 12 bit", 3.0, 900, 2900, 11, 1),
    INFRARED_INVERTED("infrared, dark reads high, 10 bit", 2.6, 830, 90, 4, 1),
    PERCENT("a light sensor in percent", 3.4, 9, 62, 0.4, 1),
    COLOUR("a colour sensor, 8 bit a channel", 3.8, 28, 168, 1.6, 1),
    LUX_LIKE("a colour chip with a lamp, 16 bit", 4.2, 2100, 14500, 60, 1);

    /** Sensors side by side on a carrier are rarely closer. */
    private static final double LEAST_PITCH_MM = 8;

    private final String words;
    private final double spotSigmaMm;
    private final double dark;
    private final double light;
    private final double noise;
    private final double step;

    SensorPreset(String words, double spotSigmaMm, double dark, double light, double noise, double step) {
        this.words = words;
        this.spotSigmaMm = spotSigmaMm;
        this.dark = dark;
        this.light = light;
        this.noise = noise;
        this.step = step;
    }

    public String words() {
        return words;
    }

    /** A sensor of this kind that nobody has measured. */
    public Sensor at(String name, double forwardMm, double leftMm) {
        return new Sensor(name, forwardMm, leftMm, spotSigmaMm, dark, light, noise, step);
    }

    /**
     * A row of sensors of this kind, left to right, a line width apart, even to both sides.
     *
     * @param count 1 to 16
     */
    public List<Sensor> row(int count, double forwardMm, double lineWidthMm) {
        double pitch = count == 2 ? lineWidthMm : Math.max(LEAST_PITCH_MM, lineWidthMm / 2);
        List<Sensor> row = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            row.add(at(name(i, count), forwardMm, ((count - 1) / 2.0 - i) * pitch));
        }
        return List.copyOf(row);
    }

    private static String name(int index, int count) {
        if (count == 1) {
            return "eye";
        }
        if (count == 2) {
            return index == 0 ? "left" : "right";
        }
        return "s" + (index + 1);
    }
}
