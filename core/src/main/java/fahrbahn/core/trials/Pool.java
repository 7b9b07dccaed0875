package fahrbahn.core.trials;

import fahrbahn.core.difference.Aspect;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.FreshnessRule;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.knowledge.Since;
import fahrbahn.core.statistics.Completion;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;

/**
 * The runs that may be counted together: one source, one table, one venue, one set of wheels, the battery about as full, and a
 * setting that is the same or differs only in what is known better.
 *
 * @param runs in their order
 * @param leftOut how many of the same source are not among them, by what sets them apart; a run set apart by several counts for each
 */
public record Pool(List<Run> runs, Map<Aspect, Integer> leftOut) {
    public Pool {
        runs = List.copyOf(runs);
        leftOut = Map.copyOf(leftOut);
    }

    /**
     * @param groups what has been found of these runs before
     * @param now how things stand, or stood for the run the others are compared with
     */
    public static Pool of(RunGroups groups, List<Run> all, Run.Source source, Basis now) {
        List<RunGroups.Group> groupOf = groups.of(all);
        // What has changed is worked out once a group, not once a run.
        Map<RunGroups.Group, Alike> known = new IdentityHashMap<>();
        Map<Setting, Since> settings = new HashMap<>();
        List<Run> together = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            RunGroups.Group group = groupOf.get(i);
            if (group.source() == source) {
                Alike alike = known.computeIfAbsent(group, g -> new Alike(since(g.basis(), now, settings)));
                alike.runs++;
                if (alike.since.nothing()) {
                    together.add(all.get(i));
                }
            }
        }
        Map<Aspect, Integer> leftOut = new EnumMap<>(Aspect.class);
        for (Alike each : known.values()) {
            each.since.causes().forEach(cause -> leftOut.merge(cause.aspect(), each.runs, Integer::sum));
        }
        return new Pool(together, leftOut);
    }

    /** How many runs rest on the same. */
    private static final class Alike {
        private final Since since;
        private int runs;

        Alike(Since since) {
            this.since = since;
        }
    }

    /** The setting's part costs two wiggle onsets; it is kept for runs that noted no uncertainties, which most share. */
    private static Since since(Basis then, Basis now, Map<Setting, Since> settings) {
        Since ofSetting = then.known().isEmpty()
                ? settings.computeIfAbsent(then.setting().orElseThrow(), s -> Since.ofSetting(then, now))
                : Since.ofSetting(then, now);
        return once(ofSetting.andCircumstances(then, now).only(FreshnessRule.RUNS.minds()));
    }

    /** One cause an aspect: a run set apart by two settings of the law is set apart by the law once. */
    private static Since once(Since since) {
        Map<Aspect, Cause> first = new EnumMap<>(Aspect.class);
        since.causes().forEach(cause -> first.putIfAbsent(cause.aspect(), cause));
        return new Since(List.copyOf(first.values()), since.better());
    }

    public Completion completion() {
        int completed = (int) runs.stream().filter(r -> r.outcome().completed()).count();
        return Completion.of(completed, runs.size());
    }
}
