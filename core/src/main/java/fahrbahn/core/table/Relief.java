package fahrbahn.core.table;

import fahrbahn.core.path.Part;
import fahrbahn.core.path.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * How high the table is along a path, mm, and how steep. Ramps rise evenly; bumps and creases are one arch of
 * {@code height/2 * (1 - cos(2*pi*x/length))}. A closed course comes back to where it began whatever its ramps add up to.
 * Allocates nothing when asked.
 */
public final class Relief {
    private final boolean closed;
    private final double totalMm;
    private final double[] startMm;
    private final double[] lengthMm;
    private final double[] slope;
    private final double[] archMm;
    private final double[] heightAtStartMm;

    private Relief(Path path, List<Path.Stretch> uneven) {
        closed = path.closed();
        totalMm = path.lengthMm();
        int count = uneven.size();
        startMm = new double[count];
        lengthMm = new double[count];
        slope = new double[count];
        archMm = new double[count];
        heightAtStartMm = new double[count + 1];
        for (int i = 0; i < count; i++) {
            Path.Stretch stretch = uneven.get(i);
            startMm[i] = stretch.startMm();
            lengthMm[i] = stretch.lengthMm();
            slope[i] = stretch.part() instanceof Part.Ramp ramp ? Math.sin(ramp.slopeRad()) : 0;
            archMm[i] = arch(stretch.part());
            heightAtStartMm[i + 1] = heightAtStartMm[i] + slope[i] * lengthMm[i];
        }
    }

    public static Relief of(Path path) {
        List<Path.Stretch> uneven = new ArrayList<>();
        for (Path.Stretch stretch : path.stretches()) {
            if (stretch.part() instanceof Part.Ramp || arch(stretch.part()) > 0) {
                uneven.add(stretch);
            }
        }
        return new Relief(path, uneven);
    }

    private static double arch(Part part) {
        if (part instanceof Part.Bump bump) {
            return bump.heightMm();
        }
        return part instanceof Part.Crease crease ? crease.heightMm() : 0;
    }

    /** True for a table without bump, ramp or crease. */
    public boolean flat() {
        return startMm.length == 0;
    }

    /** Height above the start, mm. */
    public double heightMm(double sMm) {
        double s = closed ? sMm - Math.floor(sMm / totalMm) * totalMm : sMm;
        int i = before(s);
        if (i < 0) {
            return 0;
        }
        double x = Math.min(s - startMm[i], lengthMm[i]);
        double arch = archMm[i] == 0 ? 0 : archMm[i] / 2 * (1 - Math.cos(2 * Math.PI * x / lengthMm[i]));
        return heightAtStartMm[i] + slope[i] * x + arch;
    }

    /** Rise per mm along the path. */
    public double slope(double sMm) {
        double s = closed ? sMm - Math.floor(sMm / totalMm) * totalMm : sMm;
        int i = before(s);
        if (i < 0 || s > startMm[i] + lengthMm[i]) {
            return 0;
        }
        double turn = 2 * Math.PI / lengthMm[i];
        return slope[i] + archMm[i] / 2 * turn * Math.sin(turn * (s - startMm[i]));
    }

    /**
     * How far a piece of the path may move, either way, before any of it is on an uneven stretch; 0 when it is on one. Until then its slope is 0
     * and all of it is equally high.
     *
     * @param fromMm to {@code toMm}, the piece
     */
    public double evenForMm(double fromMm, double toMm) {
        double lap = closed ? Math.floor(fromMm / totalMm) * totalMm : 0;
        double from = fromMm - lap;
        double to = toMm - lap;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < startMm.length; i++) {
            least = Math.min(least, apart(from, to, startMm[i], startMm[i] + lengthMm[i]));
            if (closed) {
                least = Math.min(least, apart(from, to, startMm[i] + totalMm, startMm[i] + totalMm + lengthMm[i]));
                least = Math.min(least, apart(from, to, startMm[i] - totalMm, startMm[i] - totalMm + lengthMm[i]));
            }
        }
        return least;
    }

    private static double apart(double from, double to, double start, double end) {
        return Math.max(0, Math.max(start - to, from - end));
    }

    /**
     * How much higher than over a flat table a part of a robot is that stands on its wheels and one support.
     *
     * @param wheelsMm place of the wheels along the path
     * @param forwardMm of the part, and of the support, from the wheels
     */
    public double liftMm(double wheelsMm, double forwardMm, double supportForwardMm) {
        double atWheels = heightMm(wheelsMm);
        double pitch = (heightMm(wheelsMm + supportForwardMm) - atWheels) / supportForwardMm;
        return atWheels + pitch * forwardMm - heightMm(wheelsMm + forwardMm);
    }

    /** The last uneven stretch that begins at or before s; -1 for none. */
    private int before(double sMm) {
        int i = startMm.length - 1;
        while (i >= 0 && startMm[i] > sMm) {
            i--;
        }
        return i;
    }
}
