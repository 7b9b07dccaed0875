package fahrbahn.core.runlog;

import java.util.Arrays;

/**
 * Times between the lines of a log: how long a loop takes, how evenly, and how many lines never came.
 *
 * @param periodS median, which lost lines do not move
 * @param sdS of those that are one loop long
 * @param lostShare of the ticks: lines that are missing between others, each gap a whole number of loops; 0 where the loop is merely uneven
 */
record LogGaps(double periodS, double sdS, double lostShare) {
    /** A gap longer than this many loops has lost a line, or the loop is uneven. */
    private static final double LONG = 1.6;

    /** So near a whole number of loops. */
    private static final double WHOLE = 0.25;

    /** Of the long gaps; by chance half of them would be. */
    private static final double WHOLE_SHARE = 0.8;

    static LogGaps of(RunLog log) {
        double[] gaps = new double[log.size() - 1];
        Arrays.setAll(gaps, i -> log.tS(i + 1) - log.tS(i));
        double[] sorted = gaps.clone();
        Arrays.sort(sorted);
        double median = sorted[sorted.length / 2];
        int one = 0;
        int whole = 0;
        int longOnes = 0;
        double missing = 0;
        double squares = 0;
        for (double gap : gaps) {
            double loops = gap / median;
            if (loops <= LONG) {
                one++;
                squares += (gap - median) * (gap - median);
            } else {
                longOnes++;
                whole += Math.abs(loops - Math.rint(loops)) < WHOLE ? 1 : 0;
                missing += Math.rint(loops) - 1;
            }
        }
        boolean lost = longOnes > 0 && whole >= WHOLE_SHARE * longOnes;
        double sd = Math.sqrt(squares / Math.max(1, one - 1));
        if (!lost) {
            double mean = Arrays.stream(gaps).average().orElseThrow();
            sd = Math.sqrt(Arrays.stream(gaps).map(g -> (g - mean) * (g - mean)).sum() / Math.max(1, gaps.length - 1));
        }
        return new LogGaps(median, sd, lost ? missing / (gaps.length + missing) : 0);
    }
}
