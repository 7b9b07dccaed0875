package fahrbahn.core.colour;

import java.util.List;

/** A {@link ColourRule} at work. Not thread-safe; allocates nothing after it is made. */
public final class ColourReader {
    private static final int P = ColourSpace.CHANNELS;

    private final ColourRule rule;
    private final double[] centres;
    /** Empty where surfaces have no border. */
    private final double[] reaches;
    /** The whole matrix by rows; empty where distances are as the crow flies. */
    private final double[] metric;
    /** Where surfaces follow each other on one feature, -1 where they do not. */
    private final int cutFeature;

    private final double[] levels;

    private final double[] features = new double[P];

    public ColourReader(ColourRule rule) {
        this.rule = rule;
        centres = rule.known().stream()
                .flatMap(k -> k.centre().stream())
                .mapToDouble(d -> d)
                .toArray();
        reaches = rule.known().stream()
                .flatMap(k -> k.reach().stream())
                .mapToDouble(d -> d)
                .toArray();
        cutFeature = rule.cut().map(ColourRule.Cut::feature).orElse(-1);
        levels = rule.cut().map(ColourRule.Cut::levels).stream()
                .flatMap(List::stream)
                .mapToDouble(d -> d)
                .toArray();
        metric = new double[rule.metric().isEmpty() ? 0 : P * P];
        for (int i = 0; i < P && metric.length > 0; i++) {
            for (int j = 0; j < P; j++) {
                int row = Math.max(i, j);
                metric[P * i + j] = rule.metric().get(row * (row + 1) / 2 + Math.min(i, j));
            }
        }
    }

    /**
     * @param scaled channels, from the place {@code at} on
     * @return the place of a surface among those known, -1 for none
     */
    public int take(double[] scaled, int at) {
        rule.space().features(scaled, at, features);
        if (cutFeature >= 0) {
            return between();
        }
        return reaches.length > 0 ? inReach() : nearest();
    }

    /** @param scaled three channels @return the name of a surface */
    public String take(double[] scaled) {
        return rule.surface(take(scaled, 0));
    }

    private int between() {
        int taken = 0;
        while (taken < levels.length && features[cutFeature] >= levels[taken]) {
            taken++;
        }
        return taken;
    }

    private int nearest() {
        int nearest = -1;
        double least = Double.POSITIVE_INFINITY;
        for (int at = 0; at < centres.length; at += P) {
            double distance = metric.length == 0 ? crowFlies(at) : measured(at);
            if (distance < least) {
                least = distance;
                nearest = at / P;
            }
        }
        return nearest;
    }

    private double crowFlies(int at) {
        double distance = 0;
        for (int i = 0; i < P; i++) {
            double off = features[i] - centres[at + i];
            distance += off * off;
        }
        return distance;
    }

    private double measured(int at) {
        double distance = 0;
        for (int i = 0; i < P; i++) {
            for (int j = 0; j < P; j++) {
                distance += (features[i] - centres[at + i]) * metric[P * i + j] * (features[j] - centres[at + j]);
            }
        }
        return distance;
    }

    /** Where several reach so far, the one whose middle is nearest for its width. */
    private int inReach() {
        int taken = -1;
        double least = 1;
        for (int at = 0; at < centres.length; at += P) {
            double furthest = 0;
            for (int i = 0; i < P; i++) {
                furthest = Math.max(furthest, Math.abs(features[i] - centres[at + i]) / reaches[at + i]);
            }
            if (furthest <= least) {
                least = furthest;
                taken = at / P;
            }
        }
        return taken;
    }
}
