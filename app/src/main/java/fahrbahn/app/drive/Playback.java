package fahrbahn.app.drive;

import fahrbahn.core.trace.Trace;

/** How far a run is played, and how fast: by the time of the frames, by single ticks, or to a place in it. */
final class Playback {
    private static final double[] SPEEDS = {0.25, 0.5, 1, 2, 4, 8};

    /** Real speed. */
    private static final int REAL = 2;

    /** A frame that comes later than this was not drawn: a window that was hidden goes on where it was. */
    private static final double MOST_FRAME_S = 0.25;

    private final Trace trace;
    private int speed;
    private boolean playing = true;
    private double playedS;
    private long latestNs = Long.MIN_VALUE;
    private int shown = -1;

    /** @param faster than real, in steps: a coach has five minutes */
    Playback(Trace trace, int faster) {
        this.trace = trace;
        this.speed = REAL;
        faster(faster);
    }

    /** Takes the time of a frame. @return whether there is anything new to show */
    boolean frame(long nowNs) {
        double passedS = latestNs == Long.MIN_VALUE ? 0 : Math.min(MOST_FRAME_S, (nowNs - latestNs) * 1e-9);
        latestNs = nowNs;
        if (playing) {
            playedS = Math.min(endS(), playedS + passedS * times());
            playing = playedS < endS();
        }
        int now = tick();
        boolean fresh = now != shown;
        shown = now;
        return fresh;
    }

    private double endS() {
        return trace.tS(trace.size() - 1);
    }

    /** The tick that is to be seen. */
    int tick() {
        return trace.indexAt(playedS);
    }

    /** The time that is to be seen. */
    double atS() {
        return playedS;
    }

    boolean playing() {
        return playing;
    }

    /** Times real speed. */
    double times() {
        return SPEEDS[speed];
    }

    /** Goes on, from the start where it is at its end, or halts. */
    void toggle() {
        if (!playing && playedS >= endS()) {
            playedS = 0;
        }
        playing = !playing;
    }

    /** @param steps positive for faster */
    void faster(int steps) {
        speed = Math.max(0, Math.min(SPEEDS.length - 1, speed + steps));
    }

    /** Halts so many ticks on. */
    void step(int ticks) {
        int to = Math.max(0, Math.min(trace.size() - 1, tick() + ticks));
        seek(trace.tS(to));
    }

    /** Halts at a time. */
    void seek(double tS) {
        playing = false;
        playedS = Math.max(0, Math.min(endS(), tS));
    }
}
