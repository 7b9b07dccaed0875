package fahrbahn.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.plan.Block.What;
import fahrbahn.core.plan.PlanRequest.Team;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class PlanTest {
    private static List<String> names(String word, int count) {
        List<String> names = new ArrayList<>();
        for (int i = 1; i <= count; i++) {
            names.add(word + " " + i);
        }
        return names;
    }

    private static Team team(
            String name,
            List<String> robots,
            List<String> settings,
            double lapS,
            double resetS,
            int runsEach,
            double checkS,
            int batteryRuns,
            double swapS) {
        return new Team(name, Team.compared(robots, settings, runsEach), lapS, resetS, checkS, batteryRuns, swapS);
    }

    private static PlanRequest drawn(Random random) {
        List<Team> teams = new ArrayList<>();
        for (int i = 0; i <= random.nextInt(4); i++) {
            // Now and then two crews share a robot.
            List<String> robots = names(random.nextInt(5) == 0 ? "shared" : "robot " + i, 1 + random.nextInt(3));
            teams.add(team(
                    "crew " + i,
                    robots,
                    names("setting", 1 + random.nextInt(4)),
                    5 + 60 * random.nextDouble(),
                    random.nextInt(3) * 15.0,
                    random.nextInt(12),
                    random.nextInt(2) * 90.0,
                    random.nextBoolean() ? Team.ANY : 1 + random.nextInt(15),
                    30 + random.nextInt(120)));
        }
        List<Double> lamps = random.nextBoolean() ? List.of() : List.of(60 + 2000 * random.nextDouble());
        return new PlanRequest(1 + random.nextInt(120), names("table", 1 + random.nextInt(3)), teams, lamps, 45);
    }

    private static void noClash(List<Block> blocks, Function<Block, String> whose, String what) {
        Map<String, List<Block>> by =
                blocks.stream().filter(b -> !whose.apply(b).isEmpty()).collect(Collectors.groupingBy(whose));
        by.forEach((name, its) -> {
            List<Block> sorted = its.stream()
                    .sorted(Comparator.comparingDouble(Block::startS))
                    .toList();
            for (int i = 1; i < sorted.size(); i++) {
                assertThat(sorted.get(i).startS())
                        .as("%s %s: %s after %s", what, name, sorted.get(i), sorted.get(i - 1))
                        .isGreaterThanOrEqualTo(sorted.get(i - 1).endS());
            }
        });
    }

    private static Map<List<String>, Integer> counts(List<Block> blocks, Team team) {
        Map<List<String>, Integer> counts = new HashMap<>();
        team.stages().get(0).pairs().forEach(p -> counts.put(List.of(p.robot(), p.setting()), 0));
        blocks.stream()
                .filter(b -> b.what() == What.RUN && b.team().equals(team.name()))
                .forEach(b -> counts.merge(List.of(b.robot(), b.setting()), 1, Integer::sum));
        return counts;
    }

    private static int spread(Map<?, Integer> counts) {
        return counts.values().stream().mapToInt(c -> c).max().orElse(0)
                - counts.values().stream().mapToInt(c -> c).min().orElse(0);
    }

    /** A thousand plans: nothing at two places at once, nothing over time, counts that differ by one at most, all asked for told of. */
    @Test
    void aThousandPlansWithoutAClashNoneOverTimeAndBalanced() {
        for (int seed = 0; seed < 1000; seed++) {
            PlanRequest request = drawn(new Random(seed));
            Plan plan = Plan.of(request, seed);
            noClash(plan.blocks(), Block::table, "table");
            noClash(plan.blocks(), Block::team, "crew");
            noClash(plan.blocks(), Block::robot, "robot");
            for (Block block : plan.blocks()) {
                assertThat(block.startS()).isNotNegative();
                assertThat(block.endS()).isBetween(block.startS(), 60 * request.minutes());
            }
            for (Team team : request.teams()) {
                Map<List<String>, Integer> counts = counts(plan.blocks(), team);
                assertThat(spread(counts)).as("seed %d, %s", seed, team.name()).isLessThanOrEqualTo(1);
                int planned = counts.values().stream().mapToInt(c -> c).sum();
                int missing = plan.leftOut().stream()
                        .filter(l -> l.team().equals(team.name()))
                        .mapToInt(l -> l.asked() - l.planned())
                        .sum();
                assertThat(planned + missing)
                        .isEqualTo((int) team.stages().get(0).runs());
            }
        }
    }

    /** Within each table, and within each battery as far as one lasts for a round, counts differ by one at most too. */
    @Test
    void noSettingIsTangledWithATableOrABattery() {
        for (int seed = 0; seed < 200; seed++) {
            List<Team> teams = List.of(
                    team("a", names("a", 2), names("setting", 3), 20, 15, 10, 0, 12, 60),
                    new Team("b", names("b", 1), names("setting", 2), 25, 10, 12),
                    team("c", names("c", 1), names("setting", 4), 15, 20, 9, 60, 8, 60));
            Plan plan = Plan.of(new PlanRequest(90, names("table", 2), teams), seed);
            for (Team team : teams) {
                Map<String, List<Block>> byTable = plan.blocks().stream()
                        .filter(b -> b.team().equals(team.name()))
                        .collect(Collectors.groupingBy(Block::table));
                byTable.values()
                        .forEach(its -> assertThat(spread(counts(its, team))).isLessThanOrEqualTo(1));
                List<Block> onThis = new ArrayList<>();
                for (Block block : plan.blocks()) {
                    if (block.team().equals(team.name()) && block.what() == What.BATTERY) {
                        assertThat(spread(counts(onThis, team)))
                                .as("on one battery")
                                .isLessThanOrEqualTo(1);
                        onThis.clear();
                    } else if (block.team().equals(team.name())) {
                        onThis.add(block);
                    }
                }
            }
        }
    }

    /** Every second round is the one before it backwards: over an even number of rounds each setting has the same mean place. */
    @Test
    void noSettingIsTangledWithTheOrder() {
        Team team = new Team("a", List.of("r"), names("setting", 5), 10, 5, 8);
        for (int seed = 0; seed < 50; seed++) {
            Plan plan = Plan.of(new PlanRequest(60, List.of("t"), List.of(team)), seed);
            Map<String, Double> meanPlace = new HashMap<>();
            for (int i = 0; i < plan.blocks().size(); i++) {
                meanPlace.merge(plan.blocks().get(i).setting(), i / 8.0, Double::sum);
            }
            meanPlace.values().forEach(mean -> assertThat(mean).isCloseTo(19.5, within(1e-9)));
        }
    }

    /** Two crews on one table: while one would wait for the other, nobody waits. One table of two is never left empty while both have runs. */
    @Test
    void tablesAreUsed() {
        List<Team> two = List.of(
                new Team("a", List.of("r"), List.of("s"), 30, 0, 20),
                new Team("b", List.of("q"), List.of("s"), 30, 0, 20));
        Plan one = Plan.of(new PlanRequest(60, List.of("t"), two), 1);
        assertThat(one.blocks().get(one.blocks().size() - 1).endS()).isEqualTo(40 * 30.0);
        Plan apart = Plan.of(new PlanRequest(60, names("t", 2), two), 1);
        assertThat(apart.blocks().get(apart.blocks().size() - 1).endS()).isEqualTo(20 * 30.0);
        assertThat(apart.leftOut()).isEmpty();
    }

    /** Time slips: what was run stays, what is left begins later, and counts stay balanced over both. */
    @Test
    void aPlanThatSlipsIsMadeAnewForTheRest() {
        Team team = team("a", List.of("r"), names("setting", 3), 20, 10, 6, 60, Team.ANY, 60);
        PlanRequest request = new PlanRequest(12, List.of("t"), List.of(team));
        Plan first = Plan.of(request, 3);
        List<Block> done = first.blocks().subList(0, 6); // the check and five runs
        Plan rest = Plan.again(request, done, 400, 4);
        assertThat(rest.blocks()).allMatch(b -> b.startS() >= 400 && b.endS() <= 720);
        assertThat(rest.blocks()).noneMatch(b -> b.what() == What.CHECK);
        List<Block> all = new ArrayList<>(done);
        all.addAll(rest.blocks());
        assertThat(spread(counts(all, team))).isLessThanOrEqualTo(1);
        assertThat(rest.leftOut()).isNotEmpty();
        assertThat(rest.leftOut().get(0).reason()).contains("12 minutes have room for ");
    }

    /** When the lamps change every crew captures anew before it goes on. */
    @Test
    void lampsThatChangeAreCalibratedFor() {
        Team team = new Team("a", List.of("r"), names("setting", 2), 20, 10, 10);
        Plan plan = Plan.of(new PlanRequest(30, List.of("t"), List.of(team), List.of(200.0), 45), 1);
        List<Block> calibrations =
                plan.blocks().stream().filter(b -> b.what() == What.CALIBRATE).toList();
        assertThat(calibrations).hasSize(1);
        assertThat(calibrations.get(0).startS()).isBetween(200.0, 230.0);
        assertThat(calibrations.get(0).endS() - calibrations.get(0).startS()).isEqualTo(45);
    }

    @Test
    void theSameSeedGivesTheSamePlan() {
        PlanRequest request = drawn(new Random(7));
        assertThat(Plan.of(request, 5)).isEqualTo(Plan.of(request, 5));
    }

    @Test
    void nonsenseIsRefusedByName() {
        Team team = new Team("a", List.of("r"), List.of("s"), 10, 0, 2);
        assertThatThrownBy(() -> new PlanRequest(0, List.of("t"), List.of(team)))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("minutes");
        assertThatThrownBy(() -> new PlanRequest(Double.NaN, List.of("t"), List.of(team)))
                .isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> new PlanRequest(10, List.of("t", "t"), List.of(team)))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("tables");
        assertThatThrownBy(() -> new PlanRequest(10, List.of(), List.of(team))).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> new Team("a", List.of("r"), List.of("s"), 0, 0, 2))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("lapS");
        assertThatThrownBy(() -> new Team("a", List.of("r"), List.of("s"), 10, 0, 2_000_000))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("runsEach");
    }
}
