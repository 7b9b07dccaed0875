package fahrbahn.core.twin;

/**
 * A span of time with constant commands, and what the wheels' lag makes of it: with z the length in lags, exp(-z) of a wheel's missing
 * speed is left at its end, and phi(z) = (1 - exp(-z))/z of it in the mean.
 */
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
    private double usualS;
    private double usualLags;
    private double usualMissing;
    private double phi0;
    private double phi1;
    private double phi2;
    private double phi3;
    private double phi4;

    void set(double newLengthS, double newLagS) {
        lagS = newLagS;
        usualS = newLengthS;
        usualLags = lagS > 0 ? newLengthS / lagS : 0;
        usualMissing = lagS > 0 ? Math.exp(-usualLags) : 0;
        lasts(newLengthS, usualMissing);
        aroundUsual();
    }

    /**
     * Taylor's coefficients of phi, x lags short of the usual length. Of its derivatives, integrals of t^n exp(-z t) over 0 to 1, each gives
     * the next by parts; what rounding adds to the n-th term is below 1e-15 times the n-th power of the jitter.
     */
    private void aroundUsual() {
        if (!(usualLags > 0)) {
            return;
        }
        phi0 = (1 - usualMissing) / usualLags;
        phi1 = (phi0 - usualMissing) / usualLags;
        double second = (2 * phi1 - usualMissing) / usualLags;
        double third = (3 * second - usualMissing) / usualLags;
        double fourth = (4 * third - usualMissing) / usualLags;
        phi2 = second / 2;
        phi3 = third / 6;
        phi4 = fourth / 24;
    }

    /** The tick of a loop that jitters: another length with the same lag. @param share of the length that was set */
    void jitterTo(double share) {
        double x = usualLags * (1 - share);
        double newLengthS = usualS * share;
        if (Math.abs(x) > NEAR_LAGS) {
            lasts(newLengthS, Math.exp(-newLengthS / lagS));
            return;
        }
        lengthS = newLengthS;
        halfS = newLengthS / 2;
        missing = usualMissing * (1 + x * (1 + x * (1.0 / 2 + x * (1.0 / 6 + x * (1.0 / 24)))));
        carriedS = lagS * (1 - missing);
        meanHeadingS = lagS * (1 - (phi0 + x * (phi1 + x * (phi2 + x * (phi3 + x * phi4)))));
    }

    private void lasts(double newLengthS, double newMissing) {
        lengthS = newLengthS;
        halfS = newLengthS / 2;
        missing = newMissing;
        carriedS = lagS * (1 - missing);
        meanHeadingS = lengthS > 0 ? lagS * (1 - carriedS / lengthS) : 0;
    }
}
