package fahrbahn.core.twin;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Text;

/** How much there is to work out, told before it is begun: what would have no end is refused with what would make it one. */
public final class Workload {
    /** Ticks in one run: some seconds of work. A lap of a minute at a thousand loops a second has sixty thousand. */
    private static final double MOST_A_RUN = 1e7;

    /** Ticks in all: some ten seconds on two threads, when all is as planned. */
    private static final double MOST_IN_ALL = 2e8;

    private Workload() {}

    /** Loops that a run takes at the commanded speed. */
    public static double ticks(Track track) {
        return track.finishMm()
                / track.setup().speedMmPerS()
                / track.setup().robot().loop().periodS();
    }

    /** @throws BadValueException when so many runs would take too long */
    static void check(Track track, int runs) {
        double ticks = ticks(track);
        if (!(ticks <= MOST_A_RUN)) {
            throw new BadValueException(
                    "the run",
                    Text.of("%.3g loops long", ticks),
                    Text.of(
                            "at most %s loops: a shorter way, a higher speed or a longer loop time",
                            Text.number(MOST_A_RUN)));
        }
        if (!(ticks * runs <= MOST_IN_ALL)) {
            throw new BadValueException(
                    "runs",
                    runs,
                    Text.of("at most %d here: each takes %.0f loops", (long) (MOST_IN_ALL / ticks), ticks));
        }
    }
}
