package fahrbahn.app.freshness;

import fahrbahn.core.difference.Aspect;
import fahrbahn.core.knowledge.Minded;
import fahrbahn.core.trials.Pool;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;

/** Which changes make each station stale. */
final class Minds {
    /** What each station minds by itself; what it inherits from others is said in {@link FreshnessGraph}. */
    static final Map<Station, Set<Aspect>> OF = Map.of(
            Station.ROBOT, Set.of(), // each constant has its own, see Constant.dependsOn
            Station.TABLE, EnumSet.of(Aspect.BEND),
            Station.MEASURE, Minded.BY_CAPTURES,
            Station.LEVELS, EnumSet.of(Aspect.CAPTURES),
            Station.GAINS, Minded.BY_GAINS,
            Station.DRIVE,
                    EnumSet.of(
                            Aspect.HEIGHT,
                            Aspect.WHEELS,
                            Aspect.LAYOUT,
                            Aspect.SURFACES,
                            Aspect.DRIVE,
                            Aspect.LOOP,
                            Aspect.LINE,
                            Aspect.BEND,
                            Aspect.LAW,
                            Aspect.GAINS,
                            Aspect.TABLE),
            Station.RUNS, Pool.APART,
            Station.HANDOVER, Set.of()); // what was handed over is compared number by number

    private Minds() {}
}
