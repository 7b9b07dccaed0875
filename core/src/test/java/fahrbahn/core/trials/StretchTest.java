package fahrbahn.core.trials;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Setups;
import fahrbahn.core.difference.Aspect;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Stretch.Change;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class StretchTest {
    private static final TablePrint LOOP = new TablePrint("t", "Loop", "p");
    private final List<Run> book = new ArrayList<>();
    private long atS;

    private void runs(int completed, int runs, double timeS, double kp, TablePrint table) {
        Setup setup = Setups.pair();
        for (int i = 0; i < runs; i++) {
            atS += 100;
            Basis basis = Basis.of(Instant.EPOCH.plusSeconds(atS), Conditions.UNKNOWN.withBatteryV(8 - 0.01 * i))
                    .withSetting(new Setting("s" + kp, setup.withLaw(setup.law().withGains(kp, 0, 2 * kp))))
                    .withTable(table);
            double took = i < completed ? timeS + 0.1 * (i % 3) : Double.NaN;
            book.add(new Run("r" + atS, Run.Source.TABLE, "robot", basis, Outcome.of(i < completed, took), ""));
        }
    }

    @Test
    void itTellsWhenItChangedAndWhenItGotBetter() {
        runs(3, 10, 20, 0.3, LOOP);
        runs(10, 10, 20, 0.2, LOOP);
        atS += 20_000;
        runs(10, 10, 17, 0.2, LOOP);
        runs(8, 8, 12, 0.2, new TablePrint("u", "Other", "q"));
        List<Stretch> all = Stretch.of(book);
        assertThat(all)
                .extracting(Stretch::since)
                .containsExactly(Change.FIRST, Change.BETTER, Change.BETTER, Change.ELSEWHERE);
        assertThat(all.get(1).changed()).isNotEmpty().allMatch(c -> c.aspect() == Aspect.GAINS);
        assertThat(all.get(2).changed()).as("another sitting, nothing changed").isEmpty();
        assertThat(all.stream().mapToInt(s -> s.runs().size()).sum()).isEqualTo(book.size());
    }

    /** Settings that take turns are two stretches, not twenty. */
    @Test
    void settingsThatTakeTurnsAreTwoStretches() {
        for (int i = 0; i < 10; i++) {
            runs(1, 1, 20, i % 2 == 0 ? 0.3 : 0.2, LOOP);
        }
        List<Stretch> all = Stretch.of(book);
        assertThat(all).extracting(s -> s.runs().size()).containsExactly(5, 5);
        assertThat(all.get(1).since()).isEqualTo(Change.NOT_SHOWN);
    }

    @Test
    void noRunsAreNoSeason() {
        assertThat(Stretch.of(List.of())).isEmpty();
    }
}
