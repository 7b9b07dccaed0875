package fahrbahn.core.setup;

import fahrbahn.core.check.Bounds;
import fahrbahn.core.check.Check;

/**
 * What a program does about an obstacle on the line: back off, turn away from it, drive an arc round it until a sensor of the law sees the line, on until
 * the wheels stand over it, and turn back along it. It passes on the given side, all moves with commands and for extents that were set.
 *
 * @param feeler by which the obstacle is found
 * @param at what the feeler reads then: a distance at or below it, a bumper at or above it
 * @param side on which it passes the obstacle
 * @param back straight back first, at the base command; 0 for none
 * @param turn on the spot, away from the line
 * @param turnCommand of the wheels as it turns, one forwards and one backwards; above 0
 * @param arc round it
 * @param on straight on, at the base command, once a sensor has met the line
 * @param straighten on the spot, back along the line
 */
public record ObstacleMove(
        Feeler feeler,
        double at,
        Side side,
        Extent back,
        Extent turn,
        double turnCommand,
        Arc arc,
        Extent on,
        Extent straighten) {
    /** What it is found by. */
    public enum Found {
        /** A bumper: 0 open, 1 closed. */
        TOUCH("touch", "bumper"),
        /** A distance sensor that looks ahead, mm. */
        DISTANCE("distance", "distance");

        private final String word;
        private final String input;

        Found(String word, String input) {
            this.word = word;
            this.input = input;
        }

        /** The word used in setup files. */
        public String word() {
            return word;
        }

        /** Name of its reading among those of the program. */
        public String input() {
            return input;
        }
    }

    /**
     * A bumper or a distance sensor at the robot's front.
     *
     * @param frontMm from the turning point to the front of the robot; above 0
     * @param widthMm of the robot, outside; above 0
     * @param noiseMm standard deviation of a distance; 0 or more, of no meaning for a bumper
     * @param missShare how often a bumper does not close, or a reading of a distance sees nothing; 0 or more, below 1
     */
    public record Feeler(Found found, double frontMm, double widthMm, double noiseMm, double missShare) {
        public Feeler {
            Check.positive("frontMm", frontMm, Bounds.ROBOT_MM);
            Check.positive("widthMm", widthMm, Bounds.ROBOT_MM);
            Check.notNegative("noiseMm", noiseMm, Bounds.ROBOT_MM);
            Check.require(missShare >= 0 && missShare < 1, "missShare", missShare, "0 or more, below 1");
        }
    }

    /**
     * @param outside command of the wheel further from the obstacle; above 0
     * @param inside of the other; at most {@code outside}
     * @param most the longest: without the line by then the law takes over where it is
     */
    public record Arc(double outside, double inside, Extent most) {
        public Arc {
            Check.positive("outside", outside, Bounds.NUMBER);
            Check.require(
                    inside >= -outside && inside <= outside, "inside", inside, "no larger than outside, " + outside);
        }
    }

    public ObstacleMove {
        Check.within("at", at, Bounds.NUMBER);
        Check.positive("turnCommand", turnCommand, Bounds.NUMBER);
    }

    /** Whether the feeler's reading says that an obstacle is there. */
    public boolean met(double reading) {
        return feeler.found() == Found.DISTANCE ? reading <= at : reading >= at;
    }

    /** The way away from the line as a sign: 1 to the left. */
    public int way() {
        return side == Side.LEFT ? 1 : -1;
    }
}
