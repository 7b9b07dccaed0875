package fahrbahn.core.trials;

import fahrbahn.core.difference.Cause;
import fahrbahn.core.knowledge.Since;
import java.util.List;

/**
 * What two groups of logged runs did differently: one change at a time can be judged, two cannot be told apart.
 *
 * @param causes differences between the first runs of the groups
 * @param mixed true when a group holds runs that rest on different things
 */
public record WhatChanged(List<Cause> causes, boolean mixed) {
    public WhatChanged {
        causes = List.copyOf(causes);
    }

    /** @param a one run or more, as {@code b} */
    public static WhatChanged between(List<Run> a, List<Run> b) {
        return new WhatChanged(Since.of(a.get(0).basis(), b.get(0).basis()).causes(), mixed(a) || mixed(b));
    }

    private static boolean mixed(List<Run> runs) {
        return runs.stream()
                .anyMatch(r -> !Since.of(runs.get(0).basis(), r.basis()).nothing());
    }
}
