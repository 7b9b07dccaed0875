package fahrbahn.core.trials;

import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.knowledge.Since;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.setup.Aspect;
import fahrbahn.core.setup.Cause;
import java.util.ArrayList;
import java.util.EnumMap;
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
        // What has changed is worked out once for all runs that rest on the same, not once a run.
        Map<Rest, Alike> known = new HashMap<>();
        Map<Setting, Since> settings = new HashMap<>();
        List<Run> together = new ArrayList<>();
        Rest before = null;
        Alike alike = null;
        for (Run run : all) {
            if (run.source() == source) {
                Rest rests = Rest.of(run.basis());
                if (!rests.equals(before)) { // most runs rest on what the one before did, and need not be looked up
                    before = rests;
                    alike = known.computeIfAbsent(rests, rest -> new Alike(since(run.basis(), now, settings)));
                }
                alike.runs++;
                if (alike.since.nothing()) {
                    together.add(run);
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

    /** All that decides what has changed since a run, but its time. */
    private record Rest(Setting setting, Map<Constant, Double> known, Conditions conditions, TablePrint table) {
        static Rest of(Basis basis) {
            return new Rest(basis.setting().orElseThrow(), basis.known(), basis.conditions(), basis.table());
        }
    }

    /** The setting's part costs two wiggle onsets; it is kept for runs that noted no uncertainties, which most share. */
    private static Since since(Basis then, Basis now, Map<Setting, Since> settings) {
        Since ofSetting = then.known().isEmpty()
                ? settings.computeIfAbsent(then.setting().orElseThrow(), s -> Since.ofSetting(then, now))
                : Since.ofSetting(then, now);
        return once(ofSetting.andCircumstances(then, now).only(APART));
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
