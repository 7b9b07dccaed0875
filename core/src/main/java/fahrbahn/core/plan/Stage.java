package fahrbahn.core.plan;

import fahrbahn.core.check.Check;
import fahrbahn.core.plan.Block.What;
import java.util.HashSet;
import java.util.List;

/**
 * Runs that are compared with each other: all of them are made before the next stage begins, in rounds in which each pair of a robot and a setting
 * has its turn once.
 *
 * @param what kind of runs
 * @param pairs one or more, each once
 * @param runsEach of each pair, 0 or more
 */
public record Stage(What what, List<Pair> pairs, int runsEach) {
    /** A robot with a setting. */
    public record Pair(String robot, String setting) {}

    public Stage {
        Check.require(what.isRun(), "what", "'" + what.word() + "'", "a kind of run");
        Check.between("runsEach", runsEach, 0, PlanRequest.MOST_RUNS);
        Check.require(!pairs.isEmpty(), "settings", "none", "one or more");
        Check.require(new HashSet<>(pairs).size() == pairs.size(), "settings", pairs.toString(), "each once");
        pairs = List.copyOf(pairs);
    }

    /** Every robot with every setting. */
    public static Stage of(What what, List<String> robots, List<String> settings, int runsEach) {
        List<Pair> pairs = robots.stream()
                .flatMap(robot -> settings.stream().map(setting -> new Pair(robot, setting)))
                .toList();
        return new Stage(what, pairs, runsEach);
    }

    double runs() {
        return (double) runsEach * pairs.size();
    }
}
