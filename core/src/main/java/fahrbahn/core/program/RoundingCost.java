package fahrbahn.core.program;

import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.review.TwoOnOneTable;
import fahrbahn.core.table.Ground;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Track;

/** What rounding costs: the same robot from the same starts, by its program as it was worked out and as it takes it. */
public final class RoundingCost {
    private static final int PAIRS = 200;

    /** The same numbers get the same judgement. */
    private static final long SEED = 1;

    private RoundingCost() {}

    /**
     * Drives both; what the sensors read stays as it is, only what the program takes for dark and light is rounded.
     *
     * @throws fahrbahn.core.check.BadValueException when the robot cannot be driven there
     * @throws fahrbahn.core.job.CancelledException when the job asked to stop at once
     */
    public static TwoOnOneTable drive(Ground ground, Taken taken, Job job) {
        return TwoOnOneTable.programmed(
                Track.of(ground, taken.set()), taken.taken(), Spread.TYPICAL, PAIRS, SEED, Workers.all(), job);
    }
}
