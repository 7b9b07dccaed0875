package fahrbahn.core.check;

import java.util.Locale;

/** Numbers put into messages the same way everywhere, whatever the machine's language. */
public final class Text {
    private Text() {}

    /** A number as it was given: a whole one without a point. */
    public static String number(double value) {
        return value == Math.rint(value) && Math.abs(value) < 1e15
                ? String.valueOf((long) value)
                : String.valueOf(value);
    }

    /** As {@link String#format(String, Object...)}, with a decimal point. */
    public static String of(String format, Object... values) {
        return String.format(Locale.ROOT, format, values);
    }
}
