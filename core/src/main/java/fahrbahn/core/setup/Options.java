package fahrbahn.core.setup;

import fahrbahn.core.check.Bounds;
import fahrbahn.core.check.Check;
import java.util.List;
import java.util.Optional;

/**
 * Everything a law may have beyond an error and three gains. {@link #PLAIN} has none of it.
 *
 * @param weights of the sensors of an array, from left to right; empty for the usual ones: their places in mm for the weighted
 *     mean, 1, 2, 3 ... outward (positive on the left) for the weighted difference
 * @param steps steering in steps instead of by gains; empty when gains steer
 * @param hysteresis a step is left again only when the error has come back this far below where it begins, scale units
 * @param patterns what the pattern law does with each pattern; others keep the steering there was
 * @param thresholds of the sensors of the pattern law, from left to right, scale units: a sensor sees the line beyond its own; empty where the law's
 *     target is that of all
 * @param turnMarks what it does about marks at crossings; empty when it does not look for them
 * @param obstacle what it does about an obstacle on the line; empty when it runs into it
 */
public record Options(
        List<Double> weights,
        List<Step> steps,
        double hysteresis,
        List<Pattern> patterns,
        List<Double> thresholds,
        LostLine lost,
        Optional<Outer> outer,
        Limits limits,
        Optional<TurnMarks> turnMarks,
        Optional<ObstacleMove> obstacle) {
    public static final Options PLAIN = new Options(
            List.of(),
            List.of(),
            0,
            List.of(),
            List.of(),
            LostLine.IGNORED,
            Optional.empty(),
            Limits.NONE,
            Optional.empty(),
            Optional.empty());

    /**
     * One step of a staircase, the same to both sides.
     *
     * @param aboveError the step begins here, scale units without sign; 0 or more. A single step from 0 is the two-state law, one
     *     from further out the three-state law with a straight zone, several are the graded law
     * @param steering without sign, command units; 0 or more
     */
    public record Step(double aboveError, double steering) {
        public Step {
            Check.notNegative("aboveError", aboveError);
            Check.notNegative("steering", steering);
        }
    }

    /**
     * @param bits what each sensor sees, outer left first: 1 the line, 0 the ground
     * @param steering command units, left positive
     */
    public record Pattern(String bits, double steering) {
        public Pattern {
            Check.text("bits", bits, "a 1 or a 0 for each sensor");
            Check.require(bits.matches("[01]+"), "bits", "\"" + bits + "\"", "ones and zeros only");
            Check.finite("steering", steering);
        }

        /** The bits as one number, outer left bit highest. */
        public int number() {
            return Integer.parseInt(bits, 2);
        }
    }

    /**
     * What to do while no sensor sees the line.
     *
     * @param seenShare a sensor sees the line when at least this share of its spot lies on it; above 0, below 1
     * @param steering how hard to turn back, command units; 0 or more
     * @param gapError when the line was lost, an error up to this, without sign, means a gap: for {@link Action#BY_LOSS}
     */
    public record LostLine(Action action, double seenShare, double steering, double gapError) {
        public static final LostLine IGNORED = new LostLine(Action.NONE, 0.3, 0, 0);

        /** See {@link LostLine}. */
        public enum Action {
            /** The law goes on with what its sensors say. */
            NONE("none"),
            STRAIGHT("straight"),
            /** Turn towards the side where the line was last seen. */
            LAST_SIDE("last-side"),
            /** Straight on over a gap, back to the line in a bend: told apart by the error just before. */
            BY_LOSS("by-loss");

            private final String word;

            Action(String word) {
                this.word = word;
            }

            /** The word used in setup files. */
            public String word() {
                return word;
            }
        }

        public LostLine {
            Check.require(seenShare > 0 && seenShare < 1, "seenShare", seenShare, "above 0 and below 1");
            Check.notNegative("steering", steering);
            Check.notNegative("gapError", gapError);
        }
    }

    /**
     * Two emergency sensors outside the others; the law steers towards the one that meets the line.
     *
     * @param left name of the sensor on the left
     * @param steering command units, above 0
     * @param enterShare it has met the line when this share of its spot lies on it; above 0, below 1
     * @param leaveShare it has left it again when less does; above 0, at most {@code enterShare}
     */
    public record Outer(String left, String right, double steering, double enterShare, double leaveShare) {
        /** Of sensors that meet the line as the others see it. */
        public Outer(String left, String right, double steering) {
            this(left, right, steering, LostLine.IGNORED.seenShare(), LostLine.IGNORED.seenShare());
        }

        public Outer {
            Check.require(enterShare > 0 && enterShare < 1, "enterShare", enterShare, "above 0 and below 1");
            Check.require(
                    leaveShare > 0 && leaveShare <= enterShare,
                    "leaveShare",
                    leaveShare,
                    "above 0 and at most that of entering, " + enterShare);
            Check.text("left", left, "the name of a sensor");
            Check.text("right", right, "the name of a sensor");
            Check.require(!left.equals(right), "right", right, "another sensor than on the left");
            Check.positive("steering", steering);
        }
    }

    /**
     * @param steering largest steering command, either side; above 0, may be infinite
     * @param slowDown share of the base command taken away at the largest steering; 0 to 1
     * @param blankS after all sensors saw the line at once, a crossing, the robot goes straight on for this time; 0 or more
     * @param stopsOnAll once all of two sensors or more see the line at once, those of the pattern law by their thresholds, the robot stops and stays
     *     there
     */
    public record Limits(double steering, double slowDown, double blankS, boolean stopsOnAll) {
        public static final Limits NONE = new Limits(Double.POSITIVE_INFINITY, 0, 0);

        /** Of a robot that rides over crossings. */
        public Limits(double steering, double slowDown, double blankS) {
            this(steering, slowDown, blankS, false);
        }

        public Limits withSteering(double newSteering) {
            return new Limits(newSteering, slowDown, blankS, stopsOnAll);
        }

        public Limits withSlowDown(double newSlowDown) {
            return new Limits(steering, newSlowDown, blankS, stopsOnAll);
        }

        public Limits withBlankS(double newBlankS) {
            return new Limits(steering, slowDown, newBlankS, stopsOnAll);
        }

        public Limits withStopsOnAll(boolean newStopsOnAll) {
            return new Limits(steering, slowDown, blankS, newStopsOnAll);
        }

        public Limits {
            Check.require(steering > 0, "steering", steering, "above 0");
            Check.between("slowDown", slowDown, 0, 1);
            Check.require(
                    slowDown == 0 || Double.isFinite(steering),
                    "slowDown",
                    slowDown,
                    "0 unless the steering has a limit to be in proportion to");
            Check.notNegative("blankS", blankS);
        }
    }

    public Options {
        weights = List.copyOf(weights);
        steps = List.copyOf(steps);
        patterns = List.copyOf(patterns);
        thresholds = List.copyOf(thresholds);
        thresholds.forEach(t -> Check.within("thresholds", t, Bounds.NUMBER));
        for (double weight : weights) {
            Check.finite("weights", weight);
        }
        Check.notNegative("hysteresis", hysteresis);
        for (int i = 1; i < steps.size(); i++) {
            double before = steps.get(i - 1).aboveError();
            double here = steps.get(i).aboveError();
            Check.require(
                    here > before, "steps[" + i + "].aboveError", here, "above that of the step before, " + before);
        }
    }

    /** With everything that is counted in scale units multiplied by a factor. */
    public Options inScale(double factor) {
        List<Step> scaled = steps.stream()
                .map(s -> new Step(s.aboveError() * factor, s.steering()))
                .toList();
        LostLine newLost = new LostLine(lost.action(), lost.seenShare(), lost.steering(), lost.gapError() * factor);
        return new Options(
                weights,
                scaled,
                hysteresis * factor,
                patterns,
                thresholds,
                newLost,
                outer,
                limits,
                turnMarks,
                obstacle);
    }

    /** The same for other sensors: nothing that names or counts them stays. */
    public Options forOtherSensors() {
        return new Options(
                List.of(),
                steps,
                hysteresis,
                List.of(),
                List.of(),
                lost,
                Optional.empty(),
                limits,
                Optional.empty(),
                obstacle);
    }

    public Options withWeights(List<Double> newWeights) {
        return new Options(
                newWeights, steps, hysteresis, patterns, thresholds, lost, outer, limits, turnMarks, obstacle);
    }

    public Options withSteps(List<Step> newSteps, double newHysteresis) {
        return new Options(
                weights, newSteps, newHysteresis, patterns, thresholds, lost, outer, limits, turnMarks, obstacle);
    }

    public Options withPatterns(List<Pattern> newPatterns) {
        return new Options(
                weights, steps, hysteresis, newPatterns, thresholds, lost, outer, limits, turnMarks, obstacle);
    }

    /** @param newThresholds empty for the law's target everywhere */
    public Options withThresholds(List<Double> newThresholds) {
        return new Options(
                weights, steps, hysteresis, patterns, newThresholds, lost, outer, limits, turnMarks, obstacle);
    }

    public Options withLost(LostLine newLost) {
        return new Options(
                weights, steps, hysteresis, patterns, thresholds, newLost, outer, limits, turnMarks, obstacle);
    }

    /** @param newOuter empty for none */
    public Options withOuter(Optional<Outer> newOuter) {
        return new Options(
                weights, steps, hysteresis, patterns, thresholds, lost, newOuter, limits, turnMarks, obstacle);
    }

    public Options withOuter(Outer newOuter) {
        return withOuter(Optional.of(newOuter));
    }

    /** @param newTurnMarks empty when it does not look for marks */
    public Options withTurnMarks(Optional<TurnMarks> newTurnMarks) {
        return new Options(
                weights, steps, hysteresis, patterns, thresholds, lost, outer, limits, newTurnMarks, obstacle);
    }

    /** @param newObstacle empty when it runs into what stands on the line */
    public Options withObstacle(Optional<ObstacleMove> newObstacle) {
        return new Options(
                weights, steps, hysteresis, patterns, thresholds, lost, outer, limits, turnMarks, newObstacle);
    }

    public Options withLimits(Limits newLimits) {
        return new Options(
                weights, steps, hysteresis, patterns, thresholds, lost, outer, newLimits, turnMarks, obstacle);
    }
}
