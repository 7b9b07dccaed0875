package fahrbahn.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InWindow;
import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.live.LiveStatus;
import fahrbahn.core.readings.Capture;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** From a new season to a logged run with one hand on the keyboard: the mouse is never touched. */
class KeyboardTest extends InWindow {
    private String focus() {
        Node owner = robot.lookup("#verdict").query().getScene().getFocusOwner();
        return owner == null || owner.getId() == null ? "" : owner.getId();
    }

    /** Tab by Tab, in reading order, to something of the same part of the window. */
    private void tabTo(String id) throws Exception {
        for (int i = 0; i < 12 && !focus().equals(id); i++) {
            robot.type(KeyCode.TAB);
        }
        assertThat(focus()).isEqualTo(id);
    }

    @Test
    void theWholeWayWithoutTheMouse() throws Exception {
        // Robot: its numbers, field by field.
        robot.type(KeyCode.PAGE_DOWN);
        until("numbers", () -> robot.lookup("#trackWidth").tryQuery().isPresent());
        robot.type(KeyCode.F5);
        over("132");
        robot.type(KeyCode.ENTER);
        until("and on", () -> focus().equals("freeSpeed"));
        over("540");
        robot.type(KeyCode.ENTER).type(KeyCode.ESCAPE);
        until(
                "both are set",
                () -> shop().season().setupOrGuess().robot().drive().freeSpeedMmPerS() == 540);

        // The bench robot, from the strip.
        robot.type(KeyCode.F7).type(KeyCode.SPACE);
        until("it is live", () -> shop().live().statusProperty().get().phase() == LiveStatus.Phase.LIVE);

        // Table: a part laid, and taken back.
        go(Station.TABLE);
        robot.type(KeyCode.S);
        until("a straight is laid", () -> shop().season().course().kept().isPresent());
        undo();
        until("taken back", () -> shop().season().course().kept().isEmpty());

        // Measure: put on light and on dark, and captured.
        go(Station.MEASURE);
        robot.type(KeyCode.F7);
        until("in the strip", () -> focus().equals("benchLight"));
        robot.type(KeyCode.SPACE).type(KeyCode.ESCAPE);
        capture(KeyCode.L, Capture.LIGHT);
        robot.type(KeyCode.F7);
        tabTo("benchDark");
        robot.type(KeyCode.SPACE).type(KeyCode.ESCAPE);
        until("on dark", () -> shop().live().latestProperty().get()[0] < 300);
        capture(KeyCode.D, Capture.DARK);

        go(Station.LEVELS);
        robot.type(KeyCode.U);
        until("its levels are on the robot", () -> mark(Station.LEVELS) == Freshness.Mark.FRESH);

        go(Station.GAINS);
        until("advice", () -> shop().gains().picture().get().isPresent());
        robot.type(KeyCode.U);
        until("gains are chosen", () -> mark(Station.GAINS) != Freshness.Mark.MISSING);

        go(Station.DRIVE);
        robot.type(KeyCode.SPACE);
        until("driven", () -> shop().drive().driveProperty().get().isPresent());

        go(Station.RUNS);
        robot.type(KeyCode.F5);
        until("in the time", () -> focus().equals("runTime"));
        robot.write("21.4").type(KeyCode.ESCAPE).type(KeyCode.R);
        until("logged", () -> shop().season().runs().size() == 1);
        assertThat(shop().season().runs().get(0).outcome().timeS()).isEqualTo(21.4);
    }
}
