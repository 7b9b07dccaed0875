package fahrbahn.app.drive;

/** How far a run is played on screen, by the time of the frames. */
final class Playback {
    /** Faster than the robot would be: a coach has five minutes. */
    private static final double TIMES_REAL = 3;

    private final Drive drive;
    private long begunNs = Long.MIN_VALUE;
    private int tick;

    Playback(Drive drive) {
        this.drive = drive;
    }

    Drive drive() {
        return drive;
    }

    /** Ticks of the run that have been played. */
    int tick() {
        return tick;
    }

    /** @return whether there is anything new to show */
    boolean frame(long nowNs) {
        int last = drive.trace().size() - 1;
        if (begunNs == Long.MIN_VALUE) {
            begunNs = nowNs;
        } else if (tick >= last) {
            return false;
        }
        double playedS = (nowNs - begunNs) * 1e-9 * TIMES_REAL;
        tick = (int) Math.min(last, playedS / drive.setup().robot().loop().periodS());
        return true;
    }
}
