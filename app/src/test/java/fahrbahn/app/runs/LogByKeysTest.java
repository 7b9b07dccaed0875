package fahrbahn.app.runs;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InWindow;
import fahrbahn.app.freshness.Station;
import fahrbahn.core.trials.Run;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
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

    /** Where runs stopped is told as they are logged; the window is typed, and taken back. */
    @Test
    void stopPlacesTellHowNearAndHowSure() throws Exception {
        go(Station.RUNS);
        until("there", () -> robot.lookup("#runAlong").tryQuery().isPresent());
        onWindow(() -> {
            for (String along : List.of("9", "-1", "0.5", "1", "-0.5", "0", "1.5", "-1")) {
                shop().runs().log().log(true, new QuickLog.Typed("", along, "0.5", "", "", ""));
            }
            return null;
        });
        page("where-it-stops");
        until("told", () -> text("stopsVerdict").startsWith("8 runs stop 1.2 mm beyond its place on average"));
        assertThat(text("stopsVerdict")).contains("Within 5 mm of the mark stop 7 of 8: a chance of 47 % to 100 %");
        Label first = (Label)
                ((VBox) robot.lookup("#stopsFurther").query()).getChildren().get(0);
        assertThat(first.getText()).startsWith("The first run stops 8.9 mm beyond the rest, a clear difference");
        typeIn("stopsWindow", "10");
        until("wider", () -> text("stopsVerdict").contains("Within 10 mm of the mark stop 8 of 8"));
        undo();
        until("taken back", () -> text("stopsVerdict").contains("Within 5 mm"));
    }
}
