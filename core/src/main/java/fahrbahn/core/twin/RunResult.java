package fahrbahn.core.twin;

import java.util.OptionalDouble;

/**
 * What one run came to. Distances are those of the law's point from the path it should ride.
 *
 * @param timeS to the finish, or to where it was lost
 * @param rmsMm root mean square distance
 * @param peakMm largest distance
 * @param wigglePeriodS mean period of the wiggle; empty when there is none to speak of
 * @param reversalsPerM changes of steering side per metre
 * @param sMm how far along the path it came
 * @param end what ended it
 */
public record RunResult(
        End end,
        double timeS,
        double rmsMm,
        double peakMm,
        OptionalDouble wigglePeriodS,
        double reversalsPerM,
        double sMm) {
    /** What ended a run. */
    public enum End {
        FINISHED,
        /** Too far from the line to find it again. */
        LEFT_THE_LINE,
        /** Going back the way it came. */
        TURNED_ROUND,
        /** Not finished in four times the time it should take. */
        TOO_SLOW
    }

    public boolean completed() {
        return end == End.FINISHED;
    }
}
