package fahrbahn.words;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.difference.SetupField;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What was refused, in the coach's words: the programs' own names of values, like {@code radiusMm}, never reach the screen. */
public final class Refusals {
    /** What values are called on screen where their name in the program says something else. */
    private static final Map<String, String> CALLED = Map.ofEntries(
            Map.entry("forward", "lead"),
            Map.entry("left", "place to the left"),
            Map.entry("spotSigma", "spot"),
            Map.entry("loopPeriod", "loop time"),
            Map.entry("sensor height", "height of the sensors"),
            Map.entry("arm", "length of the corner's arms"),
            Map.entry("overS", "time counted"),
            Map.entry("heading", "direction"));

    private static final String PROGRAM_NAME = "[a-z0-9.\\[\\]]*[a-z][A-Z]\\w*|\\w+([.\\[]\\w+]?)+";

    private record Unit(String ending, String word) {}

    /** Longer endings first: a speed ends like a time. */
    private static final List<Unit> UNITS = List.of(
            new Unit("MmPerS", " mm/s"),
            new Unit("Mm", " mm"),
            new Unit("Rad", " rad"),
            new Unit("Share", ""),
            new Unit("S", " s"));

    private Refusals() {}

    /** A whole sentence. */
    public static String sentence(Exception refused) {
        String words = refused instanceof BadValueException bad ? words(bad) : String.valueOf(refused.getMessage());
        return words.endsWith(".") ? words : words + ".";
    }

    private static String words(BadValueException bad) {
        if (!bad.field().matches(PROGRAM_NAME)) {
            return bad.getMessage();
        }
        String name = bad.field().substring(bad.field().lastIndexOf('.') + 1);
        for (SetupField field : SetupField.values()) {
            if (field.path().endsWith("." + name)) {
                return sentence(CALLED.getOrDefault(field.word(), field.word()), bad, field.symbol());
            }
        }
        String unit = "";
        for (Unit each : UNITS) {
            boolean ends = name.endsWith(each.ending())
                    && name.length() > each.ending().length();
            if (ends && !CALLED.containsKey(name)) {
                unit = each.word();
                name = name.substring(0, name.length() - each.ending().length());
                break;
            }
        }
        return sentence(CALLED.getOrDefault(name, spaced(name)), bad, unit);
    }

    private static String sentence(String called, BadValueException bad, String unit) {
        return "The " + called + " is " + value(bad.value()) + unit + "; it must be " + bad.rule();
    }

    /** A number as a coach reads it; everything else as it was given. */
    private static String value(String given) {
        try {
            return Words.number(Double.parseDouble(given), 6);
        } catch (NumberFormatException words) {
            return given;
        }
    }

    private static String spaced(String name) {
        return name.replaceAll("([a-z])([A-Z])", "$1 $2").toLowerCase(Locale.ROOT);
    }
}
