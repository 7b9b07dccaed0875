package fahrbahn.core.trials;

import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.readings.Conditions;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;

/**
 * Which runs rest on the same, found out once a run: a log book of ten thousand runs that gets one more looks only at that one. Keeps
 * what it has found; safe for use from several threads.
 */
public final class RunGroups {
    private Map<Run, Group> groupOf = new IdentityHashMap<>();
    private Map<Rest, Group> groups = new HashMap<>();

    /** Runs of one source that rest on the same: what has changed since one of them has changed since all. */
    static final class Group {
        private final Run first;

        private Group(Run first) {
            this.first = first;
        }

        Run.Source source() {
            return first.source();
        }

        /** What they rest on, but for the time. */
        Basis basis() {
            return first.basis();
        }
    }

    /** All that decides what has changed since a run, but its time. */
    private record Rest(
            Run.Source source, Setting setting, Map<Constant, Double> known, Conditions conditions, TablePrint table) {
        static Rest of(Run run) {
            Basis basis = run.basis();
            return new Rest(run.source(), run.setting(), basis.known(), basis.conditions(), basis.table());
        }
    }

    /** @return the group of each run, in the order of the runs */
    synchronized List<Group> of(List<Run> runs) {
        if (groupOf.size() > 2 * runs.size()) {
            // Another robot is in hand, or many runs were taken out: those of before are not kept alive.
            groupOf = new IdentityHashMap<>();
            groups = new HashMap<>();
        }
        List<Group> found = new ArrayList<>(runs.size());
        for (Run run : runs) {
            Group group = groupOf.get(run);
            if (group == null) {
                group = groups.computeIfAbsent(Rest.of(run), rest -> new Group(run));
                groupOf.put(run, group);
            }
            found.add(group);
        }
        return found;
    }
}
