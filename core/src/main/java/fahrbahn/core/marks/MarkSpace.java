package fahrbahn.core.marks;

import java.util.List;

/**
 * In what space colours are told apart. Hue, saturation and value are those of Smith, Color gamut transform pairs, SIGGRAPH 1978; negative
 * channels count as 0 there.
 */
public enum MarkSpace {
    /** The scaled channels themselves. */
    SCALED {
        @Override
        double[] features(double[] scaled) {
            return scaled;
        }
    },
    /** {@code (s cos h, s sin h, v)}: unsteady on dark surfaces, whose saturation is noise over noise. */
    CYLINDER {
        @Override
        double[] features(double[] scaled) {
            double most = most(scaled);
            return around(scaled, most == 0 ? 0 : (most - least(scaled)) / most);
        }
    },
    /** {@code ((max-min) cos h, (max-min) sin h, v)}: the same with a point where it is dark. */
    CONE {
        @Override
        double[] features(double[] scaled) {
            return around(scaled, most(scaled) - least(scaled));
        }
    },
    /** Each channel's share of their sum, which other light leaves as it is; a third each where there is no light to share. */
    SHARES {
        @Override
        double[] features(double[] scaled) {
            double sum = 0;
            for (double channel : scaled) {
                sum += Math.max(0, channel);
            }
            double[] shares = new double[CHANNELS];
            for (int i = 0; i < CHANNELS; i++) {
                shares[i] = sum > LEAST_SUM ? Math.max(0, scaled[i]) / sum : 1.0 / CHANNELS;
            }
            return shares;
        }
    };

    static final int CHANNELS = 3;

    static final List<String> CHANNEL_NAMES = List.of("red", "green", "blue");

    /** Darker than a twentieth of the way from dark to light, shares are noise. */
    private static final double LEAST_SUM = 0.15;

    private static final double SEXTANT = Math.PI / 3;

    /** @param scaled by {@link MarkScale} */
    abstract double[] features(double[] scaled);

    private static double most(double[] scaled) {
        return Math.max(0, Math.max(scaled[0], Math.max(scaled[1], scaled[2])));
    }

    private static double least(double[] scaled) {
        return Math.max(0, Math.min(scaled[0], Math.min(scaled[1], scaled[2])));
    }

    private static double[] around(double[] scaled, double radius) {
        double hue = hueRad(scaled);
        return new double[] {radius * Math.cos(hue), radius * Math.sin(hue), most(scaled)};
    }

    /** 0 is red, 2 pi / 3 green; 0 too where there is no colour. */
    private static double hueRad(double[] scaled) {
        double red = Math.max(0, scaled[0]);
        double green = Math.max(0, scaled[1]);
        double blue = Math.max(0, scaled[2]);
        double most = most(scaled);
        double range = most - least(scaled);
        if (range == 0) {
            return 0;
        }
        if (most == red) {
            return SEXTANT * ((green - blue) / range);
        }
        return SEXTANT * (most == green ? (blue - red) / range + 2 : (red - green) / range + 4);
    }
}
