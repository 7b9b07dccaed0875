package fahrbahn.core.measuring;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.measuring.SlideLeastSquares.Solved;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Optional;
import java.util.function.DoubleFunction;

/**
 * Which model a slide asks for: a Gaussian spot and readings in proportion, unless a shape of the spot or an exponent leaves clearly less.
 *
 * @param best the fit chosen
 * @param flatness of its spot
 * @param shapeError what not knowing shape and exponent better does to the steepness, one standard error
 */
record SlideChoice(Solved best, double flatness, double shapeError) {
    /** Twice the log of the likelihood ratio that one more unknown has to win: by luck once in some four hundred slides. */
    private static final double CLEARLY = 9;

    /** Residuals of noise are like their neighbours by more than this, over the root of their number, once in forty slides. */
    private static final double ASKS = 2;

    private static final double LEAST_EXPONENT = 0.6;
    private static final double MOST_EXPONENT = 1.6;

    /** A hand that is a fifth faster at the end than at the beginning. */
    private static final double MOST_WARP = 0.1;

    /** Steps to both sides for how sharply what is left rises: wide enough to be seen over rounding. */
    private static final double FLATNESS_STEP = 0.05;

    private static final double EXPONENT_STEP = 0.06;

    private static final int SCAN = 7;
    private static final int HALVINGS = 5;

    /**
     * @param byHand when times stand for places: the hand may have got faster on its way
     * @param placeError standard deviation of the places
     */
    static SlideChoice of(double[] x, double[] y, boolean byHand, double placeError) {
        Search search = new Search(x, y, SlideModel.guess(x, y), placeError);
        Solved plain = search.solve(SlideModel.PLAIN);
        if (byHand) {
            double most = MOST_WARP / search.span();
            plain = search.least(SlideModel.PLAIN::withWarp, -most, most).fit();
        }
        if (following(x, y, plain) * Math.sqrt(y.length) < ASKS) {
            return new SlideChoice(plain, 0, 0);
        }
        SlideModel steady = plain.model();
        Least bent = search.least(steady::withExponent, LEAST_EXPONENT, MOST_EXPONENT);
        Least flat = search.least(q -> steady.with(SpotShape.of(q)), 0, SpotShape.RING);
        Least flatThenBent = search.least(flat.fit().model()::withExponent, LEAST_EXPONENT, MOST_EXPONENT);
        boolean needsBoth =
                search.clearly(flatThenBent.fit(), flat.fit()) && search.clearly(flatThenBent.fit(), bent.fit());
        boolean bends = !needsBoth && bent.fit().squares() < flat.fit().squares();
        Solved chosen = needsBoth ? flatThenBent.fit() : bends ? bent.fit() : flat.fit();
        if (!search.clearly(chosen, plain)) {
            return new SlideChoice(plain, 0, 0);
        }
        double flatness = bends ? 0 : flat.at();
        double error = 0;
        if (needsBoth || !bends) {
            error = search.error(q -> chosen.model().with(SpotShape.of(q)), flatness, FLATNESS_STEP, chosen);
        }
        if (needsBoth || bends) {
            error = Math.hypot(
                    error,
                    search.error(chosen.model()::withExponent, chosen.model().exponent(), EXPONENT_STEP, chosen));
        }
        return new SlideChoice(chosen, flatness, error);
    }

    /** How much each residual is like the one before it along the slide: 0 for noise, near 1 for a curve of the wrong shape. */
    static double following(double[] x, double[] y, Solved fit) {
        Integer[] order = new Integer[x.length];
        Arrays.setAll(order, i -> i);
        Arrays.sort(order, Comparator.comparingDouble(i -> x[i]));
        double squares = 0;
        double following = 0;
        double before = 0;
        for (int i : order) {
            double left = y[i] - fit.model().value(x[i], fit.point());
            squares += left * left;
            following += left * before;
            before = left;
        }
        return following / squares;
    }

    /** @param at the value of the unknown that was looked for */
    private record Least(double at, Solved fit) {}

    private record Search(double[] x, double[] y, double[] from, double placeError) {
        Solved solve(SlideModel model) {
            return SlideLeastSquares.solve(model, x, y, from, placeError);
        }

        double span() {
            double least = Double.POSITIVE_INFINITY;
            double most = Double.NEGATIVE_INFINITY;
            for (double place : x) {
                least = Math.min(least, place);
                most = Math.max(most, place);
            }
            return most - least;
        }

        boolean clearly(Solved more, Solved less) {
            return y.length * Math.log(less.squares() / Math.max(1e-300, more.squares())) > CLEARLY
                    && more.squares() < less.squares();
        }

        /** From where the model beside it ended; empty when that leads nowhere. */
        private Optional<Solved> solved(SlideModel model, double[] beside) {
            try {
                return Optional.of(SlideLeastSquares.solve(model, x, y, beside, placeError));
            } catch (BadValueException noFit) {
                return Optional.empty();
            }
        }

        /** Where what is left is least: by a scan, then by thirds around its best. */
        Least least(DoubleFunction<SlideModel> models, double low, double high) {
            double step = (high - low) / (SCAN - 1);
            double at = low;
            Optional<Solved> best = Optional.empty();
            double[] beside = from;
            for (int i = 0; i < SCAN; i++) {
                SlideModel model = models.apply(low + i * step);
                Optional<Solved> anew = solved(model, from);
                Optional<Solved> goingOn = solved(model, beside);
                Optional<Solved> here = less(anew, goingOn) ? anew : goingOn;
                beside = here.map(Solved::point).orElse(from);
                if (less(here, best)) {
                    best = here;
                    at = low + i * step;
                }
            }
            for (int i = 0; i < HALVINGS && best.isPresent(); i++) {
                step /= 2;
                for (double near : new double[] {Math.max(low, at - step), Math.min(high, at + step)}) {
                    Optional<Solved> here =
                            solved(models.apply(near), best.get().point());
                    if (less(here, best)) {
                        best = here;
                        at = near;
                    }
                }
            }
            return new Least(at, best.orElseGet(() -> solve(models.apply(low))));
        }

        private static boolean less(Optional<Solved> here, Optional<Solved> best) {
            return here.isPresent()
                    && (best.isEmpty() || here.get().squares() < best.get().squares());
        }

        /** Standard error that an unknown brings into the steepness, from how sharply what is left rises about its best. */
        double error(DoubleFunction<SlideModel> models, double at, double step, Solved best) {
            Solved below = solved(models.apply(at - step), best.point()).orElse(best);
            Solved above = solved(models.apply(at + step), best.point()).orElse(best);
            double rise = Math.max(1e-12, (below.squares() + above.squares()) / 2 - best.squares()) / (step * step);
            double unknown = Math.min(step * 4, best.scatter() / Math.sqrt(rise));
            double slope =
                    (above.model().steepness(above.point()[2]) - below.model().steepness(below.point()[2]))
                            / (2 * step);
            return Math.abs(slope) * unknown;
        }
    }
}
