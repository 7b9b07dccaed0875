package fahrbahn.core.trials;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Setups;
import fahrbahn.core.difference.Aspect;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.FreshnessRule;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.knowledge.Since;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.setup.Setup;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PoolTest {
    private static final List<String> VENUES = List.of("home", "hall");
    private static final double[] VOLTS = {7.2, 7.9, 8.3};

    private static Basis basis(Random random) {
        Setup pair = Setups.pair();
        Setup set = pair.withLaw(pair.law().withGains(0.3 + 0.2 * random.nextInt(3), 0, 1));
        Conditions conditions = new Conditions(
                VENUES.get(random.nextInt(2)), Lamp.ON, 9, VOLTS[random.nextInt(VOLTS.length)], "soft 56 mm");
        return Basis.of(Instant.ofEpochSecond(random.nextInt(100_000)), conditions)
                .withSetting(new Setting(set.law().toString(), set));
    }

    private static Run run(int id, Random random) {
        Run.Source source = random.nextBoolean() ? Run.Source.TABLE : Run.Source.TWIN;
        return new Run("run " + id, source, "main", basis(random), Outcome.of(random.nextBoolean(), 20), "");
    }

    /** One run at a time, with nothing remembered. */
    private static Pool plainly(List<Run> all, Run.Source source, Basis now) {
        List<Run> together = new ArrayList<>();
        Map<Aspect, Integer> leftOut = new EnumMap<>(Aspect.class);
        for (Run run : all) {
            if (run.source() == source) {
                Since since = FreshnessRule.RUNS.since(run.basis(), now);
                if (since.nothing()) {
                    together.add(run);
                }
                since.aspects().forEach(aspect -> leftOut.merge(aspect, 1, Integer::sum));
            }
        }
        return new Pool(together, leftOut);
    }

    /** Runs come, are taken out by undo, come back, and another robot with few of them is taken in hand: nothing remembered misleads. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void groupsRememberedCountAsRunsLookedAtOneByOne(long seed) {
        Random random = new Random(seed);
        RunGroups groups = new RunGroups();
        List<Run> book = new ArrayList<>();
        for (int step = 0; step < 60; step++) {
            switch (random.nextInt(6)) {
                case 0 -> book.removeIf(run -> random.nextInt(4) == 0);
                case 1 -> book.subList(book.size() / 5, book.size()).clear();
                default -> {
                    for (int i = 0; i < 7; i++) {
                        book.add(run(100 * step + i, random));
                    }
                }
            }
            Basis now = basis(random);
            for (Run.Source source : Run.Source.values()) {
                assertThat(Pool.of(groups, book, source, now))
                        .as("step %d, %s", step, source)
                        .isEqualTo(plainly(book, source, now));
            }
        }
    }

    @Test
    void noRunsMakeAnEmptyPool() {
        Pool none = Pool.of(new RunGroups(), List.of(), Run.Source.TABLE, basis(new Random(1)));
        assertThat(none.runs()).isEmpty();
        assertThat(none.leftOut()).isEmpty();
    }
}
