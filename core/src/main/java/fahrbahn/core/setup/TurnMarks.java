package fahrbahn.core.setup;

import fahrbahn.core.check.Bounds;
import fahrbahn.core.check.Check;
import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourScale;

/**
 * Coloured marks beside the line at a crossing and what the program does about them: one on the left means left, one on the right right,
 * both mean turn round, none means straight on.
 *
 * @param left colour sensor that looks for marks on the left
 * @param colours what a reading is taken for
 * @param mark name of the turn marks among its surfaces
 * @param reads how many reads in a row must show a mark before it is believed, 1 to 1000
 * @param lookBack a mark before the crossing counts when it was last seen no longer ago; behind it, how long it is looked for
 * @param blank straight on after a crossing, and no mark or crossing counts for so long after a turn
 * @param place where marks count
 */
public record TurnMarks(
        Looker left,
        Looker right,
        ColourRule colours,
        String mark,
        int reads,
        Extent lookBack,
        Extent blank,
        Place place,
        Manoeuvre turn) {
    private static final int MOST_READS = 1000;

    /** Where, seen as the robot comes, a mark has to stand to count. */
    public enum Place {
        BEFORE("before"),
        BEHIND("behind");

        private final String word;

        Place(String word) {
            this.word = word;
        }

        /** The word used in setup files. */
        public String word() {
            return word;
        }
    }

    /** @param sensor name of a sensor of the robot @param scale of its channels */
    public record Looker(String sensor, ColourScale scale) {
        public Looker {
            Check.text("sensor", sensor, "the name of a sensor");
        }
    }

    /**
     * A turn: straight on until the wheels stand over the crossing, then round on the spot.
     *
     * @param ahead straight on first, counted from where the crossing was noticed
     * @param command of the outer wheel, the inner one runs as fast backwards; above 0
     * @param quarter how long a quarter turn takes; half a turn takes twice as long
     */
    public record Manoeuvre(Extent ahead, double command, Extent quarter) {
        public Manoeuvre {
            Check.positive("command", command, Bounds.NUMBER);
        }
    }

    public TurnMarks {
        Check.require(
                !left.sensor().equals(right.sensor()), "right", right.sensor(), "another sensor than on the left");
        Check.text("mark", mark, "the name of a surface");
        Check.require(
                colours.indexOf(mark) >= 0,
                "mark",
                mark,
                "one of the surfaces its colours know: "
                        + colours.known().stream()
                                .map(ColourRule.Known::surface)
                                .toList());
        Check.between("reads", reads, 1, MOST_READS);
    }

    public TurnMarks withReads(int newReads) {
        return new TurnMarks(left, right, colours, mark, newReads, lookBack, blank, place, turn);
    }

    public TurnMarks withLookBack(Extent newLookBack) {
        return new TurnMarks(left, right, colours, mark, reads, newLookBack, blank, place, turn);
    }

    public TurnMarks withBlank(Extent newBlank) {
        return new TurnMarks(left, right, colours, mark, reads, lookBack, newBlank, place, turn);
    }

    public TurnMarks withPlace(Place newPlace) {
        return new TurnMarks(left, right, colours, mark, reads, lookBack, blank, newPlace, turn);
    }

    public TurnMarks withTurn(Manoeuvre newTurn) {
        return new TurnMarks(left, right, colours, mark, reads, lookBack, blank, place, newTurn);
    }

    public TurnMarks withColours(ColourRule newColours, Looker newLeft, Looker newRight) {
        return new TurnMarks(newLeft, newRight, newColours, mark, reads, lookBack, blank, place, turn);
    }
}
