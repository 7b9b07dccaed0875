package fahrbahn.core.twin;

/** A span of time with constant commands, and what the wheels' lag makes of it. Worked out once unless the loop time jitters. */
final class Span {
    double lengthS;
    double halfS;
    /** Share of a wheel's missing speed that is still missing at the end. */
    double missing;
    /** The way a wheel still makes at its speed at the start rather than at its goal, as time. */
    double carriedS;
    /** Weight of the turn rate at the start, less that at the goal, in the mean heading of the span. */
    double meanHeadingS;

    void set(double newLengthS, double lagS) {
        lengthS = newLengthS;
        halfS = newLengthS / 2;
        missing = lagS > 0 ? Math.exp(-lengthS / lagS) : 0;
        carriedS = lagS * (1 - missing);
        meanHeadingS = lengthS > 0 ? lagS * (1 - carriedS / lengthS) : 0;
    }
}
