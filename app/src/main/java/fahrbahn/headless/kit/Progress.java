package fahrbahn.headless.kit;

import fahrbahn.core.job.Job;
import java.io.PrintWriter;
import java.util.function.LongSupplier;

/** Tells standard error how far a command is, a line each tenth of the way. Short work is over before it has anything to say. */
public final class Progress implements Job {
    private static final long FIRST_WORD_NS = 500_000_000L;

    private final PrintWriter messages;
    private final LongSupplier nanoTime;
    private final long begun;
    private int tenthsTold;

    /** @param nanoTime a clock; tests hand in their own */
    public Progress(PrintWriter messages, LongSupplier nanoTime) {
        this.messages = messages;
        this.nanoTime = nanoTime;
        this.begun = nanoTime.getAsLong();
    }

    @Override
    public synchronized void progress(int done, int of) {
        int tenths = (int) (10L * done / of);
        if (tenths > tenthsTold && nanoTime.getAsLong() - begun > FIRST_WORD_NS) {
            tenthsTold = tenths;
            messages.println(done + " of " + of + " runs");
            messages.flush();
        }
    }
}
