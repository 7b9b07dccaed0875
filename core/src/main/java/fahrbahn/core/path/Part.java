package fahrbahn.core.path;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import java.util.List;

/** A piece of a course; each begins where the one before it ends, in the same direction. Lengths run along the surface. */
public sealed interface Part {
    /** The path through this part. */
    List<Leg> legs();

    /** Length along the line's centre, mm. */
    default double lengthMm() {
        return legs().stream().mapToDouble(Leg::lengthMm).sum();
    }

    /** Which way a corner, a crossing or a mark points. */
    enum Turn {
        LEFT("left", 1),
        STRAIGHT("straight", 0),
        RIGHT("right", -1),
        /** Back the way it came: where a course ends. */
        ROUND("round", 0);

        private final String word;
        private final int sign;

        Turn(String word, int sign) {
            this.word = word;
            this.sign = sign;
        }

        /** The word used in course files. */
        public String word() {
            return word;
        }

        /** Sign of the turn: +1 to the left. */
        public int sign() {
            return sign;
        }
    }

    /** @param lengthMm above 0 */
    record Straight(double lengthMm) implements Part {
        public Straight {
            Check.positive("lengthMm", lengthMm);
        }

        @Override
        public List<Leg> legs() {
            return List.of(Leg.straight(lengthMm));
        }
    }

    /**
     * A circular bend.
     *
     * @param radiusMm of the line's centre, above 0
     * @param angleRad positive to the left; not 0, at most a full turn
     */
    record Bend(double radiusMm, double angleRad) implements Part {
        public Bend {
            checkBend(radiusMm, angleRad);
        }

        @Override
        public List<Leg> legs() {
            return List.of(Leg.bend(radiusMm, angleRad));
        }
    }

    /**
     * A sharp corner of a quarter turn.
     *
     * @param armMm straight line before and after it, above 0
     */
    record RightAngle(Turn turn, double armMm) implements Part {
        public RightAngle {
            Check.positive("armMm", armMm);
            if (turn.sign() == 0) {
                throw new BadValueException("turn", turn.word(), "left or right");
            }
        }

        @Override
        public List<Leg> legs() {
            return List.of(new Leg(armMm, 0, turn.sign() * Math.PI / 2, true), Leg.straight(armMm));
        }
    }

    /** Two bends that undo each other's turn. @param angleRad of the first, positive to the left */
    record SwingOver(double radiusMm, double angleRad) implements Part {
        public SwingOver {
            checkBend(radiusMm, angleRad);
        }

        @Override
        public List<Leg> legs() {
            return List.of(Leg.bend(radiusMm, angleRad), Leg.bend(radiusMm, -angleRad));
        }
    }

    /** A straight piece without line. @param lengthMm above 0 */
    record Gap(double lengthMm) implements Part {
        public Gap {
            Check.positive("lengthMm", lengthMm);
        }

        @Override
        public List<Leg> legs() {
            return List.of(Leg.bare(lengthMm));
        }
    }

    /**
     * Two lines that cross at a right angle.
     *
     * @param armMm line from the middle to each of the four sides, above 0
     * @param way the way the course goes on from the middle; where it is turned round the course ends
     * @param marks where turn marks stand
     */
    record Crossing(double armMm, Turn way, Marks marks) implements Part {
        public Crossing {
            Check.positive("armMm", armMm);
        }

        /** @param marked with the marks that tell its way, or that are there to be passed over */
        public Crossing(double armMm, Turn way, boolean marked) {
            this(armMm, way, marked ? Marks.usual(way) : Marks.NONE);
        }

        @Override
        public List<Leg> legs() {
            return List.of(new Leg(armMm, 0, way.sign() * Math.PI / 2, true), Leg.straight(armMm));
        }
    }

    /** On which sides of the line marks stand. */
    enum Sides {
        NONE("none", false, false),
        LEFT("left", true, false),
        RIGHT("right", false, true),
        BOTH("both", true, true);

        private final String word;
        private final boolean left;
        private final boolean right;

        Sides(String word, boolean left, boolean right) {
            this.word = word;
            this.left = left;
            this.right = right;
        }

        /** The word used in course files. */
        public String word() {
            return word;
        }

        public boolean has(boolean onLeft) {
            return onLeft ? left : right;
        }

        /** What marks there mean. */
        public Turn meaning() {
            return left && right ? Turn.ROUND : left ? Turn.LEFT : right ? Turn.RIGHT : Turn.STRAIGHT;
        }
    }

    /**
     * Coloured squares in the corners of a crossing.
     *
     * @param before the middle, as the robot comes
     * @param behind the middle
     */
    record Marks(Sides before, Sides behind) {
        public static final Marks NONE = new Marks(Sides.NONE, Sides.NONE);

        /** Before the middle what tells the way; for straight on both behind it, where they do not count. */
        public static Marks usual(Turn way) {
            return switch (way) {
                case LEFT -> new Marks(Sides.LEFT, Sides.NONE);
                case RIGHT -> new Marks(Sides.RIGHT, Sides.NONE);
                case ROUND -> new Marks(Sides.BOTH, Sides.NONE);
                case STRAIGHT -> new Marks(Sides.NONE, Sides.BOTH);
            };
        }
    }

    /** A rounded ridge across the line. @param lengthMm along the line, above 0 @param heightMm 0 to 30 */
    record Bump(double lengthMm, double heightMm) implements Part {
        public Bump {
            Check.positive("lengthMm", lengthMm);
            Check.between("heightMm", heightMm, 0, 30);
        }

        @Override
        public List<Leg> legs() {
            return List.of(Leg.straight(lengthMm));
        }
    }

    /** A slope. @param lengthMm along the slope, above 0 @param slopeRad upwards positive; at most 0.6 (34 degrees) either way */
    record Ramp(double lengthMm, double slopeRad) implements Part {
        public Ramp {
            Check.positive("lengthMm", lengthMm);
            Check.between("slopeRad", slopeRad, -0.6, 0.6);
        }

        @Override
        public List<Leg> legs() {
            return List.of(Leg.straight(lengthMm));
        }
    }

    /** A fold of the mat across the line, a little raised and shiny. @param heightMm 0 to 10 */
    record Crease(double lengthMm, double heightMm) implements Part {
        public Crease {
            Check.positive("lengthMm", lengthMm);
            Check.between("heightMm", heightMm, 0, 10);
        }

        @Override
        public List<Leg> legs() {
            return List.of(Leg.straight(lengthMm));
        }
    }

    /**
     * A thing that stands on the line, half way along this part, to be driven round.
     *
     * @param lengthMm along the line, at least as long as the thing is wide
     * @param radiusMm of the thing seen from above, above 0
     */
    record Obstacle(double lengthMm, double radiusMm) implements Part {
        public Obstacle {
            Check.positive("radiusMm", radiusMm);
            Check.require(lengthMm >= 2 * radiusMm, "lengthMm", lengthMm, "at least twice the radius");
        }

        @Override
        public List<Leg> legs() {
            return List.of(Leg.straight(lengthMm));
        }
    }

    /** A shiny strip across the line at the entry of a zone. @param lengthMm along the line, above 0 */
    record EntryStrip(double lengthMm) implements Part {
        public EntryStrip {
            Check.positive("lengthMm", lengthMm);
        }

        @Override
        public List<Leg> legs() {
            return List.of(Leg.straight(lengthMm));
        }
    }

    /** A coloured strip across the line; the run is over where it begins. @param lengthMm along the line, above 0 */
    record StopStrip(double lengthMm) implements Part {
        public StopStrip {
            Check.positive("lengthMm", lengthMm);
        }

        @Override
        public List<Leg> legs() {
            return List.of(Leg.straight(lengthMm));
        }
    }

    /** The line is over; bare ground to come to rest on. @param lengthMm above 0 */
    record End(double lengthMm) implements Part {
        public End {
            Check.positive("lengthMm", lengthMm);
        }

        @Override
        public List<Leg> legs() {
            return List.of(Leg.bare(lengthMm));
        }
    }

    private static void checkBend(double radiusMm, double angleRad) {
        Check.positive("radiusMm", radiusMm);
        Check.between("angleRad", Math.abs(angleRad), 0, 2 * Math.PI);
        if (angleRad == 0) {
            throw new BadValueException("angleRad", angleRad, "other than 0; use a straight");
        }
    }
}
