package fahrbahn.link;

/** Tells a robot that has gone without a word from one that speaks seldom. Times are those of any clock that runs evenly, ns. */
final class Pulse {
    /** A robot that was talking and is silent for so long has gone, unless it paused a third as long before. */
    private static final long VANISHED_NS = 2_500_000_000L;

    private static final int PAUSES = 3;

    private long heardNs;
    private long longestNs;
    private boolean talking;

    void heard(long nowNs) {
        longestNs = talking ? Math.max(longestNs, nowNs - heardNs) : 0;
        heardNs = nowNs;
        talking = true;
    }

    boolean gone(long nowNs) {
        return talking && nowNs - heardNs > Math.max(VANISHED_NS, PAUSES * longestNs);
    }
}
