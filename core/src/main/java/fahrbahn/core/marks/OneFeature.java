package fahrbahn.core.marks;

import fahrbahn.core.response.Spot;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * One feature cut by levels halfway, in standard deviations, between neighbouring surfaces. Of the three the one is taken whose worst pair of
 * neighbours is furthest apart.
 *
 * @param feature which, from 0
 * @param surfaces by rising mean
 * @param levels one fewer
 */
record OneFeature(int feature, List<String> surfaces, List<Double> levels) implements MarkClassifier {
    /** A surface without scatter is taken to have this much, of the way from dark to light: a display rounds. */
    private static final double LEAST_SD = 0.003;

    private record One(String surface, double mean, double sd) {}

    static OneFeature of(Map<String, Moments> surfaces) {
        OneFeature best = null;
        double fewest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < MarkSpace.CHANNELS; i++) {
            List<One> sorted = sorted(surfaces, i);
            double missed = misses(sorted);
            if (best == null || missed < fewest) {
                fewest = missed;
                best = new OneFeature(i, sorted.stream().map(One::surface).toList(), levels(sorted));
            }
        }
        return best;
    }

    private static List<One> sorted(Map<String, Moments> surfaces, int feature) {
        List<One> sorted = new ArrayList<>();
        surfaces.forEach((surface, moments) -> {
            if (moments.n() > 0) {
                sorted.add(new One(surface, moments.mean()[feature], Math.max(LEAST_SD, moments.sd(feature))));
            }
        });
        sorted.sort(Comparator.comparingDouble(One::mean));
        return sorted;
    }

    private static List<Double> levels(List<One> sorted) {
        List<Double> levels = new ArrayList<>();
        for (int i = 1; i < sorted.size(); i++) {
            One low = sorted.get(i - 1);
            One high = sorted.get(i);
            levels.add((low.mean() * high.sd() + high.mean() * low.sd()) / (low.sd() + high.sd()));
        }
        return List.copyOf(levels);
    }

    /** Normal tails over the levels, all surfaces together. */
    private static double misses(List<One> sorted) {
        double misses = 0;
        for (int i = 1; i < sorted.size(); i++) {
            One low = sorted.get(i - 1);
            One high = sorted.get(i);
            misses += 2 * Spot.upperTail((high.mean() - low.mean()) / (low.sd() + high.sd()));
        }
        return misses;
    }

    @Override
    public String take(double[] features) {
        int place = 0;
        while (place < levels.size() && features[feature] > levels.get(place)) {
            place++;
        }
        return surfaces.isEmpty() ? NONE : surfaces.get(place);
    }

    @Override
    public List<Constant> constants() {
        List<Constant> constants = new ArrayList<>();
        constants.add(new Constant("channel", feature + 1));
        for (int i = 0; i < levels.size(); i++) {
            constants.add(new Constant(surfaces.get(i) + " below " + surfaces.get(i + 1), levels.get(i)));
        }
        return constants;
    }
}
