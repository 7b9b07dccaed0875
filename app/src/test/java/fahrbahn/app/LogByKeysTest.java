package fahrbahn.app;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.season.Station;
import fahrbahn.core.trials.Run;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Runs logged at the table, by keys alone. */
class LogByKeysTest extends InWindow {
    private List<Run> runs() {
        return shop().runs().runs();
    }

    /** Three key presses a run: the clock on, the clock off, ran or lost. */
    @Test
    void tenRunsInARowWithoutLeavingTheKeyboard() throws Exception {
        go(Station.RUNS);
        until("there", () -> robot.lookup("#runTime").tryQuery().isPresent());
        for (int i = 0; i < 10; i++) {
            int before = i;
            robot.type(KeyCode.SPACE);
            until("a tenth of a second has gone", () -> text("watchSeconds").compareTo("0.10 s") >= 0);
            robot.type(KeyCode.SPACE);
            until("timed", () -> !text("runTime").isEmpty());
            robot.type(i % 4 == 3 ? KeyCode.X : KeyCode.R);
            until("logged", () -> runs().size() == before + 1);
        }
        assertThat(runs().stream().filter(r -> r.outcome().completed())).hasSize(8);
        assertThat(runs()).allMatch(r -> r.outcome().timeS() >= 0.1);
    }

    /** In a field for a number R logs as beside it, so that a stop place costs its digits and nothing else. */
    @Test
    void aStopPlaceIsTypedAndLoggedFromItsField() throws Exception {
        go(Station.RUNS);
        until("there", () -> robot.lookup("#runAlong").tryQuery().isPresent());
        onWindow(() -> {
            robot.lookup("#runAlong").query().requestFocus();
            return null;
        });
        robot.write("-3.5");
        robot.type(KeyCode.R);
        until("logged", () -> runs().size() == 1);
        assertThat(runs().get(0).outcome().stop().alongMm()).isEqualTo(-3.5);
        assertThat(text("runAlong")).isEmpty();
        onWindow(() -> {
            robot.lookup("#runLostAt").query().requestFocus();
            return null;
        });
        robot.write("2");
        robot.type(KeyCode.ESCAPE).type(KeyCode.X);
        until("logged", () -> runs().size() == 2);
        assertThat(runs().get(1).outcome().lostMm()).isPositive();
    }
}
