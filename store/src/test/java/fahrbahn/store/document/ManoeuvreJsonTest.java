package fahrbahn.store.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.detour.Approach;
import fahrbahn.core.detour.Task;
import fahrbahn.core.stopping.Rule;
import fahrbahn.core.stopping.Sensing;
import fahrbahn.core.stopping.StopPlan;
import fahrbahn.store.file.BadFileException;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ManoeuvreJsonTest {
    private static final Task TASK = new Task(
            35,
            15,
            80,
            140,
            new Approach.Touch(55, 0.02),
            new Approach.Distance(85, 3, 0.1),
            Optional.of(Math.toRadians(60)));

    @Test
    void bothComeBackAsTheyWere() throws Exception {
        StopPlan plan = new StopPlan(new Sensing(640, 0.4, 0.7, 2.5, 0.03), 6, Rule.MARK);
        assertThat(ManoeuvreJson.parseStop(ManoeuvreJson.write(plan))).isEqualTo(plan);
        Task again = ManoeuvreJson.parseDetour(ManoeuvreJson.write(TASK));
        assertThat(again.turnRad().orElseThrow()).isCloseTo(Math.toRadians(60), within(1e-12));
        assertThat(again.distance()).isEqualTo(TASK.distance());
        assertThat(again.touch()).isEqualTo(TASK.touch());
        Task open = new Task(35, 15, 80, 140, TASK.touch(), TASK.distance(), Optional.empty());
        assertThat(ManoeuvreJson.parseDetour(ManoeuvreJson.write(open))).isEqualTo(open);
    }

    @Test
    void nonsenseIsRefusedByName() {
        assertThatThrownBy(() -> ManoeuvreJson.parseStop("{\"wayMm\":-4,\"wheelStepMm\":0,\"markNoiseMm\":0,"
                        + "\"distanceNoiseMm\":0,\"missShare\":0,\"windowMm\":5}"))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("wayMm");
        String json = ManoeuvreJson.write(TASK).replace("\"missShare\":0.1", "\"missShare\":1.5");
        assertThatThrownBy(() -> ManoeuvreJson.parseDetour(json))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("missShare");
        assertThatThrownBy(() -> ManoeuvreJson.parseDetour("{\"obstacleRadiusMm\":4}"))
                .isInstanceOf(BadFileException.class);
    }
}
