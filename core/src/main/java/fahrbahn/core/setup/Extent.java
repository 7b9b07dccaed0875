package fahrbahn.core.setup;

import fahrbahn.core.check.Bounds;
import fahrbahn.core.check.Check;

/**
 * How long something lasts, in what a program counts: loops, milliseconds, or millimetres at the set speed.
 *
 * @param amount 0 or more
 */
public record Extent(double amount, Unit unit) {
    /** What is counted. */
    public enum Unit {
        LOOPS("loops"),
        MS("ms"),
        MM("mm");

        private final String word;

        Unit(String word) {
            this.word = word;
        }

        /** The word used in setup files and on screen. */
        public String word() {
            return word;
        }

        /** How much of it passes in a tick. */
        public double in(double seconds, double speedMmPerS) {
            return switch (this) {
                case LOOPS -> 1;
                case MS -> 1000 * seconds;
                case MM -> speedMmPerS * seconds;
            };
        }
    }

    public Extent {
        Check.notNegative("amount", amount, Bounds.NUMBER);
    }

    /** The same in another unit, at a setup's loop period and speed. */
    public Extent in(Unit other, Setup setup) {
        double period = setup.robot().loop().periodS();
        double speed = setup.speedMmPerS();
        return new Extent(amount / unit.in(period, speed) * other.in(period, speed), other);
    }
}
