package fahrbahn.core.mat;

import fahrbahn.core.path.Pose;
import java.util.Arrays;
import java.util.List;

/**
 * The tightest bend of a followed line: how fast its direction changes along windows of its points. A window spans some three line
 * widths, so a bend shorter than that seems wider than it is.
 *
 * @param radiusMm infinite when no window bends
 * @param at middle of that window; null when none bends
 */
record Bends(double radiusMm, Pose at) {
    private static final double WINDOW_WIDTHS = 3;

    /** A wider circle than this many windows is a straight line with a wobble. */
    private static final double STRAIGHT_WINDOWS = 40;

    /** @param breaks points at which the line jumps or turns sharply; no window reaches across one */
    static Bends of(List<Pose> points, List<Integer> breaks, double widthMm, boolean closed) {
        int size = points.size();
        if (size < 3) {
            return new Bends(Double.POSITIVE_INFINITY, null);
        }
        double stepMm = Math.max(
                1e-6,
                Math.hypot(
                        points.get(1).xMm() - points.get(0).xMm(),
                        points.get(1).yMm() - points.get(0).yMm()));
        double windowMm = WINDOW_WIDTHS * widthMm;
        int half = Math.max(3, (int) (windowMm / stepMm / 2));
        double tightest = STRAIGHT_WINDOWS * windowMm;
        Pose where = null;
        for (int middle = half; middle < size - half; middle += 1 + half / 8) {
            int from = middle - half;
            int to = middle + half;
            // The follower needs a width to settle after its start and after a break.
            int settle = half / 2;
            boolean broken = from < settle || breaks.stream().anyMatch(b -> b - settle <= to && b + settle >= from);
            if (!broken) {
                double radius = radius(points, from, to);
                if (radius < tightest) {
                    tightest = radius;
                    where = points.get(middle);
                }
            }
        }
        return where == null ? new Bends(Double.POSITIVE_INFINITY, null) : new Bends(tightest, where);
    }

    /** One over the slope of the direction against the way, by least squares: exact on a circle, none at a change of bend. */
    private static double radius(List<Pose> points, int from, int to) {
        int n = to - from;
        double[] way = new double[n];
        double[] direction = new double[n];
        double before = 0;
        for (int i = 0; i < n; i++) {
            double dx = points.get(from + i + 1).xMm() - points.get(from + i).xMm();
            double dy = points.get(from + i + 1).yMm() - points.get(from + i).yMm();
            double length = Math.hypot(dx, dy);
            way[i] = (i == 0 ? 0 : way[i - 1] + before / 2) + length / 2;
            double angle = Math.atan2(dy, dx);
            direction[i] =
                    i == 0 ? angle : direction[i - 1] + Math.IEEEremainder(angle - direction[i - 1], 2 * Math.PI);
            before = length;
        }
        double meanWay = Arrays.stream(way).average().orElse(0);
        double meanDirection = Arrays.stream(direction).average().orElse(0);
        double slope = 0;
        double spread = 0;
        for (int i = 0; i < n; i++) {
            slope += (way[i] - meanWay) * (direction[i] - meanDirection);
            spread += (way[i] - meanWay) * (way[i] - meanWay);
        }
        return Math.abs(spread / slope);
    }
}
