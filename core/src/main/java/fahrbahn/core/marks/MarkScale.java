package fahrbahn.core.marks;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import java.util.List;

/** Scales each channel so that the mean of the samples named dark is 0 and that of those named light is 1. */
public final class MarkScale {
    private final double[] dark;
    private final double[] light;

    /** @throws BadValueException when a channel reads the same on both */
    public MarkScale(double[] dark, double[] light) {
        for (int i = 0; i < MarkSpace.CHANNELS; i++) {
            Check.require(
                    light[i] != dark[i],
                    "light",
                    light[i],
                    "different from dark in every channel: the " + MarkSpace.CHANNEL_NAMES.get(i)
                            + " channel tells nothing apart");
        }
        this.dark = dark.clone();
        this.light = light.clone();
    }

    /** @throws BadValueException when there are no samples named dark, or none named light */
    public static MarkScale of(List<MarkSample> samples) {
        return new MarkScale(mean(samples, MarkSample.DARK), mean(samples, MarkSample.LIGHT));
    }

    private static double[] mean(List<MarkSample> samples, String surface) {
        double[] sum = new double[MarkSpace.CHANNELS];
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
        if (count == 0) {
            throw new BadValueException(
                    "surface",
                    "never '" + surface + "'",
                    "'dark' for some readings and 'light' for others: they scale the rest");
        }
        for (int i = 0; i < sum.length; i++) {
            sum[i] /= count;
        }
        return sum;
    }

    /** Three channels, 0 on dark and 1 on light. */
    public double[] scaled(double[] rgb) {
        double[] scaled = new double[MarkSpace.CHANNELS];
        for (int i = 0; i < scaled.length; i++) {
            scaled[i] = (rgb[i] - dark[i]) / (light[i] - dark[i]);
        }
        return scaled;
    }

    public double[] dark() {
        return dark.clone();
    }

    public double[] light() {
        return light.clone();
    }
}
