package fahrbahn.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Setups;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Run;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class PaceTest {
    private static Run run(double endS, boolean completed, double timeS) {
        Basis basis = Basis.of(Instant.EPOCH.plusMillis(Math.round(1000 * endS)), Conditions.UNKNOWN)
                .withSetting(new Setting("s", Setups.pair()));
        return new Run("r" + endS, Run.Source.TABLE, "robot", basis, Outcome.of(completed, timeS), "");
    }

    /** Runs of 20 s each minute and a half: 70 s between them; a break for lunch is no reset, a lost run no lap. */
    @Test
    void lapsAndResetsAreLearnedFromTheLog() {
        List<Run> runs = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            runs.add(run(90 * i, true, 20));
        }
        runs.add(run(4000, false, 5));
        runs.add(run(4095, true, 25));
        Pace pace = Pace.of(runs);
        assertThat(pace.lapS()).hasValue(20);
        assertThat(pace.resetS()).hasValue(70);
        assertThat(pace.laps()).isEqualTo(7);
        assertThat(pace.resets()).isEqualTo(6);
    }

    @Test
    void nothingIsMadeUp() {
        assertThat(Pace.of(List.of()).lapS()).isEmpty();
        assertThat(Pace.of(List.of(run(0, true, Double.NaN), run(60, true, Double.NaN)))
                        .resetS())
                .isEmpty();
    }
}
