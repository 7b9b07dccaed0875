package fahrbahn.core.plan;

import fahrbahn.core.plan.Block.What;
import fahrbahn.core.plan.PlanRequest.Team;
import fahrbahn.core.plan.Stage.Pair;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;

/** What a crew does, in its order: checks, then its stages in rounds, with batteries swapped between rounds where they last for one. */
final class Rounds {
    /** Of a round, or none: what is not a run may be done at any table. */
    static final int NO_ROUND = -1;

    /** @param round that stays on one table */
    record Item(What what, String robot, String setting, double lastsS, int round) {}

    private final Team team;
    private final Done done;
    private final Random random;
    private final List<Item> items = new ArrayList<>();
    private int sinceSwap;
    private int round;

    private Rounds(Team team, Done done, Random random) {
        this.team = team;
        this.done = done;
        this.random = random;
        this.sinceSwap = done.sinceSwap();
    }

    /**
     * @param done what has been done before
     * @param random of which the orders are drawn
     */
    static List<Item> of(Team team, Done done, Random random) {
        Rounds rounds = new Rounds(team, done, random);
        rounds.checks();
        team.stages().forEach(rounds::stage);
        return rounds.items;
    }

    private void checks() {
        if (team.checkS() > 0) {
            team.robots().stream()
                    .filter(robot -> !done.checked(robot))
                    .forEach(robot -> items.add(new Item(What.CHECK, robot, "", team.checkS(), NO_ROUND)));
        }
    }

    private void stage(Stage stage) {
        List<Pair> order = new ArrayList<>();
        for (int i = 0; i < stage.runsEach(); i++, round++) {
            if (i % 2 == 0) {
                order = new ArrayList<>(stage.pairs());
                Collections.shuffle(order, random);
            } else {
                Collections.reverse(order);
            }
            int number = i;
            round(
                    stage.what(),
                    order.stream()
                            .filter(pair -> done.runs(stage.what(), pair) <= number)
                            .toList());
        }
    }

    private void round(What what, List<Pair> left) {
        boolean wouldRunDry = sinceSwap > 0 && sinceSwap + left.size() > team.batteryRuns();
        if (wouldRunDry && left.size() <= team.batteryRuns()) {
            swap();
        }
        for (Pair pair : left) {
            if (sinceSwap >= team.batteryRuns()) {
                swap();
            }
            items.add(new Item(what, pair.robot(), pair.setting(), team.lapS() + team.resetS(), round));
            sinceSwap++;
        }
    }

    private void swap() {
        items.add(new Item(What.BATTERY, "", "", team.swapS(), NO_ROUND));
        sinceSwap = 0;
    }
}
