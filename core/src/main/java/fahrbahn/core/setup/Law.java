package fahrbahn.core.setup;

import fahrbahn.core.check.Check;

/**
 * The control law, in the numbers of the team's own program. Per tick, with the error in scale units and the steering u in
 * command units: {@code u = kp*err + ki*sum(err) + kd*(err - previous err)}. All three gains are per loop.
 *
 * @param side the edge that is ridden; without meaning for a pair
 * @param target the scaled reading that is steered to; without meaning for a pair
 * @param baseCommand command of both wheels when going straight; above 0
 */
public record Law(
        Kind kind, Side side, Scale scale, double target, double kp, double ki, double kd, double baseCommand) {
    /** What is made into the error. */
    public enum Kind {
        /** The first sensor rides an edge: error is its scaled reading less the target. */
        EDGE("edge"),
        /** The first and the last sensor straddle the line: error is left less right, scaled. */
        PAIR("pair");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        /** The word used in setup files. */
        public String word() {
            return word;
        }
    }

    public Law {
        Check.finite("target", target);
        Check.notNegative("kp", kp);
        Check.notNegative("ki", ki);
        Check.notNegative("kd", kd);
        Check.positive("baseCommand", baseCommand);
    }

    public Law withGains(double newKp, double newKi, double newKd) {
        return new Law(kind, side, scale, target, newKp, newKi, newKd, baseCommand);
    }

    public Law withBaseCommand(double newBaseCommand) {
        return new Law(kind, side, scale, target, kp, ki, kd, newBaseCommand);
    }

    public Law withTarget(double newTarget) {
        return new Law(kind, side, scale, newTarget, kp, ki, kd, baseCommand);
    }
}
