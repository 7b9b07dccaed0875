package fahrbahn.app.kit;

import fahrbahn.core.measuring.Measured;
import fahrbahn.core.measuring.Taps;
import fahrbahn.words.Words;

/** What a stopwatch says: how many, in what time, and how sure the mean is. */
public final class StopwatchWords {
    private StopwatchWords() {}

    public static String of(Taps taps, Stopwatch.Counting counting) {
        if (taps.atS().isEmpty()) {
            return counting == Stopwatch.Counting.TIME
                    ? "Space starts, Space stops."
                    : "Space starts, and again at each " + one(counting) + ". Two taps alone are one time.";
        }
        if (taps.count() == 0) {
            return "Running.";
        }
        String total = Words.seconds(taps.totalS());
        if (counting == Stopwatch.Counting.TIME) {
            return total + ".";
        }
        Measured each = counting == Stopwatch.Counting.LAPS ? taps.meanS() : taps.steadyS();
        return Words.count(taps.count(), one(counting), one(counting) + "s") + " in " + total + ": one takes "
                + Words.number(each.value(), 4) + " \u00b1 " + Words.number(each.plusMinus(), 2) + " s.";
    }

    private static String one(Stopwatch.Counting counting) {
        return switch (counting) {
            case TIME -> "time";
            case WIGGLES -> "wiggle";
            case TURNS -> "turn";
            case LAPS -> "lap";
        };
    }
}
