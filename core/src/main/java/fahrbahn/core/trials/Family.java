package fahrbahn.core.trials;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * Three settings and more, each compared with each other. Of many pairs one differs by luck more often than a single one would, so the chances of
 * each question are made larger, by Holm's steps (S. Holm, Scand. J. Statist. 6 (1979), 65): among all pairs together a difference that is not
 * there is shown in fewer than one case in twenty.
 */
public record Family(List<Pair> pairs) {
    /**
     * Two of them.
     *
     * @param completionP as a member of the family; NaN where there are too few values
     * @param timeP likewise
     * @param alongSpreadP likewise
     */
    public record Pair(Comparison comparison, double completionP, double timeP, double alongSpreadP) {}

    public Family {
        pairs = List.copyOf(pairs);
    }

    /** @param groups two or more, each pair in the order in which they come */
    public static Family of(List<Group> groups) {
        List<Comparison> all = new ArrayList<>();
        for (int a = 0; a < groups.size(); a++) {
            for (int b = a + 1; b < groups.size(); b++) {
                all.add(Comparison.of(groups.get(a), groups.get(b)));
            }
        }
        double[] completion = holm(all, c -> c.completion().p());
        double[] time = holm(all, c -> c.timeS().p());
        double[] spread = holm(all, c -> c.alongSpread().p());
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            pairs.add(new Pair(all.get(i), completion[i], time[i], spread[i]));
        }
        return new Family(pairs);
    }

    /** Of two of the groups, by their places, whichever comes first. */
    public Pair pair(int one, int other) {
        int a = Math.min(one, other);
        int b = Math.max(one, other);
        // So many groups that so many pairs come of: n (n - 1) / 2.
        int groups = (int) Math.round((1 + Math.sqrt(1 + 8.0 * pairs.size())) / 2);
        return pairs.get(a * groups - a * (a + 1) / 2 + b - a - 1);
    }

    private static double[] holm(List<Comparison> all, ToDoubleFunction<Comparison> p) {
        return holm(all.stream().mapToDouble(p).toArray());
    }

    /** Chances that are NaN are no members. */
    static double[] holm(double[] chances) {
        Integer[] order = new Integer[chances.length];
        Arrays.setAll(order, i -> i);
        Arrays.sort(order, Comparator.comparingDouble(i -> chances[i]));
        long members = Arrays.stream(chances).filter(p -> !Double.isNaN(p)).count();
        double[] adjusted = new double[chances.length];
        double most = 0;
        for (int k = 0; k < order.length; k++) {
            double one = chances[order[k]];
            most = Math.max(most, Math.min(1, (members - k) * one));
            adjusted[order[k]] = Double.isNaN(one) ? Double.NaN : most;
        }
        return adjusted;
    }
}
