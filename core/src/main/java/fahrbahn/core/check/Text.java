package fahrbahn.core.check;

import java.util.Locale;

/** Numbers put into messages the same way everywhere, whatever the machine's language. */
public final class Text {
    private Text() {}

    /** As {@link String#format(String, Object...)}, with a decimal point. */
    public static String of(String format, Object... values) {
        return String.format(Locale.ROOT, format, values);
    }
}
