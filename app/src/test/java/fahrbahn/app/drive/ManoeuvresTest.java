package fahrbahn.app.drive;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InWindow;
import fahrbahn.app.season.Station;
import fahrbahn.core.setup.ObstacleMove;
import fahrbahn.core.stopping.WayBack;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import org.junit.jupiter.api.Test;

/** Stopping and going round an obstacle, by keys. */
class ManoeuvresTest extends InWindow {
    private void drive(String page) throws Exception {
        go(Station.DRIVE);
        until("there", () -> robot.lookup("#page-" + page).tryQuery().isPresent());
        page(page);
    }

    private Optional<ObstacleMove> obstacle() {
        return shop().season().setupOrGuess().law().options().obstacle();
    }

    private int waysBack() {
        GridPane back = robot.lookup("#stopBack").query();
        return back.getRowCount() - 1;
    }

    @Test
    void waysToStopAreComparedAndOneIsMadeBetter() throws Exception {
        drive("stopping");
        until("told", () -> text("stopVerdict").startsWith("Decide by a mark: it stops within 5 mm"));
        assertThat(text("stopInHand")).isEqualTo("Stopping by a timer");
        until("there and back", () -> waysBack() == WayBack.values().length);
        robot.type(KeyCode.DOWN);
        until("the next", () -> text("stopInHand").equals("Stopping by wheel turns"));
        robot.type(KeyCode.UP).type(KeyCode.UP);
        until("round to the last", () -> text("stopInHand").equals("Stopping by distance"));
        typeIn("stopWay", "1600");
        until("driven anew", () -> text("stopVerdict").contains("A timer over 1600 mm scatters"));
        assertThat(shop().season()
                        .choices()
                        .stopProperty()
                        .get()
                        .orElseThrow()
                        .sensing()
                        .wayMm())
                .isEqualTo(1600);
        undo();
        until("taken back", () -> text("stopVerdict").contains("A timer over 800 mm scatters"));
        assertThat(text("stopWay")).isEqualTo("800");
    }

    @Test
    void anObstacleIsLaidAndGoneRound() throws Exception {
        go(Station.TABLE);
        until("there", () -> robot.lookup("#layObstacle").tryQuery().isPresent());
        robot.type(KeyCode.Z).type(KeyCode.S).type(KeyCode.V).type(KeyCode.S).type(KeyCode.S);
        until("laid", () -> text("partName").startsWith("4 of 4"));
        drive("detour");
        until("the table's", () -> text("detourWhere").startsWith("The obstacle of the table in hand, 0.45 m along"));
        until("told", () -> text("detourVerdict").startsWith("Found by "));
        assertThat(text("obstacle")).isEqualTo("40");
        typeIn("touchMiss", "50");
        until("touch is worse", () -> text("detourVerdict").startsWith("Found by distance"));
        assertThat(text("detourDrawn")).endsWith("distance");
        robot.type(KeyCode.ESCAPE).type(KeyCode.A);
        until("the other", () -> text("detourDrawn").endsWith("touch"));
        typeIn("touchBack", "2");
        until("too near", () -> text("detourVerdict").contains("After touch it has to back off further"));
        page("replay");
        robot.type(KeyCode.SPACE);
        until("driven into it", () -> text("verdict").startsWith("Hit the obstacle at"));
        page("detour");
        robot.type(KeyCode.ESCAPE).type(KeyCode.A);
        until("by distance", () -> text("detourDrawn").endsWith("distance"));
        robot.type(KeyCode.U);
        until("in the program", () -> obstacle().isPresent());
        until("and drawn so", () -> text("detourWhere").contains("is in its program"));
        robot.type(KeyCode.X);
        until("taken out", () -> obstacle().isEmpty());
        undo();
        until("and brought back", () -> obstacle().isPresent());
    }
}
