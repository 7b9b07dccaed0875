package fahrbahn.core.twin;

import java.util.List;
import java.util.OptionalDouble;

/**
 * What one run came to. Distances are those of the law's point from the path it should ride.
 *
 * @param end what ended it
 * @param timeS to the finish, or to where it was lost
 * @param ride how it rode
 * @param sMm how far along the path it came
 * @param stopAlongMm where the law's point came to rest, beyond the finish; of a run that was lost, where it was lost
 * @param stopAcrossMm the same to the left of the path it should ride
 * @param crossings what a program that looks for turn marks made of the crossings it came to; empty for others
 */
public record RunResult(
        End end,
        double timeS,
        Ride ride,
        double sMm,
        double stopAlongMm,
        double stopAcrossMm,
        List<CrossingPass> crossings) {
    /**
     * How it rode.
     *
     * @param rmsMm root mean square distance
     * @param peakMm largest distance
     * @param bandLeftShare share of the usable band, to where the error folds over, that the largest distance left; below 0 when
     *     it went beyond
     * @param wigglePeriodS mean period of the wiggle; empty when there is none to speak of
     * @param reversalsPerM changes of steering side per metre
     * @param pathCrossingsPerM how often it went over that path from one side to the other, by a tenth of a mm and more, per metre
     * @param travelPerM way of the steering command per metre, in full commands
     */
    public record Ride(
            double rmsMm,
            double peakMm,
            double bandLeftShare,
            OptionalDouble wigglePeriodS,
            double reversalsPerM,
            double pathCrossingsPerM,
            double travelPerM) {}

    public RunResult {
        crossings = List.copyOf(crossings);
    }

    /** What ended a run. */
    public enum End {
        FINISHED("finished"),
        /** Too far from the line to find it again. */
        LEFT_THE_LINE("left the line"),
        /** Going back the way it came. */
        TURNED_ROUND("turned round"),
        /** Into something that stands on the line, or against it as it went round. */
        HIT_OBSTACLE("hit the obstacle"),
        /** By its own program, once all its sensors saw the line, before the finish. */
        STOPPED("stopped"),
        /** Not finished in four times the time it should take. */
        TOO_SLOW("too slow");

        private final String word;

        End(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    public double rmsMm() {
        return ride.rmsMm();
    }

    public double peakMm() {
        return ride.peakMm();
    }

    public boolean completed() {
        return end == End.FINISHED;
    }
}
