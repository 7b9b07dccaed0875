package fahrbahn.core.setup;

import fahrbahn.core.check.Check;

/**
 * The control law, in the numbers of the team's own program. Per tick, with the error in scale units and the steering u in
 * command units: {@code u = kp*err + ki*sum(err) + kd*(err - previous err)}. All three gains are per loop.
 *
 * @param side the edge that is ridden; without meaning for the others
 * @param target the scaled reading that is steered to on an edge; the level between line and ground for patterns whose sensors have no own
 *     thresholds; without meaning for a pair and the arrays
 * @param baseCommand command of both wheels when going straight; above 0
 * @param options what goes beyond an error and three gains
 */
public record Law(
        Kind kind,
        Side side,
        Scale scale,
        double target,
        double kp,
        double ki,
        double kd,
        double baseCommand,
        Options options) {
    /** What is made into the error. */
    public enum Kind {
        /** The first sensor rides an edge: error is its scaled reading less the target. */
        EDGE("edge", 1),
        /** The first and the last sensor straddle the line: error is left less right, scaled. */
        PAIR("pair", 2),
        /** All sensors: error is the mean of their weights, each counted by how much line it sees. */
        ARRAY_MEAN("array-mean", 3),
        /** All sensors: error is the sum of their scaled readings, each times its weight. No division. */
        ARRAY_DIFFERENCE("array-difference", 3),
        /** All sensors, each compared with the target: the pattern chooses the steering. There is no error and no gain. */
        PATTERN("pattern", 2);

        private final String word;
        private final int leastSensors;

        Kind(String word, int leastSensors) {
            this.word = word;
            this.leastSensors = leastSensors;
        }

        /** That follow the line, emergency sensors not counted. On and off, two make four patterns: the oldest line follower there is. */
        public int leastSensors() {
            return leastSensors;
        }

        /** The word used in setup files. */
        public String word() {
            return word;
        }

        /** Whether the law listens to a whole row of sensors. */
        public boolean array() {
            return this == ARRAY_MEAN || this == ARRAY_DIFFERENCE || this == PATTERN;
        }
    }

    /** A law of an error and three gains. */
    public Law(Kind kind, Side side, Scale scale, double target, double kp, double ki, double kd, double baseCommand) {
        this(kind, side, scale, target, kp, ki, kd, baseCommand, Options.PLAIN);
    }

    public Law {
        Check.within("target", target, Bounds.NUMBER);
        Check.notNegative("kp", kp, Bounds.NUMBER);
        Check.notNegative("ki", ki, Bounds.NUMBER);
        Check.notNegative("kd", kd, Bounds.NUMBER);
        Check.positive("baseCommand", baseCommand, Bounds.NUMBER);
    }

    /** Beyond which a sensor of the pattern law sees the line, scale units. @param sensor of those that follow the line, from the left */
    public double threshold(int sensor) {
        return options.thresholds().isEmpty() ? target : options.thresholds().get(sensor);
    }

    public Law withGains(double newKp, double newKi, double newKd) {
        return new Law(kind, side, scale, target, newKp, newKi, newKd, baseCommand, options);
    }

    public Law withBaseCommand(double newBaseCommand) {
        return new Law(kind, side, scale, target, kp, ki, kd, newBaseCommand, options);
    }

    public Law withTarget(double newTarget) {
        return new Law(kind, side, scale, newTarget, kp, ki, kd, baseCommand, options);
    }

    public Law withKind(Kind newKind) {
        return new Law(newKind, side, scale, target, kp, ki, kd, baseCommand, options);
    }

    public Law withSide(Side newSide) {
        return new Law(kind, newSide, scale, target, kp, ki, kd, baseCommand, options);
    }

    public Law withScale(Scale newScale) {
        return new Law(kind, side, newScale, target, kp, ki, kd, baseCommand, options);
    }

    public Law withOptions(Options newOptions) {
        return new Law(kind, side, scale, target, kp, ki, kd, baseCommand, newOptions);
    }
}
