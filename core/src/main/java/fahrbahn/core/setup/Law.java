package fahrbahn.core.setup;

import fahrbahn.core.check.Bounds;
import fahrbahn.core.check.Check;

/**
 * The control law, in the numbers of the team's own program. Per tick, with the error in scale units and the steering u in
 * command units: {@code u = kp*err + ki*sum(err) + kd*(err - previous err)}. All three gains are per loop.
 *
 * @param signal what is made into the error
 * @param side the edge that is ridden; without meaning for the others
 * @param target the scaled reading that is steered to on an edge; the level between line and ground for patterns whose sensors have no own
 *     thresholds; without meaning for a pair and the arrays
 * @param baseCommand command of both wheels when going straight; above 0
 * @param options what goes beyond an error and three gains
 */
public record Law(
        ErrorSignal signal,
        Side side,
        Scale scale,
        double target,
        double kp,
        double ki,
        double kd,
        double baseCommand,
        Options options) {
    /** How the {@link ErrorSignal} becomes steering. */
    public enum Steering {
        /** In proportion to the error, its sum and its change. */
        GAINS,
        /** A staircase over the error, see {@link Options#steps}. */
        STEPS,
        /** By pattern, see {@link Options#patterns}: there is no error. */
        TABLE
    }

    /** A law of an error and three gains. */
    public Law(
            ErrorSignal signal,
            Side side,
            Scale scale,
            double target,
            double kp,
            double ki,
            double kd,
            double baseCommand) {
        this(signal, side, scale, target, kp, ki, kd, baseCommand, Options.PLAIN);
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

    /** How the signal becomes steering. */
    public Steering steering() {
        return !signal.hasError() ? Steering.TABLE : options.steps().isEmpty() ? Steering.GAINS : Steering.STEPS;
    }

    public Law withGains(double newKp, double newKi, double newKd) {
        return new Law(signal, side, scale, target, newKp, newKi, newKd, baseCommand, options);
    }

    public Law withBaseCommand(double newBaseCommand) {
        return new Law(signal, side, scale, target, kp, ki, kd, newBaseCommand, options);
    }

    public Law withTarget(double newTarget) {
        return new Law(signal, side, scale, newTarget, kp, ki, kd, baseCommand, options);
    }

    public Law withSignal(ErrorSignal newSignal) {
        return new Law(newSignal, side, scale, target, kp, ki, kd, baseCommand, options);
    }

    public Law withSide(Side newSide) {
        return new Law(signal, newSide, scale, target, kp, ki, kd, baseCommand, options);
    }

    public Law withScale(Scale newScale) {
        return new Law(signal, side, newScale, target, kp, ki, kd, baseCommand, options);
    }

    public Law withOptions(Options newOptions) {
        return new Law(signal, side, scale, target, kp, ki, kd, baseCommand, newOptions);
    }
}
