package fahrbahn.core.readings;

import java.util.Arrays;

/**
 * Readings that say there is nothing under the sensor: a code that is no reading, as -1 where all others are 0 or more, or the end of its
 * range, where a lifted sensor stays until it is put down again. They are of no surface, so they enter no mean.
 */
final class NoSurface {
    /** Ends of the ranges that sensors have: nothing, share, percent, 8, 10, 12 and 16 bit. */
    private static final double[] ENDS = {0, 1, 100, 255, 1023, 4095, 65535};

    /** So many in a row at the end of the range: a spark is shorter. */
    private static final int LEAST_RUN = 3;

    /** How far from all others the end stands, as a share of their whole range: a line's edge leaves no such gap. */
    private static final double GAP_SHARE = 0.1;

    /** And in steps, or in scatters of one surface: noise reaches the end of a range as well. */
    private static final double FAR_STEPS = 10;

    /** Of the others, so many are near the end as dark or light is: without them the end itself is the surface. */
    private static final double SURFACE_SHARE = 0.1;

    private NoSurface() {}

    /**
     * @param moving whether the sensor was moved over several surfaces
     * @return for each reading whether it is of no surface
     */
    static boolean[] in(double[] readings, boolean moving) {
        double code = code(readings);
        double end = Double.isNaN(code) ? end(readings, moving) : Double.NaN;
        boolean[] none = new boolean[readings.length];
        for (int i = 0; i < none.length; i++) {
            none[i] = readings[i] == code || readings[i] == end;
        }
        return none;
    }

    /** The one negative number among others of 0 or more, more than a step from them; NaN when there is none. */
    private static double code(double[] readings) {
        double[] negative =
                Arrays.stream(readings).filter(r -> r < 0).distinct().toArray();
        if (negative.length != 1 || negative[0] != Math.rint(negative[0])) {
            return Double.NaN;
        }
        double[] others = Arrays.stream(readings).filter(r -> r >= 0).sorted().toArray();
        if (others.length == 0) {
            return readings.length > 1 ? negative[0] : Double.NaN;
        }
        double step = SurfaceStats.smallestStep(others);
        boolean noise = others[0] - negative[0] <= (step > 0 ? step : 1);
        return noise ? Double.NaN : negative[0];
    }

    /** The end of the range it stayed at, away from two surfaces or from one; NaN when there is none. */
    private static double end(double[] readings, boolean moving) {
        for (double end : ENDS) {
            if (longestRun(readings, end) >= LEAST_RUN && apart(readings, end, moving)) {
                return end;
            }
        }
        return Double.NaN;
    }

    private static double scatter(double[] sorted, boolean moving) {
        double median = Median.ofSorted(sorted);
        return moving
                ? 0
                : Median.of(Arrays.stream(sorted).map(r -> Math.abs(r - median)).toArray());
    }

    private static int longestRun(double[] readings, double value) {
        int longest = 0;
        int run = 0;
        for (double reading : readings) {
            run = reading == value ? run + 1 : 0;
            longest = Math.max(longest, run);
        }
        return longest;
    }

    private static boolean apart(double[] readings, double end, boolean moving) {
        double[] others = Arrays.stream(readings).filter(r -> r != end).sorted().toArray();
        int n = others.length;
        if (n < LEAST_RUN || others[0] < end && others[n - 1] > end) {
            return false; // on both sides of it: it is in the middle of what is seen
        }
        double nearest = others[0] > end ? others[0] : others[n - 1];
        double furthest = others[0] > end ? others[n - 1] : others[0];
        double range = Math.abs(furthest - end);
        double gap = Math.abs(nearest - end);
        if (gap < GAP_SHARE * range
                || gap < FAR_STEPS * Math.max(SurfaceStats.smallestStep(others), scatter(others, moving))) {
            return false;
        }
        if (!moving) {
            return 2 * (readings.length - n) <= readings.length; // one surface, mostly
        }
        // Both surfaces must be among the others: a tenth of them in the half that is nearer to the end.
        double middle = (nearest + furthest) / 2;
        long near = Arrays.stream(others)
                .filter(r -> Math.abs(r - end) < Math.abs(middle - end))
                .count();
        boolean two = Math.abs(furthest - nearest) > GAP_SHARE * 3 * range;
        return two && near >= SURFACE_SHARE * n;
    }
}
