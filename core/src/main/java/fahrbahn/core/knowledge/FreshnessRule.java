package fahrbahn.core.knowledge;

import fahrbahn.core.difference.Aspect;
import java.time.Duration;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The kinds of results, which changes make each of them out of date, and which others each is worked out from: the table behind every
 * mark in the window, on a card and in a list, and behind docs/freshness.md.
 */
public enum FreshnessRule {
    /** Measured constants; each has changes of its own, see {@link Constant#dependsOn}. */
    ROBOT(Arrays.stream(Constant.values())
            .flatMap(constant -> constant.dependsOn().stream())
            .collect(Collectors.toSet())),
    /** Out of date only when its tightest bend is tighter than the one that the robot is set up for. */
    TABLE(Set.of(Aspect.BEND)),
    /** All that moves readings. */
    CAPTURES(Set.of(Aspect.VENUE, Aspect.LAMP, Aspect.HEIGHT, Aspect.SENSORS, Aspect.AGE)),
    LEVELS(Set.of(Aspect.CAPTURES, Aspect.SURFACES), CAPTURES),
    /** All that moves the loop, and how its gains act. */
    GAINS(and(Shared.LOOP, Aspect.BATTERY), ROBOT),
    /** A run of the twin. */
    DRIVE(and(Shared.LOOP, Aspect.GAINS, Aspect.TABLE), GAINS, ROBOT),
    /** Logged runs count together only while none of these differs; those of the twin rest on the robot's constants as well. */
    RUNS(EnumSet.complementOf(EnumSet.of(Aspect.LAMP, Aspect.CAPTURES, Aspect.AGE)), ROBOT),
    /** What was typed into the robot's program. */
    HAND_OVER(Set.of(Aspect.SURFACES, Aspect.LAW, Aspect.GAINS), LEVELS, GAINS);

    /** Lamps, rain and another hall: a capture from another day is not to be trusted. */
    public static final Duration STAYS = Duration.ofHours(12);

    /** In a class of its own, for rules are made before constants of theirs are. */
    private static final class Shared {
        static final Set<Aspect> LOOP = Set.of(
                Aspect.HEIGHT,
                Aspect.WHEELS,
                Aspect.SENSORS,
                Aspect.LAYOUT,
                Aspect.SURFACES,
                Aspect.DRIVE,
                Aspect.LOOP,
                Aspect.LINE,
                Aspect.BEND,
                Aspect.LAW);
    }

    private final Set<Aspect> minds;
    private final List<FreshnessRule> restsOn;

    FreshnessRule(Set<Aspect> minds, FreshnessRule... restsOn) {
        this.minds = Collections.unmodifiableSet(EnumSet.copyOf(minds));
        this.restsOn = List.of(restsOn);
    }

    private static Set<Aspect> and(Set<Aspect> shared, Aspect... more) {
        return Stream.concat(shared.stream(), Stream.of(more)).collect(Collectors.toSet());
    }

    /** What makes it out of date by itself. */
    public Set<Aspect> minds() {
        return minds;
    }

    /** Results it is worked out from: out of date when one of them is. */
    public List<FreshnessRule> restsOn() {
        return restsOn;
    }

    /** Whether a change makes it out of date, by itself or through what it rests on. */
    public boolean outdatedBy(Aspect change) {
        return minds.contains(change) || restsOn.stream().anyMatch(below -> below.outdatedBy(change));
    }

    /** What has changed since such a result came to be, of what it minds. */
    public Since since(Basis then, Basis now) {
        return Since.of(then, now).aged(then, now, STAYS).only(minds);
    }
}
