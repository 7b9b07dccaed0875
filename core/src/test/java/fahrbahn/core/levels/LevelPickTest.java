package fahrbahn.core.levels;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Setups;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Options.Step;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LevelPickTest {
    private static double[] around(double mean, double sd, int n, long seed) {
        Random random = new Random(seed);
        double[] values = new double[n];
        for (int i = 0; i < n; i++) {
            values[i] = Math.rint(mean + sd * random.nextGaussian());
        }
        return values;
    }

    private static SensorLevels sensor(double contrast, double darkSd, double lightSd, int n) {
        return SensorLevels.of("eye", around(100, darkSd, n, 3), around(100 + contrast, lightSd, n, 4));
    }

    private static LevelPick pick(SensorLevels sensor) {
        return LevelPick.of(List.of(sensor));
    }

    @Test
    void whoRidesAtItsLevelRidesHalfway() {
        Law edge = Setups.edge().law();
        List<SensorLevels> uneven = List.of(sensor(400, 2, 60, 80));
        assertThat(LevelPick.of(edge, uneven)).isEqualTo(new LevelPick(LevelSchool.MIDPOINT, LevelPick.Why.RIDES));
        Law stepped = edge.withOptions(edge.options().withSteps(List.of(new Step(0, 20)), 0));
        assertThat(LevelPick.of(stepped, uneven)).isEqualTo(LevelPick.of(uneven));
    }

    /** Three to five readings, whose scatter is luck: a fitted level lay 46 and 94 counts beside halfway. */
    @Test
    void ofFewReadingsNoLevelLeavesTheMidpoint() {
        SensorLevels few = SensorLevels.of("eye", new double[] {212, 214, 212}, new double[] {640, 702, 655, 690, 648});
        assertThat(few.levels().bestLevel()).isEqualTo(few.levels().midpoint());
        assertThat(pick(few)).isEqualTo(new LevelPick(LevelSchool.MIDPOINT, LevelPick.Why.FEW_READINGS));
    }

    @Test
    void likeMisreadsAreDecidedByWhatTheLightMayDo() {
        assertThat(pick(sensor(500, 4, 4.5, 80)))
                .as("halfway there is most room either way")
                .isEqualTo(new LevelPick(LevelSchool.MIDPOINT, LevelPick.Why.MORE_TOLERANCE));
        assertThat(pick(sensor(400, 4, 80, 80)))
                .as("halfway one in a hundred readings of light is misread already")
                .isEqualTo(new LevelPick(LevelSchool.BEST, LevelPick.Why.MORE_TOLERANCE));
    }

    @Test
    void fewerMisreadsThatAreShownDecide() {
        assertThat(pick(sensor(60, 6, 30, 400)))
                .isEqualTo(new LevelPick(LevelSchool.BEST, LevelPick.Why.FEWER_MISREADS));
    }

    /** Equal readings scatter by their last digit, given or not. */
    @Test
    void equalReadingsAreNotKnownToTheLastDigit() {
        double[] dark = {20, 20, 20, 20};
        double[] light = {70, 70, 70, 70};
        for (SensorLevels sensor :
                List.of(SensorLevels.of("eye", dark, light), SensorLevels.of("eye", dark, light, 0))) {
            assertThat(sensor.levels().dark().sd()).isEqualTo(1 / Math.sqrt(12));
            assertThat(sensor.claim(45)).as("none in eight").isEqualTo(0.1);
        }
        double[] tenths = {0.2, 0.2, 0.2};
        assertThat(SensorLevels.of("eye", tenths, new double[] {0.8, 0.8, 0.8})
                        .levels()
                        .light()
                        .sd())
                .isEqualTo(0.1 / Math.sqrt(12));
    }
}
