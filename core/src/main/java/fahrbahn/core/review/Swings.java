package fahrbahn.core.review;

import fahrbahn.core.trace.Trace;
import java.util.ArrayList;
import java.util.List;

/**
 * The swings to and fro about their own middle, just before a tick.
 *
 * @param halves how many half swings follow each other
 * @param periodS of a whole one, by the mean of the halves
 * @param firstMm half of peak to peak of the first
 * @param lastMm of the last
 * @param bandMm what there is room for
 */
record Swings(int halves, double periodS, double firstMm, double lastMm, double bandMm) {
    /** So many half swings make a wiggle: with fewer it may be the way into a bend. */
    private static final int LEAST_HALVES = 3;

    /** Beyond this a swing is not one with those before it. */
    private static final int MOST_HALVES = 8;

    /** Smaller than this share of the band a swing is the sensors' noise. */
    private static final double LEAST_SHARE = 0.08;

    /** The last one this share of the band: it took the line away. */
    private static final double GREAT_SHARE = 0.45;

    /** Swings that follow each other last alike, to this factor. */
    private static final double ALIKE = 2.2;

    /** Whether they are what took the line away. */
    boolean wiggling() {
        return halves >= LEAST_HALVES && lastMm >= GREAT_SHARE * bandMm;
    }

    /** Looks back from a tick from turning point to turning point. @param earliest tick it looks back to */
    static Swings before(Trace trace, int earliest, int tick, double bandMm) {
        double least = LEAST_SHARE * bandMm;
        List<Integer> turns = new ArrayList<>();
        // Zigzag: a turning point counts once the offset has come back from it by the least swing.
        int extreme = tick;
        int way = 0;
        for (int i = tick; i >= earliest && turns.size() <= MOST_HALVES; i--) {
            double back = trace.offsetMm(i) - trace.offsetMm(extreme);
            if (way == 0) {
                way = Math.abs(back) > least ? (back > 0 ? 1 : -1) : 0;
                if (way != 0) {
                    turns.add(extreme);
                    extreme = i;
                }
            } else if (way * back > 0) {
                extreme = i;
            } else if (way * back < -2 * least) {
                turns.add(extreme);
                extreme = i;
                way = -way;
            }
        }
        return of(trace, turns, bandMm);
    }

    /** @param turns latest first */
    private static Swings of(Trace trace, List<Integer> turns, double bandMm) {
        int halves = 0;
        double lastS = Double.NaN;
        for (int i = 1; i < turns.size(); i++) {
            double s = trace.tS(turns.get(i - 1)) - trace.tS(turns.get(i));
            // The latest is not over yet: the one before it is the measure.
            if (i > 2 && (s > ALIKE * lastS || s < lastS / ALIKE)) {
                break;
            }
            lastS = s;
            halves = i;
        }
        if (halves == 0) {
            return new Swings(0, Double.NaN, 0, 0, bandMm);
        }
        int from = halves >= 2 ? 1 : 0;
        double period = 2 * (trace.tS(turns.get(from)) - trace.tS(turns.get(halves))) / (halves - from);
        return new Swings(
                halves,
                period,
                half(trace, turns, halves),
                Math.max(half(trace, turns, 1), halves > 1 ? half(trace, turns, 2) : 0),
                bandMm);
    }

    private static double half(Trace trace, List<Integer> turns, int i) {
        return Math.abs(trace.offsetMm(turns.get(i - 1)) - trace.offsetMm(turns.get(i))) / 2;
    }
}
