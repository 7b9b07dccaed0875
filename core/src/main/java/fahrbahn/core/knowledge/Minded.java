package fahrbahn.core.knowledge;

import fahrbahn.core.difference.Aspect;
import java.time.Duration;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;

/** What makes results stale that are handed out of the program: captures with the levels from them, and gains. */
public final class Minded {
    /** What captures mind: all that moves readings. */
    public static final Set<Aspect> BY_CAPTURES = Collections.unmodifiableSet(
            EnumSet.of(Aspect.VENUE, Aspect.LAMP, Aspect.HEIGHT, Aspect.AGE, Aspect.LAYOUT));

    /** What gains mind: all that moves the loop. */
    public static final Set<Aspect> BY_GAINS = Collections.unmodifiableSet(EnumSet.of(
            Aspect.BATTERY,
            Aspect.WHEELS,
            Aspect.HEIGHT,
            Aspect.LAYOUT,
            Aspect.SURFACES,
            Aspect.DRIVE,
            Aspect.LOOP,
            Aspect.LINE,
            Aspect.BEND,
            Aspect.LAW));

    /** Lamps, rain and another hall: a capture from another day is not to be trusted. */
    public static final Duration CAPTURES_STAY = Duration.ofHours(12);

    private Minded() {}
}
