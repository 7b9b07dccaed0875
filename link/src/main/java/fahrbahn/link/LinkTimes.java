package fahrbahn.link;

import java.util.function.LongSupplier;

/**
 * What a link takes for now, and how long it waits before it tries again; tests bring their own.
 *
 * @param nanoClock any clock that runs evenly, ns
 * @param tryAgainMs from the moment a robot has gone until the next attempt to meet it again, ms
 */
public record LinkTimes(LongSupplier nanoClock, long tryAgainMs) {
    private static final long TRY_AGAIN_MS = 400;

    /** As robots are used to. */
    public static LinkTimes of(LongSupplier nanoClock) {
        return new LinkTimes(nanoClock, TRY_AGAIN_MS);
    }
}
