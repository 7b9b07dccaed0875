package fahrbahn.core.quality;

import fahrbahn.core.difference.Aspect;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.FreshnessRule;
import fahrbahn.core.readings.Capture;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The captures of dark and light that count, and whether they still hold.
 *
 * @param sensors that the robot reads with; empty while it is not known
 * @param dark the newest of each sensor with the lamps on
 * @param light of light
 */
public record Captured(List<String> sensors, List<Capture> dark, List<Capture> light) {
    public Captured {
        sensors = List.copyOf(sensors);
        dark = List.copyOf(dark);
        light = List.copyOf(light);
    }

    /** @param captures of the robot, oldest first */
    public static Captured of(List<Capture> captures, List<String> sensors) {
        return new Captured(
                sensors,
                Survey.counting(captures, Capture.DARK, sensors),
                Survey.counting(captures, Capture.LIGHT, sensors));
    }

    public Stream<Capture> all() {
        return Stream.concat(dark.stream(), light.stream());
    }

    /** The surface that was never captured; light first. */
    public Optional<String> missing() {
        return light.isEmpty()
                ? Optional.of(Capture.LIGHT)
                : dark.isEmpty() ? Optional.of(Capture.DARK) : Optional.empty();
    }

    /** What both rest on: the circumstances of the older; empty while one is missing. */
    public Optional<Basis> basis() {
        return missing().isPresent()
                ? Optional.empty()
                : all().min(Comparator.comparing(Capture::at)).map(c -> Basis.of(c.at(), c.conditions()));
    }

    /** Why they do not hold any more; empty while they do, and while one is missing. */
    public List<Cause> outdatedSince(Basis now) {
        Optional<Basis> then = basis();
        if (then.isEmpty()) {
            return List.of();
        }
        List<Cause> causes =
                new ArrayList<>(FreshnessRule.CAPTURES.since(then.get(), now).causes());
        int captured = (int)
                sensors.stream().filter(s -> has(dark, s) && has(light, s)).count();
        if (captured < sensors.size()) {
            causes.add(Cause.circumstance(Aspect.SENSORS, "sensors captured", captured, sensors.size()));
        }
        return causes;
    }

    private static boolean has(List<Capture> captures, String sensor) {
        return captures.stream().anyMatch(c -> c.sensors().contains(sensor));
    }
}
