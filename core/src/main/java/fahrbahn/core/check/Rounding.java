package fahrbahn.core.check;

/** Rounding of numbers as numbers. */
public final class Rounding {
    private Rounding() {}

    /** To so many significant digits; 0 stays 0. @param digits 1 to 15 */
    public static double significant(double value, int digits) {
        if (value == 0 || !Double.isFinite(value)) {
            return value;
        }
        int exponent = digits - 1 - (int) Math.floor(Math.log10(Math.abs(value)));
        // Through a whole power of ten on the side where it is exact, so that 0.3 stays the double that is written 0.3.
        double power = Math.pow(10, Math.abs(exponent));
        return exponent >= 0 ? Math.rint(value * power) / power : Math.rint(value / power) * power;
    }
}
