package fahrbahn.core.plan;

import fahrbahn.core.check.Text;
import fahrbahn.core.plan.Block.What;
import fahrbahn.core.plan.Done.Ran;
import fahrbahn.core.plan.PlanRequest.Team;
import fahrbahn.core.plan.Rounds.Item;
import fahrbahn.core.plan.Stage.Pair;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * Blocks that do not overlap, and what found no room.
 *
 * @param blocks by their start
 */
public record Plan(List<Block> blocks, List<LeftOut> leftOut) {
    public Plan {
        blocks = List.copyOf(blocks);
        leftOut = List.copyOf(leftOut);
    }

    /** Nothing has been run yet. @param seed of the drawn orders; the same seed gives the same plan */
    public static Plan of(PlanRequest request, long seed) {
        return again(request, List.of(), 0, seed);
    }

    /**
     * The same from a later moment on, for time slips: what has been run stays, the rest is planned anew.
     *
     * @param done blocks that were done, runs among them; until the end of one its table, crew and robot are not free
     * @param fromS no block starts before it
     */
    public static Plan again(PlanRequest request, List<Block> done, double fromS, long seed) {
        List<Crew> crews = new ArrayList<>();
        for (Team team : request.teams()) {
            crews.add(new Crew(request, team, new Done(done, team.name()), fromS, seed + 31L * crews.size()));
        }
        Free free = new Free(fromS);
        done.forEach(free::take);
        List<Block> blocks = new ArrayList<>();
        double endS = 60 * request.minutes();
        while (true) {
            // Who can begin soonest; of those the one with the smallest share of its runs planned.
            Crew next = crews.stream()
                    .filter(Crew::hasMore)
                    .min(Comparator.comparingDouble((Crew crew) -> crew.earliestS(free))
                            .thenComparingDouble(Crew::share))
                    .orElse(null);
            if (next == null) {
                break;
            }
            Block block = next.next(free);
            if (block.endS() > endS) {
                next.stop();
                continue;
            }
            blocks.add(block);
            free.take(block);
            next.planned(block);
        }
        blocks.sort(Comparator.comparingDouble(Block::startS).thenComparing(Block::team));
        List<LeftOut> leftOut = new ArrayList<>();
        crews.forEach(crew -> leftOut.addAll(crew.leftOut(request.minutes())));
        return new Plan(blocks, leftOut);
    }

    /** When tables are free, and robots, which two crews may share. */
    private static final class Free {
        private final double fromS;
        private final Map<String, Double> tables = new HashMap<>();
        private final Map<String, Double> robots = new HashMap<>();

        Free(double fromS) {
            this.fromS = fromS;
        }

        double tableS(String table) {
            return Math.max(fromS, tables.getOrDefault(table, fromS));
        }

        double robotS(String robot) {
            return Math.max(fromS, robots.getOrDefault(robot, fromS));
        }

        void take(Block block) {
            tables.merge(block.table(), block.endS(), Math::max);
            if (!block.robot().isEmpty()) {
                robots.merge(block.robot(), block.endS(), Math::max);
            }
        }
    }

    /** A crew as the plan goes on. */
    private static final class Crew {
        private final PlanRequest request;
        private final Team team;
        private final List<Item> items;
        private final Done done;
        private final Map<Ran, Integer> runs = new HashMap<>();
        private final List<Double> lamps;
        private double freeS;
        private int at;
        private boolean stopped;
        private String table = "";
        private int tableOfRound = Rounds.NO_ROUND;

        Crew(PlanRequest request, Team team, Done done, double fromS, long seed) {
            this.request = request;
            this.team = team;
            this.items = Rounds.of(team, done, new Random(seed));
            this.done = done;
            this.lamps = new ArrayList<>(request.calibrateAtS().stream()
                    .filter(lamp -> !done.calibratedSince(lamp))
                    .toList());
            this.freeS = Math.max(fromS, done.freeS());
        }

        boolean hasMore() {
            return !stopped && at < items.size();
        }

        double share() {
            return (double) at / items.size();
        }

        private boolean staysOnTable(Item item) {
            return item.round() != Rounds.NO_ROUND && item.round() == tableOfRound;
        }

        /** The table it goes to: the round's own, else the one that is free soonest, its last one before others. */
        private String tableFor(Free free) {
            if (staysOnTable(items.get(at))) {
                return table;
            }
            String best = request.tables().get(0);
            for (String one : request.tables()) {
                double gain = Math.max(freeS, free.tableS(best)) - Math.max(freeS, free.tableS(one));
                best = gain > 0 || gain == 0 && one.equals(table) ? one : best;
            }
            return best;
        }

        double earliestS(Free free) {
            double robotS = free.robotS(items.get(at).robot());
            return Math.max(Math.max(freeS, robotS), free.tableS(tableFor(free)));
        }

        /** What it would do next. */
        Block next(Free free) {
            double startS = earliestS(free);
            String on = tableFor(free);
            if (!lamps.isEmpty() && startS >= lamps.get(0)) {
                return new Block(startS, startS + request.calibrateS(), on, team.name(), "", What.CALIBRATE, "");
            }
            Item item = items.get(at);
            return new Block(
                    startS, startS + item.lastsS(), on, team.name(), item.robot(), item.what(), item.setting());
        }

        void planned(Block block) {
            freeS = block.endS();
            if (block.what() == What.CALIBRATE) {
                lamps.removeIf(lamp -> lamp <= block.startS());
                return;
            }
            Item item = items.get(at++);
            table = block.table();
            if (block.what().isRun()) {
                tableOfRound = item.round();
                runs.merge(Ran.of(block), 1, Integer::sum);
            }
        }

        void stop() {
            stopped = true;
        }

        List<LeftOut> leftOut(double minutes) {
            List<LeftOut> left = new ArrayList<>();
            for (Stage stage : team.stages()) {
                for (Pair pair : stage.pairs()) {
                    int planned = done.runs(stage.what(), pair) + runs.getOrDefault(Ran.of(stage.what(), pair), 0);
                    int asked = stage.runsEach();
                    if (planned < asked) {
                        String reason = "the " + Text.digits(minutes, 4) + " minutes have room for " + planned
                                + " of the " + asked + " runs asked for";
                        left.add(new LeftOut(team.name(), pair.robot(), pair.setting(), planned, asked, reason));
                    }
                }
            }
            return left;
        }
    }
}
