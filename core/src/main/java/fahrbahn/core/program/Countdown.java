package fahrbahn.core.program;

import fahrbahn.core.setup.Extent;

/**
 * What is left of a phase: a state that runs down tick by tick.
 *
 * @param count name of the state
 * @param speed name of the constant that says how far the robot gets in a second, mm/s
 */
record Countdown(ListingBuilder to, String count, String speed) {
    /** How much of an extent passes in a tick. */
    String passed(Extent extent) {
        return switch (extent.unit()) {
            case LOOPS -> "1";
            case MS -> "1000 * seconds";
            case MM -> speed + " * seconds";
        };
    }

    void run(Extent extent) {
        to.set(count, count + " - " + passed(extent));
    }

    /** Runs it down, and does what comes next once nothing is left. */
    void over(Extent extent, Runnable then) {
        run(extent);
        to.when(count + " <= 0", then);
    }
}
