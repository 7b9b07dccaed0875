package fahrbahn.core.trials;

import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Since;
import fahrbahn.core.setup.Aspect;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The runs that may be counted together: one source, one table, one venue, one set of wheels, the battery about as full, and a
 * setting that is the same or differs only in what is known better.
 *
 * @param runs in their order
 * @param leftOut how many of the same source are not among them, by what sets them apart; a run set apart by several counts for each
 */
public record Pool(List<Run> runs, Map<Aspect, Integer> leftOut) {
    /** Another of these and a run says little about how it runs now. */
    public static final Set<Aspect> APART = EnumSet.complementOf(EnumSet.of(Aspect.LAMP, Aspect.CAPTURES, Aspect.AGE));

    public Pool {
        runs = List.copyOf(runs);
        leftOut = Map.copyOf(leftOut);
    }

    /** @param now how things stand, or stood for the run the others are compared with */
    public static Pool of(List<Run> all, Run.Source source, Basis now) {
        // What differs in the setting is worked out once for all runs that rest on the same, not once a run.
        Map<List<Object>, Since> settings = new HashMap<>();
        Map<Aspect, Integer> leftOut = new HashMap<>();
        List<Run> together = new ArrayList<>();
        for (Run run : all) {
            if (run.source() == source) {
                Basis then = run.basis();
                Since since = settings.computeIfAbsent(
                                List.of(run.setting(), then.known()), g -> Since.ofSetting(then, now))
                        .andCircumstances(then, now)
                        .only(APART);
                if (since.nothing()) {
                    together.add(run);
                }
                since.aspects().forEach(a -> leftOut.merge(a, 1, Integer::sum));
            }
        }
        return new Pool(together, leftOut);
    }

    public Completion completion() {
        int completed = (int) runs.stream().filter(r -> r.outcome().completed()).count();
        return Completion.of(completed, runs.size());
    }
}
