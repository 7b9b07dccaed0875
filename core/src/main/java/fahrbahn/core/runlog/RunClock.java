package fahrbahn.core.runlog;

import java.util.OptionalDouble;

/**
 * Runs as a robot's stream tells them: from where its program says that a run starts to where it says that it ends. A robot that says nothing of the
 * kind runs from its first reading after a silence, or after its clock began anew, to its last one before a silence.
 */
public final class RunClock {
    /** What a program says of its run, with a reading. */
    public enum Mark {
        NONE,
        START,
        END
    }

    /** Without a reading for so long it is silent. */
    public static final double SILENCE_S = 1.5;

    /** Shorter ones were a program started by mistake. */
    private static final double LEAST_S = 0.5;

    private boolean marks;
    private double startS = Double.NaN;
    private double lastS = Double.NaN;

    /** Forgets what was heard. */
    public void clear() {
        marks = false;
        startS = Double.NaN;
        lastS = Double.NaN;
    }

    /** Whether a run is on. */
    public boolean running() {
        return !Double.isNaN(startS);
    }

    /** @param tS by the robot's clock @return how long the run took that has ended with it */
    public OptionalDouble hear(double tS, Mark mark) {
        OptionalDouble over = OptionalDouble.empty();
        if (mark != Mark.NONE) {
            marks = true;
        }
        if (mark == Mark.START) {
            startS = tS;
        } else if (mark == Mark.END) {
            over = end(tS);
        } else if (!marks) {
            boolean anew = tS < lastS || tS - lastS > SILENCE_S;
            if (anew) {
                over = end(lastS);
            }
            if (anew || Double.isNaN(lastS)) {
                startS = tS;
            }
        }
        lastS = tS;
        return over;
    }

    /** The robot is silent. @return how long the run took that has ended with its last reading */
    public OptionalDouble silent() {
        OptionalDouble over = marks ? OptionalDouble.empty() : end(lastS);
        if (!marks) {
            lastS = Double.NaN;
        }
        return over;
    }

    private OptionalDouble end(double atS) {
        double tookS = atS - startS;
        startS = Double.NaN;
        return tookS >= LEAST_S ? OptionalDouble.of(tookS) : OptionalDouble.empty();
    }
}
