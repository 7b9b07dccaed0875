package fahrbahn.core.mat;

import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Raster;

/**
 * What lies across a way: the line nearest to it.
 *
 * @param leftMm its middle, left of the way
 * @param widthMm its width; 0 when there is none
 */
record Section(double leftMm, double widthMm) {
    private static final Section NONE = new Section(0, 0);
    private static final double SEEN = 0.5;

    /** @param reachMm looked at to each side @param stepMm between two looks */
    static Section across(Raster raster, Pose at, double reachMm, double stepMm) {
        int half = (int) (reachMm / stepMm);
        double cos = Math.cos(at.headingRad());
        double sin = Math.sin(at.headingRad());
        int nearest = Integer.MAX_VALUE;
        for (int away = 0; away <= half && nearest == Integer.MAX_VALUE; away++) {
            if (seen(raster, at, cos, sin, away * stepMm) > SEEN) {
                nearest = away;
            } else if (seen(raster, at, cos, sin, -away * stepMm) > SEEN) {
                nearest = -away;
            }
        }
        if (nearest == Integer.MAX_VALUE) {
            return NONE;
        }
        int most = 2 * half;
        int high = nearest;
        while (high < most && seen(raster, at, cos, sin, (high + 1) * stepMm) > SEEN) {
            high++;
        }
        int low = nearest;
        while (low > -most && seen(raster, at, cos, sin, (low - 1) * stepMm) > SEEN) {
            low--;
        }
        double right = border(raster, at, cos, sin, low * stepMm, (low - 1) * stepMm);
        double left = border(raster, at, cos, sin, high * stepMm, (high + 1) * stepMm);
        return new Section((left + right) / 2, left - right);
    }

    boolean empty() {
        return widthMm == 0;
    }

    /** Between a place inside and one outside, where the line is half seen. */
    private static double border(Raster raster, Pose at, double cos, double sin, double inside, double outside) {
        double in = seen(raster, at, cos, sin, inside);
        double out = seen(raster, at, cos, sin, outside);
        double share = in > out ? (in - SEEN) / (in - out) : 0.5;
        return inside + (outside - inside) * Math.max(0, Math.min(1, share));
    }

    private static double seen(Raster raster, Pose at, double cos, double sin, double leftMm) {
        return raster.at(at.xMm() - leftMm * sin, at.yMm() + leftMm * cos);
    }
}
