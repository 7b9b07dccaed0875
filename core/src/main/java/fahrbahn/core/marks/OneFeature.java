package fahrbahn.core.marks;

import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.response.Spot;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * One feature cut by levels halfway, in standard deviations, between neighbouring surfaces. Of the three the one is taken whose worst pair of
 * neighbours is furthest apart.
 */
final class OneFeature {
    /** A surface without scatter is taken to have this much, of the way from dark to light: a display rounds. */
    private static final double LEAST_SD = 0.003;

    private record One(String surface, double mean, double sd) {}

    private OneFeature() {}

    static Learnt of(ColourSpace space, Map<String, Moments> surfaces) {
        int best = 0;
        double fewest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < ColourSpace.CHANNELS; i++) {
            double missed = misses(sorted(surfaces, i));
            if (missed < fewest) {
                fewest = missed;
                best = i;
            }
        }
        List<One> sorted = sorted(surfaces, best);
        List<Double> levels = levels(sorted);
        List<String> names = sorted.stream().map(One::surface).toList();
        List<Learnt.Constant> constants = new ArrayList<>();
        if (space != ColourSpace.SUM) {
            constants.add(new Learnt.Constant("channel", best + 1.0));
        }
        for (int i = 0; i < levels.size(); i++) {
            constants.add(new Learnt.Constant(names.get(i) + " below " + names.get(i + 1), levels.get(i)));
        }
        return new Learnt(new ColourRule(space, new ColourRule.Cut(best, levels), names), constants);
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
            double level = (low.mean() * high.sd() + high.mean() * low.sd()) / (low.sd() + high.sd());
            levels.add(Math.max(
                    low.mean(), Math.min(high.mean(), level))); // rounding could put it outside of two that are alike
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
}
