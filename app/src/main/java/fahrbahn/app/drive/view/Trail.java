package fahrbahn.app.drive.view;

import fahrbahn.app.ground.TableScale;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trace.Trace;
import java.util.Arrays;

/** The way of the law's point on a picture, without the points that fall on the pixel of the one before; worked out once for a scale. */
final class Trail {
    private static final double LEAST_PX = 1;

    private final TableScale scale;
    private final double[] x;
    private final double[] y;
    /** How many points there are up to a tick. */
    private final int[] until;

    Trail(Trace trace, Setup setup, TableScale scale) {
        this.scale = scale;
        double lead = setup.leadMm();
        double[] px = new double[trace.size()];
        double[] py = new double[trace.size()];
        until = new int[trace.size()];
        int points = 0;
        for (int i = 0; i < trace.size(); i++) {
            double heading = trace.headingRad(i);
            double nextX = scale.px(trace.xMm(i) + lead * Math.cos(heading));
            double nextY = scale.py(trace.yMm(i) + lead * Math.sin(heading));
            if (points == 0 || Math.hypot(nextX - px[points - 1], nextY - py[points - 1]) >= LEAST_PX) {
                px[points] = nextX;
                py[points++] = nextY;
            }
            until[i] = points;
        }
        x = Arrays.copyOf(px, points);
        y = Arrays.copyOf(py, points);
    }

    boolean fits(TableScale other) {
        return scale.equals(other);
    }

    /** Between two ticks. */
    double[] x(int from, int to) {
        return Arrays.copyOfRange(x, first(from), until[to]);
    }

    double[] y(int from, int to) {
        return Arrays.copyOfRange(y, first(from), until[to]);
    }

    /** The point that was there already, so that no gap is left. */
    private int first(int from) {
        return Math.max(0, until[from] - 1);
    }
}
