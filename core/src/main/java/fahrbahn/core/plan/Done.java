package fahrbahn.core.plan;

import fahrbahn.core.plan.Block.What;
import fahrbahn.core.plan.Stage.Pair;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What a crew has done of a plan. */
final class Done {
    /** A kind of run of a robot with a setting. */
    record Ran(What what, String robot, String setting) {
        static Ran of(Block block) {
            return new Ran(block.what(), block.robot(), block.setting());
        }

        static Ran of(What what, Pair pair) {
            return new Ran(what, pair.robot(), pair.setting());
        }
    }

    private final Map<Ran, Integer> runs = new HashMap<>();
    private final Set<String> checked = new HashSet<>();
    private double calibratedS = Double.NEGATIVE_INFINITY;
    private double freeS;
    private int sinceSwap;

    /** @param blocks of all crews */
    Done(List<Block> blocks, String team) {
        blocks.stream()
                .filter(block -> block.team().equals(team))
                .sorted(Comparator.comparingDouble(Block::startS))
                .forEach(this::add);
    }

    private void add(Block block) {
        freeS = Math.max(freeS, block.endS());
        if (block.what().isRun()) {
            runs.merge(Ran.of(block), 1, Integer::sum);
            sinceSwap++;
        }
        switch (block.what()) {
            case BATTERY -> sinceSwap = 0;
            case CALIBRATE -> calibratedS = block.startS();
            default -> checked.add(block.robot()); // a robot that has run needs no check any more
        }
    }

    int runs(What what, Pair pair) {
        return runs.getOrDefault(Ran.of(what, pair), 0);
    }

    boolean checked(String robot) {
        return checked.contains(robot);
    }

    /** When the last of it was over. */
    double freeS() {
        return freeS;
    }

    /** Runs since a battery was swapped. */
    int sinceSwap() {
        return sinceSwap;
    }

    /** Whether surfaces were captured again after the lamps changed. */
    boolean calibratedSince(double lampS) {
        return calibratedS >= lampS;
    }
}
