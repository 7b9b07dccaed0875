package fahrbahn.core.twin;

/** A span of time with constant commands, and what the wheels' lag makes of it. */
final class Span {
    /** Nearer to the usual length than this, in lags, a series is as good as the exponential: to 3e-9. */
    private static final double NEAR_LAGS = 0.05;

    double lengthS;
    double halfS;
    /** Share of a wheel's missing speed that is still missing at the end. */
    double missing;
    /** The way a wheel still makes at its speed at the start rather than at its goal, as time. */
    double carriedS;
    /** Weight of the turn rate at the start, less that at the goal, in the mean heading of the span. */
    double meanHeadingS;

    private double lagS;
    private double perLag;
    private double usualS;
    private double usualMissing;

    void set(double newLengthS, double newLagS) {
        lagS = newLagS;
        perLag = lagS > 0 ? 1 / lagS : 0;
        usualS = newLengthS;
        usualMissing = lagS > 0 ? Math.exp(-newLengthS / lagS) : 0;
        lasts(newLengthS, usualMissing);
    }

    /** Another length with the same lag, near to that which was set: the tick of a loop that jitters. */
    void jitterTo(double newLengthS) {
        double x = (usualS - newLengthS) * perLag;
        if (Math.abs(x) > NEAR_LAGS) {
            lasts(newLengthS, Math.exp(-newLengthS / lagS));
        } else {
            lasts(newLengthS, usualMissing * (1 + x * (1 + x * (1.0 / 2 + x * (1.0 / 6 + x / 24)))));
        }
    }

    private void lasts(double newLengthS, double newMissing) {
        lengthS = newLengthS;
        halfS = newLengthS / 2;
        missing = newMissing;
        carriedS = lagS * (1 - missing);
        meanHeadingS = lengthS > 0 ? lagS * (1 - carriedS / lengthS) : 0;
    }
}
