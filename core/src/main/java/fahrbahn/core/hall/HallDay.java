package fahrbahn.core.hall;

import fahrbahn.core.check.Check;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumMap;
import java.util.Map;
import java.util.Set;

/**
 * A robot's minutes in a new hall.
 *
 * @param minutes that there are, from the beginning; above 0, at most a day
 * @param done when each step was
 */
public record HallDay(Instant begun, double minutes, Map<HallStep, Instant> done) {
    private static final double MOST_MINUTES = 24 * 60;

    public HallDay {
        Check.positive("minutes", minutes);
        Check.between("minutes", minutes, 0, MOST_MINUTES);
        done = Map.copyOf(done);
    }

    public static HallDay begun(Instant now, double minutes) {
        return new HallDay(now, minutes, Map.of());
    }

    public HallDay with(HallStep step, Instant at) {
        Map<HallStep, Instant> all = new EnumMap<>(HallStep.class);
        all.putAll(done);
        all.put(step, at);
        return new HallDay(begun, minutes, all);
    }

    /** The same as if a step had not been done. */
    public HallDay without(HallStep step) {
        Map<HallStep, Instant> all = new EnumMap<>(HallStep.class);
        all.putAll(done);
        all.remove(step);
        return new HallDay(begun, minutes, all);
    }

    public Set<HallStep> steps() {
        return done.keySet();
    }

    /** Seconds until the robot must start; negative after that. */
    public double leftS(Instant now) {
        return 60 * minutes - Duration.between(begun, now).toMillis() / 1000.0;
    }
}
