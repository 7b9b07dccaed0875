package fahrbahn.core.loop;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Gains along a ray with which the loop is stable. With proportional gain alone there is one from zero up to the wiggle onset, or none;
 * with a derivative gain one may open above small gains that wiggle.
 *
 * @param fromKp 0 when small gains are stable, else the gain below which it wiggles
 * @param toKp the gain above which it wiggles; infinite when none does
 * @param periodS of the wiggle at {@code toKp}; NaN when it is infinite
 */
public record StableSpan(double fromKp, double toKp, double periodS) {
    /** By rising gain; empty when no gain is stable. */
    public static List<StableSpan> along(SampledLoop loop, GainRay ray) {
        List<WiggleOnset> borders = new ArrayList<>(StabilityCrossings.along(loop, ray));
        borders.sort(Comparator.comparingDouble(WiggleOnset::kp));
        borders.add(new WiggleOnset(Double.POSITIVE_INFINITY, Double.NaN));
        List<StableSpan> spans = new ArrayList<>(2);
        double from = 0;
        double stableFrom = Double.NaN;
        for (WiggleOnset border : borders) {
            boolean stable = stable(loop, ray, between(from, border.kp()));
            if (stable && Double.isNaN(stableFrom)) {
                stableFrom = from;
            }
            boolean ends = !stable || Double.isInfinite(border.kp());
            if (ends && !Double.isNaN(stableFrom)) {
                WiggleOnset last = stable ? border : borders.get(borders.indexOf(border) - 1);
                spans.add(new StableSpan(stableFrom, last.kp(), last.periodS()));
                stableFrom = Double.NaN;
            }
            from = border.kp();
        }
        return List.copyOf(spans);
    }

    /** The one a coach uses: from zero when there is one, else the widest in factors. */
    public static Optional<StableSpan> main(SampledLoop loop, GainRay ray) {
        return along(loop, ray).stream().max(Comparator.comparingDouble(StableSpan::factors));
    }

    private static double between(double from, double to) {
        return Double.isInfinite(to) ? (from == 0 ? 1 : 2 * from) : from == 0 ? to / 2 : Math.sqrt(from * to);
    }

    private static boolean stable(SampledLoop loop, GainRay ray, double kp) {
        return loop.spectralRadius(kp, 0, ray.kdAt(kp)) < 1;
    }

    private double factors() {
        return fromKp == 0 ? Double.POSITIVE_INFINITY : toKp / fromKp;
    }

    public boolean holds(double kp) {
        return kp > fromKp && kp < toKp;
    }

    /** Factor by which a gain inside may change, up or down, before it wiggles. */
    public double margin(double kp) {
        return Math.min(toKp / kp, fromKp == 0 ? Double.POSITIVE_INFINITY : kp / fromKp);
    }
}
