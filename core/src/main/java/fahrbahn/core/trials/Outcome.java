package fahrbahn.core.trials;

import fahrbahn.core.check.Check;
import java.util.Optional;

/**
 * What happened in one run. Figures nobody took are NaN.
 *
 * @param timeS above 0, or NaN
 * @param rmsMm distance from the path to ride, root mean square; 0 or more, or NaN
 * @param stop where it stopped
 * @param lostMm how far along the line it was lost; 0 or more, or NaN
 * @param seen what the coach saw; empty when nobody said
 * @param wiggles counted while it ran; empty when nobody counted
 */
public record Outcome(
        boolean completed,
        double timeS,
        double rmsMm,
        Stop stop,
        double lostMm,
        Optional<Seen> seen,
        Optional<Wiggles> wiggles) {
    /** So many swings there and back, in so much time, s. */
    public record Wiggles(int count, double overS) {
        private static final int MOST = 1000;

        public Wiggles {
            Check.between("wiggles", count, 1, MOST);
            Check.positive("wigglesS", overS);
        }

        public double periodS() {
            return overS / count;
        }
    }

    /**
     * A stop place, from the place it should stop at.
     *
     * @param alongMm along the line, or NaN
     * @param acrossMm across it, left positive, or NaN
     */
    public record Stop(double alongMm, double acrossMm) {
        public static final Stop UNKNOWN = new Stop(Double.NaN, Double.NaN);

        public Stop {
            Check.require(!Double.isInfinite(alongMm), "alongMm", alongMm, "a finite number, or left empty");
            Check.require(!Double.isInfinite(acrossMm), "acrossMm", acrossMm, "a finite number, or left empty");
        }
    }

    /** What a run looked like. */
    public enum Seen {
        SMOOTH("smooth"),
        WIGGLES("wiggles"),
        LOST_STRAIGHT("lost-straight"),
        LOST_BEND("lost-bend"),
        LOST_CORNER("lost-corner"),
        LOST_GAP("lost-gap"),
        RIDES_LIGHT("rides-light"),
        RIDES_DARK("rides-dark"),
        TURNS_AWAY("turns-away"),
        OTHER("other");

        private final String word;

        Seen(String word) {
            this.word = word;
        }

        /** The word in files. */
        public String word() {
            return word;
        }
    }

    public Outcome {
        if (!Double.isNaN(timeS)) {
            Check.positive("timeS", timeS);
        }
        if (!Double.isNaN(rmsMm)) {
            Check.notNegative("rmsMm", rmsMm);
        }
        if (!Double.isNaN(lostMm)) {
            Check.notNegative("lostMm", lostMm);
        }
    }

    /** A run of which only the time was taken, or not even that. */
    public static Outcome of(boolean completed, double timeS) {
        return new Outcome(completed, timeS, Double.NaN, Stop.UNKNOWN, Double.NaN, Optional.empty(), Optional.empty());
    }

    public Outcome withCompleted(boolean newCompleted) {
        return new Outcome(newCompleted, timeS, rmsMm, stop, lostMm, seen, wiggles);
    }

    public Outcome withTimeS(double newTimeS) {
        return new Outcome(completed, newTimeS, rmsMm, stop, lostMm, seen, wiggles);
    }

    public Outcome withRmsMm(double newRmsMm) {
        return new Outcome(completed, timeS, newRmsMm, stop, lostMm, seen, wiggles);
    }

    public Outcome withStop(double alongMm, double acrossMm) {
        return new Outcome(completed, timeS, rmsMm, new Stop(alongMm, acrossMm), lostMm, seen, wiggles);
    }

    public Outcome withLostMm(double newLostMm) {
        return new Outcome(completed, timeS, rmsMm, stop, newLostMm, seen, wiggles);
    }

    public Outcome withSeen(Seen newSeen) {
        return new Outcome(completed, timeS, rmsMm, stop, lostMm, Optional.of(newSeen), wiggles);
    }

    public Outcome withWiggles(Wiggles counted) {
        return new Outcome(completed, timeS, rmsMm, stop, lostMm, seen, Optional.of(counted));
    }

    /** NaN equals NaN here, so that two of which as little was measured are alike. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Outcome that
                && completed == that.completed
                && Double.compare(timeS, that.timeS) == 0
                && Double.compare(rmsMm, that.rmsMm) == 0
                && stop.equals(that.stop)
                && Double.compare(lostMm, that.lostMm) == 0
                && seen.equals(that.seen)
                && wiggles.equals(that.wiggles);
    }

    @Override
    public int hashCode() {
        return 31 * Double.hashCode(timeS) + stop.hashCode();
    }
}
