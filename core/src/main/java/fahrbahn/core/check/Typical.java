package fahrbahn.core.check;

/**
 * What a number usually is on robots of these tables. One far outside is no error, but more often a wrong unit or a slipped decimal point than not:
 * it is asked about.
 *
 * @param low above 0
 * @param high above it
 */
public record Typical(double low, double high) {
    /** So many times beyond the ends a number is odd: a decimal point is ten. */
    private static final double FAR = 3;

    public Typical {
        Check.positive("low", low);
        Check.require(high > low, "high", high, "above " + low);
    }

    /** Nothing, 0, is not odd: it stands for what is not there. Whether a number may be below 0 is for its bounds to say. */
    public boolean odd(double value) {
        return value > 0 && (value < low / FAR || value > high * FAR);
    }
}
