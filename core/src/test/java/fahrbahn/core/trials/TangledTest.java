package fahrbahn.core.trials;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.readings.Conditions;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class TangledTest {
    private static Run run(int minute, double volts) {
        Basis basis = Basis.of(Instant.EPOCH.plusSeconds(60L * minute), Conditions.UNKNOWN.withBatteryV(volts))
                .withSetting(new Setting("s", Setups.pair()));
        return new Run("r" + minute, Run.Source.TABLE, "robot", basis, Outcome.of(true, 20), "");
    }

    /** All of A before all of B: the chance of that in a drawn order is 2/C(10,5), which the approximation, corrected for steps, takes for half as much again. */
    @Test
    void oneAfterTheOtherIsTangled() {
        List<Run> a = new ArrayList<>();
        List<Run> b = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            a.add(run(i, 8));
            b.add(run(5 + i, 8));
        }
        Tangled tangled = Tangled.of(a, b);
        assertThat(tangled.order()).isCloseTo(2.0 / 252, within(5e-3));
        assertThat(tangled.byOrder()).isTrue();
        assertThat(tangled.byBattery(8)).isFalse();
    }

    @Test
    void takingTurnsIsNot() {
        List<Run> a = new ArrayList<>();
        List<Run> b = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            (i % 4 == 0 || i % 4 == 3 ? a : b).add(run(i, 8 - 0.01 * i));
        }
        Tangled tangled = Tangled.of(a, b);
        assertThat(tangled.byOrder()).isFalse();
        assertThat(tangled.byBattery(8)).isFalse();
    }

    @Test
    void aFullerBatteryIsTold() {
        List<Run> a = new ArrayList<>();
        List<Run> b = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            (i % 2 == 0 ? a : b).add(run(i, (i % 2 == 0 ? 7.4 : 8.0) + 0.01 * i));
        }
        assertThat(Tangled.of(a, b).byBattery(7.7)).isTrue();
        assertThat(Tangled.of(a, b).volts()).isCloseTo(0.61, within(1e-9));
        assertThat(Tangled.of(List.of(run(1, Double.NaN)), List.of(run(2, 7))).byBattery(7))
                .isFalse();
    }

    /** In a drawn order it is told in at most one of twenty. */
    @Test
    void aDrawnOrderIsSeldomCalledTangled() {
        Random random = new Random(4);
        int told = 0;
        int experiments = 2000;
        for (int i = 0; i < experiments; i++) {
            List<Run> all = new ArrayList<>();
            for (int k = 0; k < 16; k++) {
                all.add(run(k, 8));
            }
            Collections.shuffle(all, random);
            told += Tangled.of(all.subList(0, 8), all.subList(8, 16)).byOrder() ? 1 : 0;
        }
        // 2,000 experiments know it to half a per cent; three of those.
        assertThat((double) told / experiments).isBetween(0.02, 0.065);
    }
}
