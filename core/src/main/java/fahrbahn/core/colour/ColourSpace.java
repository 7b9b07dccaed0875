package fahrbahn.core.colour;

import java.util.List;

/**
 * In what space colours are told apart. Hue, saturation and value are those of Smith, Color gamut transform pairs, SIGGRAPH 1978; negative
 * channels count as 0 there.
 */
public enum ColourSpace {
    /** The scaled channels themselves. */
    SCALED("scaled") {
        @Override
        public void features(double[] scaled, int at, double[] features) {
            System.arraycopy(scaled, at, features, 0, CHANNELS);
        }
    },
    /** {@code (s cos h, s sin h, v)}: unsteady on dark surfaces, whose saturation is noise over noise. */
    CYLINDER("cylinder") {
        @Override
        public void features(double[] scaled, int at, double[] features) {
            double most = most(scaled, at);
            around(scaled, at, most == 0 ? 0 : (most - least(scaled, at)) / most, features);
        }
    },
    /** {@code ((max-min) cos h, (max-min) sin h, v)}: the same with a point where it is dark. */
    CONE("cone") {
        @Override
        public void features(double[] scaled, int at, double[] features) {
            around(scaled, at, most(scaled, at) - least(scaled, at), features);
        }
    },
    /** Each channel's share of their sum, which other light leaves as it is; a third each where there is no light to share. */
    SHARES("shares") {
        @Override
        public void features(double[] scaled, int at, double[] features) {
            double sum = 0;
            for (int i = 0; i < CHANNELS; i++) {
                sum += Math.max(0, scaled[at + i]);
            }
            for (int i = 0; i < CHANNELS; i++) {
                features[i] = sum > LEAST_SUM ? Math.max(0, scaled[at + i]) / sum : 1.0 / CHANNELS;
            }
        }
    },
    /** {@code (mean, 0, 0)}: what programs get that add red, green and blue. */
    SUM("sum") {
        @Override
        public void features(double[] scaled, int at, double[] features) {
            features[0] = (scaled[at] + scaled[at + 1] + scaled[at + 2]) / CHANNELS;
            features[1] = 0;
            features[2] = 0;
        }
    };

    /** Red, green and blue. */
    public static final int CHANNELS = 3;

    public static final List<String> CHANNEL_NAMES = List.of("red", "green", "blue");

    /** Darker than a twentieth of the way from dark to light, shares are noise. */
    public static final double LEAST_SUM = 0.15;

    private static final double SEXTANT = Math.PI / 3;

    private final String word;

    ColourSpace(String word) {
        this.word = word;
    }

    /** Its name in files. */
    public String word() {
        return word;
    }

    /** What one of the features, 0 to 2, says. */
    public String feature(int i) {
        String channel = CHANNEL_NAMES.get(i);
        return switch (this) {
            case SCALED -> channel;
            case SHARES -> "share of " + channel;
            case SUM -> "mean of red, green and blue";
            case CYLINDER, CONE ->
                List.of("towards red", "towards green", "how light").get(i);
        };
    }

    /**
     * @param scaled by {@link ColourScale}, from the place {@code at} on
     * @param features gets the three features
     */
    public abstract void features(double[] scaled, int at, double[] features);

    /** The features of three scaled channels. */
    public double[] features(double[] scaled) {
        double[] features = new double[CHANNELS];
        features(scaled, 0, features);
        return features;
    }

    private static double most(double[] scaled, int at) {
        return Math.max(0, Math.max(scaled[at], Math.max(scaled[at + 1], scaled[at + 2])));
    }

    private static double least(double[] scaled, int at) {
        return Math.max(0, Math.min(scaled[at], Math.min(scaled[at + 1], scaled[at + 2])));
    }

    private static void around(double[] scaled, int at, double radius, double[] features) {
        double hue = hueRad(scaled, at);
        features[0] = radius * Math.cos(hue);
        features[1] = radius * Math.sin(hue);
        features[2] = most(scaled, at);
    }

    /** 0 is red, 2 pi / 3 green; 0 too where there is no colour. */
    private static double hueRad(double[] scaled, int at) {
        double red = Math.max(0, scaled[at]);
        double green = Math.max(0, scaled[at + 1]);
        double blue = Math.max(0, scaled[at + 2]);
        double most = most(scaled, at);
        double range = most - least(scaled, at);
        if (range == 0) {
            return 0;
        }
        if (most == red) {
            return SEXTANT * ((green - blue) / range);
        }
        return SEXTANT * (most == green ? (blue - red) / range + 2 : (red - green) / range + 4);
    }
}
