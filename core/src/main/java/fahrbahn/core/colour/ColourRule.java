package fahrbahn.core.colour;

import fahrbahn.core.check.Check;
import java.util.List;
import java.util.Optional;

/**
 * What surface a program takes a colour for: the known one that is nearest, or the one between whose levels a single feature lies. Every school comes down to
 * this; they differ in the space, in how distance is measured and in whether a surface has a border.
 *
 * @param metric lower triangle, by rows, of the matrix by which distances are measured; empty where they are as the crow flies
 * @param known any number; either all have a reach or none; where a feature is cut by levels, in the order of its values
 * @param cut where the value of one feature decides
 */
public record ColourRule(ColourSpace space, List<Double> metric, List<Known> known, Optional<Cut> cut) {
    /** What a colour is taken for that is none of those known. */
    public static final String NONE = "none";

    private static final int TRIANGLE = ColourSpace.CHANNELS * (ColourSpace.CHANNELS + 1) / 2;
    private static final int MOST_KNOWN = 100;

    /**
     * One feature, cut by levels: from a level on it is taken for the next surface.
     *
     * @param feature of the space, 0 to 2
     * @param levels never falling; one fewer than surfaces. A surface between two that are equal is never taken
     */
    public record Cut(int feature, List<Double> levels) {
        public Cut {
            Check.between("feature", feature, 0, ColourSpace.CHANNELS - 1);
            levels = List.copyOf(levels);
            levels.forEach(level -> Check.finite("levels", level));
            for (int i = 1; i < levels.size(); i++) {
                Check.require(
                        levels.get(i) >= levels.get(i - 1), "levels", levels.get(i), "no less than the one before");
            }
        }
    }

    /**
     * @param centre three features; empty where a feature is cut by levels
     * @param reach how far from the centre each feature may be, above 0; empty where it may be anywhere
     */
    public record Known(String surface, List<Double> centre, List<Double> reach) {
        public Known {
            Check.text("surface", surface, "the name of a surface");
            centre = List.copyOf(centre);
            reach = List.copyOf(reach);
            threeOrNone("centre", centre);
            centre.forEach(c -> Check.finite("centre", c));
            threeOrNone("reach", reach);
            reach.forEach(r -> Check.positive("reach", r));
        }

        private static void threeOrNone(String field, List<Double> numbers) {
            Check.require(
                    numbers.isEmpty() || numbers.size() == ColourSpace.CHANNELS,
                    field,
                    numbers.size(),
                    "three numbers, or none");
        }
    }

    /** By distance. */
    public ColourRule(ColourSpace space, List<Double> metric, List<Known> known) {
        this(space, metric, known, Optional.empty());
    }

    /** By levels on one feature. @param surfaces in the order of its values */
    public ColourRule(ColourSpace space, Cut cut, List<String> surfaces) {
        this(
                space,
                List.of(),
                surfaces.stream()
                        .map(surface -> new Known(surface, List.of(), List.of()))
                        .toList(),
                Optional.of(cut));
    }

    public ColourRule {
        metric = List.copyOf(metric);
        known = List.copyOf(known);
        Check.require(metric.isEmpty() || metric.size() == TRIANGLE, "metric", metric.size(), "six numbers, or none");
        metric.forEach(m -> Check.finite("metric", m));
        Check.require(known.size() <= MOST_KNOWN, "known", known.size(), "at most " + MOST_KNOWN);
        boolean bordered = !known.isEmpty() && !known.get(0).reach().isEmpty();
        for (Known one : known) {
            Check.require(
                    one.centre().isEmpty() == cut.isPresent(),
                    "centre",
                    one.surface(),
                    "none where a feature is cut by levels, of all surfaces where it is not");
            Check.require(
                    one.reach().isEmpty() != bordered,
                    "reach",
                    one.surface(),
                    "of all surfaces that are known or none");
        }
        Check.require(
                metric.isEmpty() || !bordered && cut.isEmpty(),
                "metric",
                metric.size(),
                "none where surfaces have a reach or levels");
        Check.require(!bordered || cut.isEmpty(), "reach", known.size(), "none where a feature is cut by levels");
        if (cut.isPresent()) {
            int levels = cut.get().levels().size();
            Check.require(levels == known.size() - 1, "levels", levels, "one fewer than surfaces");
        }
    }

    /** Place of a surface among those known; -1 where it is not among them. */
    public int indexOf(String surface) {
        for (int i = 0; i < known.size(); i++) {
            if (known.get(i).surface().equals(surface)) {
                return i;
            }
        }
        return -1;
    }

    /** Name of the surface at a place among those known, {@link #NONE} for -1. */
    public String surface(int index) {
        return index < 0 ? NONE : known.get(index).surface();
    }
}
