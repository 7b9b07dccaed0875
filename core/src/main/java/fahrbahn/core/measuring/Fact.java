package fahrbahn.core.measuring;

import fahrbahn.core.readings.Conditions;
import java.time.Instant;
import java.util.List;

/**
 * A constant that has been measured: what, when, from which entries, under which circumstances.
 *
 * @param entries as the coach typed or the app took them, in words
 * @param loopPeriodS loop time of the robot then: the lag was told by it
 */
public record Fact(
        Constant constant,
        Measured measured,
        Instant at,
        List<String> entries,
        Conditions conditions,
        double loopPeriodS) {
    public Fact {
        entries = List.copyOf(entries);
    }

    /** Why it does not hold any more, in words to read after "since"; empty while it does. */
    public List<String> staleSince(Conditions now, double loopPeriodSNow) {
        List<String> reasons = new java.util.ArrayList<>(conditions.changesTo(now).stream()
                .filter(change -> constant.dependsOn().contains(change.matter()))
                .map(Conditions.Change::words)
                .toList());
        if (constant == Constant.LAG && loopPeriodSNow != loopPeriodS) {
            reasons.add("the loop takes %.3g ms and took %.3g".formatted(1000 * loopPeriodSNow, 1000 * loopPeriodS));
        }
        return List.copyOf(reasons);
    }
}
