package fahrbahn.core.plan;

import fahrbahn.core.check.Check;
import fahrbahn.core.plan.Block.What;
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
    /**
     * A robot with a setting.
     *
     * @param setting in words, as crews call it
     * @param asked which of its numbers a run must have to count
     */
    public record Pair(String robot, String setting, Asked asked) {
        /** Of which words alone are known. */
        public Pair(String robot, String setting) {
            this(robot, setting, Asked.ANYTHING);
        }

        boolean is(Block block) {
            return robot.equals(block.robot()) && setting.equals(block.setting());
        }
    }

    public Stage {
        Check.require(what.isRun(), "what", "'" + what.word() + "'", "a kind of run");
        Check.between("runsEach", runsEach, 0, PlanRequest.MOST_RUNS);
        Check.require(!pairs.isEmpty(), "settings", "none", "one or more");
        long different = pairs.stream()
                .map(p -> List.of(p.robot(), p.setting()))
                .distinct()
                .count();
        Check.require(different == pairs.size(), "settings", pairs.toString(), "each once");
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
