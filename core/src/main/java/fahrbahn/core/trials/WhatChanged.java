package fahrbahn.core.trials;

import fahrbahn.core.setup.SetupDifference;
import java.util.ArrayList;
import java.util.List;

/**
 * What two groups of logged runs did differently: one change at a time can be judged, two cannot be told apart.
 *
 * @param differences between the setups of the first runs of the groups, and their courses
 * @param mixed true when a group holds runs of several setups
 */
public record WhatChanged(List<SetupDifference> differences, boolean mixed) {
    public WhatChanged {
        differences = List.copyOf(differences);
    }

    /** @param a one run or more, as {@code b} */
    public static WhatChanged between(List<RunRecord> a, List<RunRecord> b) {
        List<SetupDifference> found = new ArrayList<>(
                SetupDifference.between(a.get(0).setup(), b.get(0).setup()));
        if (!a.get(0).course().equals(b.get(0).course())) {
            found.add(new SetupDifference("course", a.get(0).course(), b.get(0).course()));
        }
        return new WhatChanged(found, mixed(a) || mixed(b));
    }

    private static boolean mixed(List<RunRecord> runs) {
        return runs.stream()
                .anyMatch(r -> !r.setup().equals(runs.get(0).setup())
                        || !r.course().equals(runs.get(0).course()));
    }

    /** True when a difference between the groups has one possible cause among the settings. */
    public boolean tells() {
        return differences.size() == 1 && !mixed;
    }
}
