package fahrbahn.core.review;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;

/**
 * What speaks for one and what for the other of two that complete alike: time, distance from the path, smoothness and stop place, each where its
 * difference is shown and is more than nothing to a coach.
 *
 * @param wins each by one of the two
 */
record Weighed(List<Win> wins) {
    /** What is weighed. Less is better in all. */
    enum By {
        TIME(TwoOnOneTable::timeS, 0.01, 0, "is faster", " s"),
        PATH(TwoOnOneTable::rmsMm, 0.1, 0, "rides closer to its path", " mm"),
        CROSSINGS(TwoOnOneTable::pathCrossingsPerM, 0.15, 0.3, "crosses its path less often", " a metre"),
        TRAVEL(TwoOnOneTable::travelPerM, 0.15, 0, "steers less", " of full power a metre"),
        PLACE(both -> both.stop().scatterMm(), 0, 0.3, "scatters its stop places less", " mm");

        private final Function<TwoOnOneTable, Difference> figure;
        private final double leastShare;
        private final double least;
        private final String says;
        private final String unit;

        By(Function<TwoOnOneTable, Difference> figure, double leastShare, double least, String says, String unit) {
            this.figure = figure;
            this.leastShare = leastShare;
            this.least = least;
            this.says = says;
            this.unit = unit;
        }

        /** Whether a difference is shown, and a coach would mind it. */
        boolean matters(Difference difference) {
            double most = Math.max(Math.abs(difference.a()), Math.abs(difference.b()));
            return difference.told()
                    && difference.shown()
                    && Math.abs(difference.size()) >= Math.max(least, leastShare * most);
        }

        String says() {
            return says;
        }

        String unit() {
            return unit;
        }
    }

    /** @param first whether A wins it */
    record Win(By by, boolean first, Difference difference) {}

    static Weighed of(TwoOnOneTable both) {
        return new Weighed(Arrays.stream(By.values())
                .map(by -> win(by, by.figure.apply(both)))
                .filter(Objects::nonNull)
                .toList());
    }

    private static Win win(By by, Difference difference) {
        return by.matters(difference) ? new Win(by, difference.size() > 0, difference) : null;
    }

    List<Win> of(boolean first) {
        return wins.stream().filter(win -> win.first() == first).toList();
    }

    /** Whether the first is the smoother; empty where neither is, or crossings and steering do not agree. */
    Optional<Boolean> smoother() {
        List<Boolean> smooth = wins.stream()
                .filter(win -> win.by() == By.CROSSINGS || win.by() == By.TRAVEL)
                .map(Win::first)
                .distinct()
                .toList();
        return smooth.size() == 1 ? Optional.of(smooth.get(0)) : Optional.empty();
    }
}
