package fahrbahn.core.setup;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Bounds;
import fahrbahn.core.check.Check;
import java.math.BigDecimal;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The numbers a program works in after it has scaled a reading: dark becomes 0, light becomes {@code top}.
 *
 * @param top above 0; not a number where readings are not scaled at all
 */
public record Scale(double top) {
    public static final Scale PERCENT = new Scale(100);
    public static final Scale UNIT = new Scale(1);
    public static final Scale PERMILLE = new Scale(1000);

    /** The sensor's own numbers, not scaled at all. */
    public static final Scale RAW = new Scale(Double.NaN);

    /** Those that have a name; there is one to any number. */
    public static final List<Scale> NAMED = List.of(PERCENT, UNIT, PERMILLE, RAW);

    private static final List<String> NAMES = List.of("percent", "unit", "permille", "raw");
    private static final Pattern UP_TO = Pattern.compile("0-(\\d{1,9}(?:\\.\\d{1,9})?)");

    public Scale {
        Check.require(Double.isNaN(top) || top > 0 && top <= Bounds.NUMBER, "scale", top, "0 to a number above 0");
    }

    /**
     * By the word used in setup files.
     *
     * @throws BadValueException when there is none of that name
     */
    public static Scale called(String word) {
        int named = NAMES.indexOf(word);
        if (named >= 0) {
            return NAMED.get(named);
        }
        Matcher upTo = UP_TO.matcher(word);
        if (!upTo.matches()) {
            throw new BadValueException(
                    "scale", "'" + word + "'", String.join(", ", NAMES) + ", or 0 to a number as in 0-10");
        }
        return new Scale(Double.parseDouble(upTo.group(1)));
    }

    /** The word used in setup files. */
    public String word() {
        int named = NAMED.indexOf(this);
        return named >= 0
                ? NAMES.get(named)
                : "0-"
                        + new BigDecimal(String.valueOf(top))
                                .stripTrailingZeros()
                                .toPlainString();
    }

    public boolean isRaw() {
        return Double.isNaN(top);
    }

    /** What the sensor's dark reading becomes. */
    public double dark(Sensor sensor) {
        return isRaw() ? sensor.dark() : 0;
    }

    /** What the sensor's light reading becomes. */
    public double light(Sensor sensor) {
        return isRaw() ? sensor.light() : top;
    }

    /** Scaled reading {@code top * (r - dark) / (light - dark)}. */
    public double scaled(Sensor sensor, double reading) {
        return isRaw() ? reading : top * (reading - sensor.dark()) / (sensor.light() - sensor.dark());
    }

    /** Scale units per unit of reading, without sign. */
    public double gain(Sensor sensor) {
        return isRaw() ? 1 : top / sensor.contrast();
    }
}
