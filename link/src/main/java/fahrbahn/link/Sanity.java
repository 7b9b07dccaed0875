package fahrbahn.link;

import java.util.List;
import java.util.function.LongSupplier;

/**
 * Whether what comes over a link may be a robot's. Something else at the other end, another program's port perhaps, is told from a
 * robot by columns that keep changing and by lines that make no sense, many a second.
 */
final class Sanity {
    private static final long SECOND_NS = 1_000_000_000L;

    /** A program that is started anew sends a header; nobody starts one more often than this. */
    private static final int MOST_HEADERS = 5;

    /** A thousand good lines a second are fast; so many broken ones are not a robot's. */
    private static final int MOST_BROKEN = 20_000;

    private final LongSupplier nanoClock;
    private List<String> columns = List.of();
    private long sinceNs = Long.MIN_VALUE;
    private int headers;
    private int broken;

    Sanity(LongSupplier nanoClock) {
        this.nanoClock = nanoClock;
    }

    /** Takes note of the columns a reading came under. @throws NoRobotException when they change too often */
    void reading(List<String> now) throws NoRobotException {
        if (!now.equals(columns)) {
            columns = now;
            turn();
            if (++headers > MOST_HEADERS) {
                throw new NoRobotException("its columns changed " + headers + " times within a second");
            }
        }
    }

    /** Takes note of a line that was skipped. @throws NoRobotException when there are too many */
    void broken() throws NoRobotException {
        turn();
        if (++broken > MOST_BROKEN) {
            throw new NoRobotException("it sent " + broken + " lines within a second that make no sense");
        }
    }

    private void turn() {
        long now = nanoClock.getAsLong();
        if (sinceNs == Long.MIN_VALUE || now - sinceNs > SECOND_NS) {
            sinceNs = now;
            headers = 0;
            broken = 0;
        }
    }
}
