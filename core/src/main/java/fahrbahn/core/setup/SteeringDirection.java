package fahrbahn.core.setup;

import java.util.List;

/**
 * What decides which way a robot turns: while it is the same, a look at it with the robot held over the line holds.
 *
 * @param side of the line whose edge it rides
 * @param lightIsMore of each sensor of the law, left to right: whether light reads higher than dark
 */
public record SteeringDirection(ErrorSignal signal, Side side, Polarity polarity, List<Boolean> lightIsMore) {
    public SteeringDirection {
        lightIsMore = List.copyOf(lightIsMore);
    }

    public static SteeringDirection of(Setup setup) {
        return new SteeringDirection(
                setup.law().signal(),
                setup.law().side(),
                setup.line().polarity(),
                setup.lawSensors().stream().map(s -> s.light() > s.dark()).toList());
    }
}
