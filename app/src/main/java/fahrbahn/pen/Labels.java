package fahrbahn.pen;

import java.util.ArrayList;
import java.util.List;

/**
 * Puts words beside what they name, free of what is drawn, of each other and of the edge: of some places around each point the first
 * that nothing crosses, or the one that least does. What is to be kept free is told before words are put.
 */
public final class Labels {
    /** Directions in which a label may stand from its point, the likeliest first: right, left, above, below, and between. */
    private static final int[][] SIDES = {{1, 0}, {-1, 0}, {0, -1}, {0, 1}, {1, -1}, {1, 1}, {-1, -1}, {-1, 1}};

    private static final double[] AWAY_PX = {7, 14, 24, 38, 56};
    private static final double AIR_PX = 2;
    private static final int OUTSIDE = 1000;
    private static final int ALONG = 12;

    /** Of a line of text's height: what lies above the line it stands on. */
    static final double ABOVE = 0.76;

    private final Pen pen;
    private final double width;
    private final double height;
    private final List<double[]> segments = new ArrayList<>();
    private final List<Box> boxes = new ArrayList<>();

    /** A rectangle of a label, y downwards. */
    public record Box(double left, double top, double right, double bottom) {
        boolean meets(Box other) {
            return left < other.right && other.left < right && top < other.bottom && other.top < bottom;
        }

        /** Whether a straight line goes through it (Liang and Barsky 1984). */
        public boolean crossedBy(double x1, double y1, double x2, double y2) {
            double dx = x2 - x1;
            double dy = y2 - y1;
            double[] p = {-dx, dx, -dy, dy};
            double[] q = {x1 - left, right - x1, y1 - top, bottom - y1};
            double from = 0;
            double to = 1;
            for (int i = 0; i < 4; i++) {
                if (p[i] == 0 && q[i] < 0) {
                    return false;
                } else if (p[i] < 0) {
                    from = Math.max(from, q[i] / p[i]);
                } else if (p[i] > 0) {
                    to = Math.min(to, q[i] / p[i]);
                }
            }
            return from <= to;
        }
    }

    public Labels(Pen pen, double width, double height) {
        this.pen = pen;
        this.width = width;
        this.height = height;
    }

    /** A line through points that no label is to lie on. */
    public Labels free(double[] x, double[] y) {
        for (int i = 1; i < x.length; i++) {
            free(x[i - 1], y[i - 1], x[i], y[i]);
        }
        return this;
    }

    public Labels free(double x1, double y1, double x2, double y2) {
        segments.add(new double[] {x1, y1, x2, y2});
        return this;
    }

    /** A disc that no label is to lie on. */
    public Labels free(double x, double y, double radius) {
        boxes.add(new Box(x - radius, y - radius, x + radius, y + radius));
        return this;
    }

    /** Words that name what lies at a point. */
    public void put(String ink, String words, double x, double y) {
        put(ink, words, new double[] {x}, new double[] {y});
    }

    /** Words that name an upright line, anywhere beside it. */
    public void putAlong(String ink, String words, double x) {
        double[] xs = new double[ALONG];
        double[] ys = new double[ALONG];
        for (int i = 0; i < ALONG; i++) {
            xs[i] = x;
            ys[i] = height * (i + 0.5) / ALONG;
        }
        put(ink, words, xs, ys);
    }

    private void put(String ink, String words, double[] xs, double[] ys) {
        double wide = pen.width(words);
        double high = pen.lineHeight();
        Box best = null;
        int least = Integer.MAX_VALUE;
        for (double away : AWAY_PX) {
            for (int at = 0; at < SIDES.length * xs.length; at++) {
                int[] side = SIDES[at % SIDES.length];
                double x = xs[at / SIDES.length];
                double y = ys[at / SIDES.length];
                double left = x + side[0] * away - (side[0] == 0 ? wide / 2 : side[0] < 0 ? wide : 0);
                double top = y + side[1] * away - (side[1] == 0 ? high / 2 : side[1] < 0 ? high : 0);
                Box box = new Box(left, top, left + wide, top + high);
                int hits = hits(box);
                if (hits < least) {
                    least = hits;
                    best = box;
                }
            }
            if (least == 0) {
                break;
            }
        }
        boxes.add(best);
        pen.text(ink, words, best.left(), best.top() + ABOVE * high);
    }

    private int hits(Box box) {
        Box wider = new Box(box.left() - AIR_PX, box.top(), box.right() + AIR_PX, box.bottom());
        int hits = box.left() < 0 || box.right() > width || box.top() < 0 || box.bottom() > height ? OUTSIDE : 0;
        for (Box other : boxes) {
            hits += wider.meets(other) ? 3 : 0;
        }
        for (double[] s : segments) {
            hits += wider.crossedBy(s[0], s[1], s[2], s[3]) ? 1 : 0;
        }
        return hits;
    }
}
