package fahrbahn.core.trace;

/** Receives every tick of a run, in order, on the thread that runs it. */
@FunctionalInterface
public interface TickSink {
    TickSink NONE = now -> {};

    /** @param now good for this call only: the next tick is told by the same object */
    void tick(Moment now);
}
