package fahrbahn.core.practice;

/** A wheel that takes up speed from rest with a first-order lag. */
final class Rise {
    private Rise() {}

    /** How long at full speed would have brought it as far: t - tau (1 - exp(-t / tau)). */
    static double atSpeedS(double tS, double lagS) {
        return lagS > 0 ? tS - lagS * (1 - Math.exp(-tS / lagS)) : tS;
    }
}
