package fahrbahn.store.file;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.file.Path;
import org.sqlite.ProgressHandler;

/**
 * Stops the engine when looking a file over takes more processor time than a file of its size can need. A damaged table whose pages
 * name each other again and again has more rows to walk through than there are years.
 */
public final class Patience extends ProgressHandler {
    /** Steps of the engine between two looks at the clock: some milliseconds. */
    public static final int STEPS = 100_000;

    private static final double LEAST_S = 4;

    /** A sound season takes about 1 s for 100 MB. */
    private static final double S_PER_BYTE = 5e-8;

    private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();

    private final long endNs;

    private Patience(long endNs) {
        this.endNs = endNs;
    }

    /** Of the calling thread, from now on: a machine that is busy with other things makes nothing look damaged. */
    public static Patience with(Path file) {
        return of(LEAST_S + S_PER_BYTE * file.toFile().length());
    }

    public static Patience of(double seconds) {
        return new Patience(THREADS.getCurrentThreadCpuTime() + (long) (1e9 * seconds));
    }

    @Override
    protected int progress() {
        return THREADS.getCurrentThreadCpuTime() > endNs ? 1 : 0;
    }
}
