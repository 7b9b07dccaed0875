package fahrbahn.core.measuring;

import fahrbahn.core.check.BadValueException;
import java.util.ArrayList;
import java.util.List;

/**
 * Moments a thumb marked on one key: the start, and then each wiggle, turn or lap.
 *
 * @param atS in order, s from any moment
 */
public record Taps(List<Double> atS) {
    public static final Taps NONE = new Taps(List.of());

    /** Start and stop together are off by {@link RollFit#WATCH_ERROR_S}; one tap by a share of it. */
    private static final double TAP_ERROR_S = RollFit.WATCH_ERROR_S / Math.sqrt(2);

    public Taps {
        atS = List.copyOf(atS);
        for (int i = 1; i < atS.size(); i++) {
            if (!(atS.get(i) > atS.get(i - 1))) {
                throw new BadValueException("tap", atS.get(i), "after the one before, " + atS.get(i - 1));
            }
        }
    }

    public Taps with(double nowS) {
        List<Double> more = new ArrayList<>(atS);
        more.add(nowS);
        return new Taps(more);
    }

    /** Without the last, a slip; none of none. */
    public Taps withoutLast() {
        return atS.isEmpty() ? this : new Taps(atS.subList(0, atS.size() - 1));
    }

    /** Intervals between taps. */
    public int count() {
        return Math.max(0, atS.size() - 1);
    }

    /** From the first tap to the last. */
    public double totalS() {
        return count() == 0 ? 0 : atS.get(count()) - atS.get(0);
    }

    /** The latest interval; 0 when there is none. */
    public double lastS() {
        return count() == 0 ? 0 : atS.get(count()) - atS.get(count() - 1);
    }

    /**
     * The interval of something steady, like a wiggle: the slope of the taps over their number, by least squares, for the thumb errs at
     * each tap by itself. @throws BadValueException when there is no interval
     */
    public Measured steadyS() {
        int n = atS.size();
        if (n < 2) {
            throw new BadValueException("taps", n, "at least 2");
        }
        double middle = (n - 1) / 2.0;
        double mean = atS.stream().mapToDouble(t -> t).average().orElseThrow();
        double xx = 0;
        double xt = 0;
        for (int i = 0; i < n; i++) {
            xx += (i - middle) * (i - middle);
            xt += (i - middle) * (atS.get(i) - mean);
        }
        double slope = xt / xx;
        double squares = 0;
        for (int i = 0; i < n; i++) {
            double off = atS.get(i) - mean - slope * (i - middle);
            squares += off * off;
        }
        double error = Measured.pooled(squares, n - 2, TAP_ERROR_S) / Math.sqrt(xx);
        return new Measured(slope, error, n - 1);
    }

    /** The mean of intervals that differ by themselves, like laps. @throws BadValueException when there is none */
    public Measured meanS() {
        double[] laps = new double[count()];
        for (int i = 0; i < laps.length; i++) {
            laps[i] = atS.get(i + 1) - atS.get(i);
        }
        return Measured.mean(laps, RollFit.WATCH_ERROR_S);
    }
}
