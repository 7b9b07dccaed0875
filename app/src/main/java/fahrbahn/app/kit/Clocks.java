package fahrbahn.app.kit;

import java.time.Clock;
import java.util.function.LongSupplier;

/**
 * The program's times; tests bring their own, so that none waits.
 *
 * @param day what time of which day it is
 * @param handsNs runs evenly, ns: stopwatches, keys that follow each other at once, pictures that move, live readings
 * @param linksNs runs evenly, ns: whether a robot has gone, or what comes is no robot
 */
public record Clocks(Clock day, LongSupplier handsNs, LongSupplier linksNs) {
    public static final Clocks REAL = new Clocks(Clock.systemUTC(), System::nanoTime, System::nanoTime);
}
