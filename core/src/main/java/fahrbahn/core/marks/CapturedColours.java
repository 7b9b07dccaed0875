package fahrbahn.core.marks;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.colour.ColourScale;
import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.raster.Surface;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Colours as a sensor captured them: means by surface, the scale of its channels, and a table's palette with them. */
public final class CapturedColours {
    private final List<MarkSample> samples;

    public CapturedColours(List<MarkSample> samples) {
        this.samples = List.copyOf(samples);
    }

    /** @throws BadValueException when there are no samples named dark, or none named light */
    public ColourScale scale() {
        return new ColourScale(ground(MarkSample.DARK), ground(MarkSample.LIGHT));
    }

    private List<Double> ground(String surface) {
        double[] mean = mean(surface);
        if (Double.isNaN(mean[0])) {
            throw new BadValueException(
                    "surface",
                    "never '" + surface + "'",
                    "'dark' for some readings and 'light' for others: they scale the rest");
        }
        return Arrays.stream(mean).boxed().toList();
    }

    /** In the sensor's own numbers; not numbers where the surface was never captured. */
    private double[] mean(String surface) {
        double[] sum = new double[ColourSpace.CHANNELS];
        int count = 0;
        for (MarkSample sample : samples) {
            if (sample.surface().equals(surface)) {
                double[] rgb = sample.rgb();
                for (int i = 0; i < sum.length; i++) {
                    sum[i] += rgb[i];
                }
                count++;
            }
        }
        for (int i = 0; i < sum.length; i++) {
            sum[i] = count == 0 ? Double.NaN : sum[i] / count;
        }
        return sum;
    }

    /**
     * A table's palette with what was captured under the names of its surfaces; the others stay.
     *
     * @throws BadValueException when there are no samples named dark, or none named light
     */
    public Palette on(Palette palette) {
        Palette changed = palette;
        for (Palette.Painted painted : Palette.Painted.values()) {
            double[] mean = mean(painted.word());
            if (!Double.isNaN(mean[0])) {
                changed = changed.with(painted, reflecting(scale().scaled(mean), palette));
            }
        }
        return changed;
    }

    /** Names under which something was captured that a table can have. */
    public List<String> known() {
        List<String> known = new ArrayList<>();
        for (Palette.Painted painted : Palette.Painted.values()) {
            if (!Double.isNaN(mean(painted.word())[0])) {
                known.add(painted.word());
            }
        }
        return known;
    }

    /** What reads so far between the palette's own dark and light. */
    private static Surface reflecting(double[] scaled, Palette palette) {
        double[] rgb = new double[ColourSpace.CHANNELS];
        for (int i = 0; i < rgb.length; i++) {
            Channel channel = Channel.values()[Channel.RED.ordinal() + i];
            double dark = palette.dark().reflectance(channel);
            double light = palette.light().reflectance(channel);
            rgb[i] = Math.max(0, Math.min(Surface.MOST, dark + scaled[i] * (light - dark)));
        }
        return new Surface(rgb[0], rgb[1], rgb[2]);
    }
}
