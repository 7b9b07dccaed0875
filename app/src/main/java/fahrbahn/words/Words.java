package fahrbahn.words;

import fahrbahn.core.check.Text;
import fahrbahn.core.path.Part;
import java.math.BigDecimal;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;

/** Numbers as a coach reads them: a decimal point, as many digits as mean something, no exponent. */
public final class Words {
    private static final Map<Class<? extends Part>, String> PLACES = Map.of(
            Part.RightAngle.class, "at the corner",
            Part.Gap.class, "in the gap",
            Part.Crossing.class, "at the crossing",
            Part.Bump.class, "on the bump",
            Part.Ramp.class, "on the ramp",
            Part.Crease.class, "at the crease",
            Part.Obstacle.class, "at the obstacle",
            Part.EntryStrip.class, "at the shiny strip",
            Part.StopStrip.class, "at the stop strip",
            Part.End.class, "at the end of the line");

    private Words() {}

    /** Significant digits, without trailing zeros; nothing for less than a millionth. */
    public static String number(double value, int digits) {
        return Text.digits(value, digits);
    }

    /** Three significant digits. */
    public static String number(double value) {
        return number(value, 3);
    }

    /** All the digits it takes to read the same number back. */
    public static String exact(double value) {
        return value == Math.rint(value) && Math.abs(value) < 1e15
                ? String.format(Locale.ROOT, "%.0f", value)
                : BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }

    /** A number as a coach types it, with a decimal point or comma; empty when it is none. */
    public static OptionalDouble parse(String typed) {
        try {
            double value = Double.parseDouble(typed.strip().replace(',', '.'));
            return Double.isFinite(value) ? OptionalDouble.of(value) : OptionalDouble.empty();
        } catch (NumberFormatException notANumber) {
            return OptionalDouble.empty();
        }
    }

    public static String millimetres(double mm) {
        return number(mm) + " mm";
    }

    /** As a stopwatch shows it: hundredths, without the unit. */
    public static String hundredths(double seconds) {
        return String.format(Locale.ROOT, "%.2f", seconds);
    }

    /** The same with its unit. */
    public static String seconds(double seconds) {
        return hundredths(seconds) + " s";
    }

    public static String percent(double share) {
        return number(100 * share, 2) + " %";
    }

    /** A chance as "1 in so many". */
    public static String oneIn(double chance) {
        if (!(chance > 0)) {
            return "never";
        }
        double in = 1 / chance;
        return in < 1e6 ? "1 in " + number(in, 2) : "1 in " + number(in / 1e6, 2) + " million";
    }

    public static String count(long n, String one, String many) {
        return n + " " + (n == 1 ? one : many);
    }

    /** Where on a course, to read after a comma. */
    public static String where(Part part) {
        if (part instanceof Part.Bend bend) {
            return "in the bend of " + millimetres(bend.radiusMm());
        }
        if (part instanceof Part.SwingOver swing) {
            return "in the S of " + millimetres(swing.radiusMm());
        }
        return PLACES.getOrDefault(part.getClass(), "on a straight");
    }
}
