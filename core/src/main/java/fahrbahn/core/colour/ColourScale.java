package fahrbahn.core.colour;

import fahrbahn.core.check.Check;
import java.util.List;

/**
 * Scales each channel so that dark is 0 and light is 1.
 *
 * @param dark readings on the dark surface, red, green and blue, in the sensor's own numbers
 * @param light on the light one; different from dark in every channel
 */
public record ColourScale(List<Double> dark, List<Double> light) {
    public ColourScale {
        dark = List.copyOf(dark);
        light = List.copyOf(light);
        Check.require(dark.size() == ColourSpace.CHANNELS, "dark", dark.size(), "three numbers");
        Check.require(light.size() == ColourSpace.CHANNELS, "light", light.size(), "three numbers");
        for (int i = 0; i < ColourSpace.CHANNELS; i++) {
            Check.finite("dark", dark.get(i));
            Check.finite("light", light.get(i));
            Check.require(
                    !light.get(i).equals(dark.get(i)),
                    "light",
                    light.get(i),
                    "different from dark in every channel: the " + ColourSpace.CHANNEL_NAMES.get(i)
                            + " channel tells nothing apart");
        }
    }

    /** One channel, 0 on dark and 1 on light. */
    public double scaled(int channel, double reading) {
        return (reading - dark.get(channel)) / (light.get(channel) - dark.get(channel));
    }

    /** The reading that gives a scaled one. */
    public double of(int channel, double scaled) {
        return dark.get(channel) + scaled * (light.get(channel) - dark.get(channel));
    }

    /** Three channels. */
    public double[] scaled(double[] rgb) {
        double[] scaled = new double[ColourSpace.CHANNELS];
        for (int i = 0; i < scaled.length; i++) {
            scaled[i] = scaled(i, rgb[i]);
        }
        return scaled;
    }
}
