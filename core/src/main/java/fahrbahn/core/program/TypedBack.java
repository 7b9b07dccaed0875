package fahrbahn.core.program;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Constants read off the robot and typed, held against those that were handed over: which slipped, and how. */
public final class TypedBack {
    /** Off by more than this share a constant is another, however few digits were typed. */
    private static final double SAME_SHARE = 0.02;

    private static final int[] PLACES = {1, -1, 2, -2, 3, -3};

    private TypedBack() {}

    /** What happened to a constant. */
    public enum Kind {
        /** Nobody typed it. */
        MISSING,
        SIGN,
        /** The value of another constant stands there. */
        SWAPPED,
        /** A decimal point moved. */
        DECIMAL,
        /** Per second where it should be per loop, or the other way round. */
        PER_SECOND,
        /** Two digits changed places. */
        DIGITS,
        OTHER
    }

    /** @param name of the constant @param value as it was handed over */
    public record Handed(String name, double value) {
        public Handed {
            Check.finite("value", value);
        }
    }

    /**
     * One that is not as it was handed over.
     *
     * @param typed NaN for one that is missing
     * @param places by how many the decimal point moved, to the right positive; 0 unless that was it
     * @param other whose value stands there; empty unless that was it
     */
    public record Slip(Handed handed, double typed, Kind kind, int places, Optional<String> other) {}

    /**
     * @param typed what was read off the robot, by the constant's name, as it was typed
     * @param periodS the loop period
     * @return the slips, in the order of the constants; none when all is well
     * @throws BadValueException naming what is no number
     */
    public static List<Slip> check(List<Handed> handed, Map<String, String> typed, double periodS) {
        Check.positive("periodS", periodS);
        List<Slip> slips = new ArrayList<>();
        for (Handed one : handed) {
            String text = typed.getOrDefault(one.name(), "").strip();
            if (text.isEmpty()) {
                slips.add(new Slip(one, Double.NaN, Kind.MISSING, 0, Optional.empty()));
                continue;
            }
            BigDecimal read = number(one.name(), text);
            if (!same(read, one.value())) {
                slips.add(slip(one, read, handed, periodS));
            }
        }
        return List.copyOf(slips);
    }

    private static BigDecimal number(String name, String text) {
        try {
            return new BigDecimal(text.replace(',', '.'));
        } catch (NumberFormatException none) {
            throw new BadValueException(name, "'" + text + "'", "a number as the robot shows it");
        }
    }

    /** As near as the digits that were typed can tell. */
    private static boolean same(BigDecimal typed, double value) {
        double away = Math.abs(typed.doubleValue() - value);
        double lastPlace = Math.pow(10, -typed.scale());
        return away <= lastPlace / 2 * (1 + 1e-9) && away <= SAME_SHARE * Math.abs(value)
                || away <= 1e-9 * Math.abs(value);
    }

    private static Slip slip(Handed one, BigDecimal typed, List<Handed> all, double periodS) {
        double value = typed.doubleValue();
        if (same(typed, -one.value())) {
            return new Slip(one, value, Kind.SIGN, 0, Optional.empty());
        }
        Optional<Handed> other = all.stream()
                .filter(h -> !h.name().equals(one.name())
                        && h.value() != one.value()
                        && h.value() != 0
                        && same(typed, h.value()))
                .findFirst();
        if (other.isPresent()) {
            return new Slip(one, value, Kind.SWAPPED, 0, other.map(Handed::name));
        }
        for (int places : PLACES) {
            if (same(typed, one.value() * Math.pow(10, places))) {
                return new Slip(one, value, Kind.DECIMAL, places, Optional.empty());
            }
        }
        if (same(typed, one.value() * periodS) || same(typed, one.value() / periodS)) {
            return new Slip(one, value, Kind.PER_SECOND, 0, Optional.empty());
        }
        String read = digits(typed);
        String wanted = digits(asTyped(one.value(), typed));
        boolean digits = !read.equals(wanted) && sorted(read).equals(sorted(wanted));
        return new Slip(one, value, digits ? Kind.DIGITS : Kind.OTHER, 0, Optional.empty());
    }

    /** With as many decimals as were typed. */
    private static BigDecimal asTyped(double value, BigDecimal typed) {
        return BigDecimal.valueOf(value).setScale(typed.scale(), RoundingMode.HALF_UP);
    }

    private static String digits(BigDecimal number) {
        return number.unscaledValue().abs().toString();
    }

    private static String sorted(String digits) {
        char[] all = digits.toCharArray();
        Arrays.sort(all);
        return new String(all);
    }
}
