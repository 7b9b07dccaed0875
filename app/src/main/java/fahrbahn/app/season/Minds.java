package fahrbahn.app.season;

import fahrbahn.core.setup.Aspect;
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
            Station.MEASURE, EnumSet.of(Aspect.VENUE, Aspect.LAMP, Aspect.HEIGHT, Aspect.AGE, Aspect.LAYOUT),
            Station.LEVELS, EnumSet.of(Aspect.CAPTURES),
            Station.GAINS,
                    EnumSet.of(
                            Aspect.BATTERY,
                            Aspect.WHEELS,
                            Aspect.HEIGHT,
                            Aspect.LAYOUT,
                            Aspect.SURFACES,
                            Aspect.DRIVE,
                            Aspect.LOOP,
                            Aspect.LINE,
                            Aspect.BEND,
                            Aspect.LAW),
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
            Station.RUNS, Pool.APART);

    private Minds() {}
}
