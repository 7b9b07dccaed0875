package fahrbahn.app.kit;

import java.util.function.LongSupplier;

/** Tells a number that is being typed from single digits: its digits follow each other at once. */
public final class Digits {
    /** Slower than anybody types a number. */
    public static final long AT_ONCE_NS = 500_000_000L;

    private final LongSupplier nanoClock;
    private long lastNs;
    private int inARow;

    public Digits(LongSupplier nanoClock) {
        this.nanoClock = nanoClock;
    }

    /** Another key or the mouse: what comes is no part of a number. */
    public void over() {
        inARow = 0;
    }

    /** To be told of each digit. @return how many have come at once, this one included */
    public int next() {
        long now = nanoClock.getAsLong();
        inARow = inARow > 0 && now - lastNs < AT_ONCE_NS ? inARow + 1 : 1;
        lastNs = now;
        return inARow;
    }
}
