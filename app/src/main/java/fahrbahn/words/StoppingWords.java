package fahrbahn.words;

import fahrbahn.core.stopping.Cause;
import fahrbahn.core.stopping.Rule;
import fahrbahn.core.stopping.WayBack;

/** Ways to stop, what scatters them, and what to do about it. */
public final class StoppingWords {
    private StoppingWords() {}

    public static String name(Rule rule) {
        return switch (rule) {
            case TIMER -> "a timer";
            case WHEEL_TURNS -> "wheel turns";
            case MARK -> "a mark";
            case BOTH_DARK -> "both on dark";
            case DISTANCE -> "distance";
        };
    }

    public static String name(WayBack way) {
        return switch (way) {
            case BACKS_BY_TIME -> "reverses blind, by a timer";
            case BACKS_BY_TURNS -> "reverses blind, by wheel turns";
            case TURNS_BY_TIME -> "turns round, follows the line, by a timer";
            case TURNS_BY_TURNS -> "turns round, follows the line, by wheel turns";
        };
    }

    public static String cause(Cause cause) {
        return switch (cause) {
            case BATTERY -> "battery";
            case LAG -> "motor lag";
            case GRIP -> "grip";
            case START -> "how it is placed";
            case SEEING -> "sensor readings";
        };
    }

    /** What to do about it. */
    public static String cure(Cause cause, Rule rule) {
        return switch (cause) {
            case BATTERY ->
                rule == Rule.TIMER
                        ? "Charge before each run, or stop by wheel turns or a mark."
                        : "Charge before each run, or come in slower.";
            case LAG -> "Come in slower: motor lag carries it on.";
            case GRIP ->
                rule == Rule.WHEEL_TURNS || rule == Rule.TIMER
                        ? "Clean wheels and mat, or stop by a mark."
                        : "Clean wheels and mat.";
            case START -> "Place it against a jig.";
            case SEEING ->
                rule == Rule.DISTANCE
                        ? "Average a few readings near the place, or stop by a mark."
                        : "Come in slower over a wider, darker mark.";
        };
    }

    /** A length as it is told of a scatter. */
    public static String mm(double value) {
        return Words.number(value, 2) + " mm";
    }
}
