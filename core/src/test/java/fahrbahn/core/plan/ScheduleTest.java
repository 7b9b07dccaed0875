package fahrbahn.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.plan.Block.What;
import fahrbahn.core.plan.PlanRequest.Team;
import fahrbahn.core.plan.Stage.Pair;
import fahrbahn.core.setup.Law;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ScheduleTest {
    private static final Instant BEGIN = Instant.parse("2031-05-04T09:30:00Z");

    private static final List<Stage> LADDER = List.of(
            Stage.of(What.STRAIGHT, List.of("r"), List.of("low"), 1),
            Stage.of(What.BENDS, List.of("r"), List.of("low"), 1),
            Stage.of(What.KP_STEP, List.of("r"), List.of("a", "b", "c"), 2),
            Stage.of(What.CONFIRM, List.of("r"), List.of("best"), 5));

    private static PlanRequest request(double minutes, Team... teams) {
        return new PlanRequest(minutes, List.of("t"), List.of(teams));
    }

    private static Instant at(double seconds) {
        return BEGIN.plusMillis(Math.round(1000 * seconds));
    }

    /** The ladder stands in its order: check, straight, bends, steps taking turns, confirmation. */
    @Test
    void stagesFollowOnEachOther() {
        Plan plan = Plan.of(request(60, new Team("crew", LADDER, 20, 10, 60, Team.ANY, 0)), 3);
        List<What> order = plan.blocks().stream().map(Block::what).distinct().toList();
        assertThat(order).containsExactly(What.CHECK, What.STRAIGHT, What.BENDS, What.KP_STEP, What.CONFIRM);
        List<String> steps = plan.blocks().stream()
                .filter(b -> b.what() == What.KP_STEP)
                .map(Block::setting)
                .toList();
        assertThat(steps.subList(0, 3)).containsExactlyInAnyOrder("a", "b", "c");
        assertThat(steps.subList(3, 6)).containsExactlyInAnyOrder("a", "b", "c");
        assertThat(plan.leftOut()).isEmpty();
    }

    /** What is done in time leaves the rest as it was. */
    @Test
    void aBlockDoneInTimeMovesNothing() {
        Schedule schedule = Schedule.begun(request(60, new Team("crew", LADDER, 20, 10, 60, Team.ANY, 0)), BEGIN, 3);
        Plan before = schedule.plan();
        Block check = before.blocks().get(0);
        Plan after = schedule.with(check, at(check.endS() + 5)).plan();
        assertThat(after.blocks().get(0).startS()).isCloseTo(check.endS() + 5, within(1e-9));
        assertThat(after.blocks().stream().map(Block::setting))
                .containsExactlyElementsOf(
                        before.blocks().stream().skip(1).map(Block::setting).toList());
    }

    /** One table, so that all is one after the other. A hundred plans that slip at random: no clash with what was done, none over time, no run forgotten or made twice. */
    @Test
    void aHundredPlansThatSlip() {
        for (int seed = 0; seed < 100; seed++) {
            Random random = new Random(seed);
            List<Pair> pairs = List.of(new Pair("r", "a"), new Pair("r", "b"), new Pair("q", "a"));
            Team team = new Team("crew", List.of(new Stage(What.RUN, pairs, 6)), 20, 10, 30, 7, 60);
            Team other = new Team("others", List.of("x"), List.of("s", "t"), 25, 20, 5);
            Schedule schedule = Schedule.begun(request(25, team, other), BEGIN, seed);
            double nowS = 0;
            double freeS = 0;
            while (!schedule.plan().blocks().isEmpty()) {
                Plan left = schedule.plan();
                assertThat(left.blocks()).allMatch(b -> b.endS() <= 25 * 60);
                Block next = left.blocks().get(0);
                assertThat(next.startS()).as("seed %d", seed).isGreaterThanOrEqualTo(freeS);
                // Sometimes in time, sometimes a minute late.
                nowS = next.endS() + (random.nextInt(3) == 0 ? 60 : 0);
                freeS = nowS;
                schedule = schedule.with(next, at(nowS));
            }
            Map<String, Integer> made = new HashMap<>();
            schedule.done().stream()
                    .filter(b -> b.what().isRun())
                    .forEach(b -> made.merge(b.team() + b.robot() + b.setting(), 1, Integer::sum));
            assertThat(made.values()).allMatch(n -> n <= 6);
            int missing = schedule.plan().leftOut().stream()
                    .mapToInt(l -> l.asked() - l.planned())
                    .sum();
            assertThat(made.values().stream().mapToInt(n -> n).sum() + missing)
                    .as("seed %d: made and left out", seed)
                    .isEqualTo(3 * 6 + 2 * 5);
            List<Integer> ofCrew = new ArrayList<>();
            pairs.forEach(p -> ofCrew.add(made.getOrDefault("crew" + p.robot() + p.setting(), 0)));
            assertThat(ofCrew.stream().mapToInt(n -> n).max().getAsInt()
                            - ofCrew.stream().mapToInt(n -> n).min().getAsInt())
                    .as("seed %d: balance", seed)
                    .isLessThanOrEqualTo(1);
        }
    }

    /** A lamp that changed while time slipped is still captured for, and a battery that was fresh is not swapped at once. */
    @Test
    void slippingForgetsNeitherLampsNorBatteries() {
        Team team = new Team("crew", Team.compared(List.of("r"), List.of("a", "b"), 6), 20, 10, 0, 4, 60);
        PlanRequest request = new PlanRequest(30, List.of("t"), List.of(team), List.of(100.0), 45);
        List<Block> done = List.of(
                new Block(0, 30, "t", "crew", "r", What.RUN, "a"), new Block(30, 60, "t", "crew", "r", What.RUN, "b"));
        Plan late = new Schedule(request, BEGIN, 1, done, 200).plan();
        assertThat(late.blocks().get(0).what()).isEqualTo(What.CALIBRATE);
        long before = late.blocks().stream()
                .takeWhile(b -> b.what() != What.BATTERY)
                .filter(b -> b.what().isRun())
                .count();
        assertThat(before).as("runs left in a battery of four after two").isEqualTo(2);
    }

    @Test
    void itKnowsWhenItSlipsAndWhenItIsOver() {
        Schedule schedule =
                Schedule.begun(request(10, new Team("crew", List.of("r"), List.of("a"), 20, 10, 3)), BEGIN, 1);
        Plan left = schedule.plan();
        assertThat(schedule.slipped(left, at(30 + Schedule.SLIP_S - 1))).isFalse();
        assertThat(schedule.slipped(left, at(30 + Schedule.SLIP_S + 1))).isTrue();
        assertThat(schedule.again(at(100)).plan().blocks().get(0).startS()).isCloseTo(100, within(1e-9));
        assertThat(schedule.leftS(at(590))).isCloseTo(10, within(1e-9));
        assertThat(schedule.leftS(at(610))).isNegative();
    }

    @Test
    void nonsenseIsRefused() {
        assertThatThrownBy(() -> Stage.of(What.BATTERY, List.of("r"), List.of("a"), 1))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("a kind of run");
        assertThatThrownBy(() -> new Stage(What.RUN, List.of(), 1)).hasMessageContaining("one or more");
        Pair pair = new Pair("r", "a");
        assertThatThrownBy(() -> new Stage(What.RUN, List.of(pair, pair), 1)).hasMessageContaining("each once");
    }

    /** A run counts for the block whose numbers it was made with, to the last digits; for another only where that one leaves them open. */
    @Test
    void aRunDoesTheBlockThatAsksForItsNumbers() {
        Law law = Setups.pair().law();
        Stage steps = new Stage(
                What.KP_STEP,
                List.of(new Pair("r", "half", Asked.gains(0.5, 0)), new Pair("r", "one", Asked.gains(1, 0))),
                1);
        Stage confirm = new Stage(What.CONFIRM, List.of(new Pair("r", "the best of them")), 1);
        Team crew = new Team("crew", List.of(steps, confirm), 20, 10, 0, Team.ANY, 0);
        Schedule begun = Schedule.begun(request(60, crew), BEGIN, 3);
        Plan left = begun.plan();
        assertThat(begun.ranBy(left, "r", law.withGains(1, 0, 0)).orElseThrow().setting())
                .isEqualTo("one");
        assertThat(begun.ranBy(left, "r", law.withGains(0.1 + 0.4, 0, 0))
                        .orElseThrow()
                        .setting())
                .isEqualTo("half");
        assertThat(begun.ranBy(left, "r", law.withGains(0.5, 0, 1)))
                .as("with a Kd nobody asked for")
                .isEmpty();
        assertThat(begun.ranBy(left, "another", law.withGains(1, 0, 0))).isEmpty();
        Schedule last =
                begun.with(left.blocks().get(0), at(30)).with(left.blocks().get(1), at(60));
        assertThat(last.ranBy(last.plan(), "r", law.withGains(7, 0, 9))
                        .orElseThrow()
                        .what())
                .isEqualTo(What.CONFIRM);
    }
}
