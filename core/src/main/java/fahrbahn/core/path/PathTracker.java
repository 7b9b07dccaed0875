package fahrbahn.core.path;

/**
 * Follows a moving point along a path: how far along it is and how far beside it. It remembers the stretch it is on, so each
 * step looks at one or two stretches only, and a course that crosses itself does not confuse it. Not thread-safe; allocates
 * nothing after it is made.
 */
public final class PathTracker {
    private final boolean closed;
    private final double totalMm;
    private final StretchFrame[] frames;
    private final double[] startMm;

    private int current;
    private int laps;
    private double x;
    private double y;

    public PathTracker(Path path) {
        closed = path.closed();
        totalMm = path.lengthMm();
        frames = path.stretches().stream().map(StretchFrame::new).toArray(StretchFrame[]::new);
        startMm = path.stretches().stream().mapToDouble(Path.Stretch::startMm).toArray();
    }

    /** Back to the start of the path, for another run. */
    public void reset() {
        current = 0;
        laps = 0;
    }

    /** Moves on to a point, forwards or backwards by at most a few stretches. */
    public void moveTo(double xMm, double yMm) {
        x = xMm;
        y = yMm;
        int way = wayOut();
        // Keeps going one way only: beside the joint of two bends a point can lie outside both.
        for (int steps = frames.length; way != 0 && steps > 0; steps--) {
            step(way);
            if (wayOut() != way) {
                break;
            }
        }
    }

    /** +1 when the point lies beyond the end of this stretch and there is a next one, -1 before its start, else 0. */
    private int wayOut() {
        int way = frames[current].follow(x, y);
        boolean nowhere = !closed && (way > 0 ? current == frames.length - 1 : current == 0);
        return nowhere ? 0 : way;
    }

    private void step(int way) {
        current += way;
        if (current == frames.length) {
            current = 0;
            laps++;
        } else if (current < 0) {
            current = frames.length - 1;
            laps--;
        }
    }

    /** Arc length of the nearest point of the path, counted on over the laps; worked out when asked for. */
    public double sMm() {
        return laps * totalMm + startMm[current] + frames[current].alongMm(x, y);
    }

    /** Distance to the left of the path. */
    public double leftMm() {
        return frames[current].leftMm();
    }
}
