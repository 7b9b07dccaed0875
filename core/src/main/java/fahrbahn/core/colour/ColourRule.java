package fahrbahn.core.colour;

import fahrbahn.core.check.Check;
import java.util.List;

/**
 * What surface a program takes a colour for: the known one that is nearest. Every school comes down to this; they differ in the space, in how
 * distance is measured and in whether a surface has a border.
 *
 * @param metric lower triangle, by rows, of the matrix by which distances are measured; empty where they are as the crow flies
 * @param known any number; either all have a reach or none
 */
public record ColourRule(ColourSpace space, List<Double> metric, List<Known> known) {
    /** What a colour is taken for that is none of those known. */
    public static final String NONE = "none";

    private static final int TRIANGLE = ColourSpace.CHANNELS * (ColourSpace.CHANNELS + 1) / 2;
    private static final int MOST_KNOWN = 100;

    /**
     * @param centre three features
     * @param reach how far from the centre each feature may be, above 0; empty where it may be anywhere
     */
    public record Known(String surface, List<Double> centre, List<Double> reach) {
        public Known {
            Check.text("surface", surface, "the name of a surface");
            centre = List.copyOf(centre);
            reach = List.copyOf(reach);
            three("centre", centre);
            centre.forEach(c -> Check.finite("centre", c));
            if (!reach.isEmpty()) {
                three("reach", reach);
                reach.forEach(r -> Check.positive("reach", r));
            }
        }

        private static void three(String field, List<Double> numbers) {
            Check.require(numbers.size() == ColourSpace.CHANNELS, field, numbers.size(), "three numbers");
        }
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
                    one.reach().isEmpty() != bordered,
                    "reach",
                    one.surface(),
                    "of all surfaces that are known or none");
        }
        Check.require(metric.isEmpty() || !bordered, "metric", metric.size(), "none where surfaces have a reach");
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
