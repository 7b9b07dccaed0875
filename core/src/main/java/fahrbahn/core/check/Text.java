package fahrbahn.core.check;

import java.math.BigDecimal;
import java.math.MathContext;
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

    /** Nothing that is measured here is so small; what is so small is the rounding of a sum. */
    private static final double NOTHING = 1e-6;

    /** A number to so many significant digits; "none" for one that is none. */
    public static String digits(double value, int digits) {
        if (!Double.isFinite(value)) {
            return "none";
        }
        if (Math.abs(value) < NOTHING) {
            return "0";
        }
        return new BigDecimal(value)
                .round(new MathContext(digits))
                .stripTrailingZeros()
                .toPlainString();
    }

    /** As {@link String#format(String, Object...)}, with a decimal point. */
    public static String of(String format, Object... values) {
        return String.format(Locale.ROOT, format, values);
    }

    /**
     * What was given, to be put into a message: characters that break a line or turn the direction of reading as their numbers, and no more
     * than so many letters of it, the last few among them.
     */
    public static String plain(String given, int most) {
        int end = most / 4;
        String shown = given.length() <= most
                ? given
                : given.substring(0, most - end) + "..." + given.substring(given.length() - end);
        StringBuilder plain = new StringBuilder(shown.length());
        shown.chars().forEach(c -> {
            if (Character.isISOControl(c) || Character.getType(c) == Character.FORMAT) {
                plain.append(of("\\u%04x", c));
            } else {
                plain.append((char) c);
            }
        });
        return plain.toString();
    }
}
