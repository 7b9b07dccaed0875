package fahrbahn.app;

import fahrbahn.app.kit.Clocks;
import java.time.Clock;
import java.util.concurrent.atomic.AtomicLong;

/** The program's times in tests: hands' goes on and can be moved, so that none waits; links' stands still, so that no busy machine looks like a robot gone. */
public final class HandClocks {
    private final AtomicLong ahead = new AtomicLong();
    private final AtomicLong linksNs = new AtomicLong();
    private volatile long heldNs = Long.MIN_VALUE;

    public Clocks clocks() {
        return clocks(Clock.systemUTC());
    }

    public Clocks clocks(Clock day) {
        return new Clocks(day, this::handsNs, linksNs::get);
    }

    private long handsNs() {
        return (heldNs == Long.MIN_VALUE ? System.nanoTime() : heldNs) + ahead.get();
    }

    /** From now on it goes on only when it is moved. */
    public void hold() {
        heldNs = System.nanoTime();
    }

    /** So much later for stopwatches, keys and pictures that move. */
    public void later(double seconds) {
        ahead.addAndGet(Math.round(seconds * 1e9));
    }
}
