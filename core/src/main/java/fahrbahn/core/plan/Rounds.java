package fahrbahn.core.plan;

import fahrbahn.core.plan.Block.What;
import fahrbahn.core.plan.PlanRequest.Team;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** What a crew does, in its order: checks, then rounds, with batteries swapped between rounds where they last for one. */
final class Rounds {
    /** Of a round, or none: what is not a run may be done at any table. */
    static final int NO_ROUND = -1;

    /** @param round that stays on one table */
    record Item(What what, String robot, String setting, double lastsS, int round) {}

    /** A robot with a setting. */
    record Pair(String robot, String setting) {}

    private Rounds() {}

    /**
     * @param done how many runs of a pair have been made before
     * @param random of which the orders are drawn
     */
    static List<Item> of(Team team, Map<Pair, Integer> done, Random random) {
        List<Item> items = new ArrayList<>();
        boolean fresh = done.isEmpty();
        if (fresh && team.checkS() > 0) {
            team.robots().forEach(robot -> items.add(new Item(What.CHECK, robot, "", team.checkS(), NO_ROUND)));
        }
        List<Pair> order = new ArrayList<>();
        int sinceSwap = 0;
        for (int round = 0; round < team.runsEach(); round++) {
            if (round % 2 == 0) {
                order = pairs(team);
                Collections.shuffle(order, random);
            } else {
                Collections.reverse(order);
            }
            int number = round;
            List<Pair> left = order.stream()
                    .filter(pair -> done.getOrDefault(pair, 0) <= number)
                    .toList();
            boolean wouldRunDry = sinceSwap > 0 && sinceSwap + left.size() > team.batteryRuns();
            if (wouldRunDry && left.size() <= team.batteryRuns()) {
                items.add(swap(team));
                sinceSwap = 0;
            }
            for (Pair pair : left) {
                if (sinceSwap >= team.batteryRuns()) {
                    items.add(swap(team));
                    sinceSwap = 0;
                }
                items.add(new Item(What.RUN, pair.robot(), pair.setting(), team.lapS() + team.resetS(), round));
                sinceSwap++;
            }
        }
        return items;
    }

    private static Item swap(Team team) {
        return new Item(What.BATTERY, "", "", team.swapS(), NO_ROUND);
    }

    static List<Pair> pairs(Team team) {
        List<Pair> pairs = new ArrayList<>();
        for (String robot : team.robots()) {
            for (String setting : team.settings()) {
                pairs.add(new Pair(robot, setting));
            }
        }
        return pairs;
    }
}
