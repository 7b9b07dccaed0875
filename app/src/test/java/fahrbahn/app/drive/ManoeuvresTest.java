package fahrbahn.app.drive;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InWindow;
import fahrbahn.app.drive.detour.DetourModel;
import fahrbahn.app.drive.stopping.StopModel;
import fahrbahn.app.freshness.Station;
import fahrbahn.core.setup.ObstacleMove;
import fahrbahn.core.stopping.Rule;
import fahrbahn.core.stopping.WayBack;
import fahrbahn.store.document.Kinds;
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

    private StopModel stops() {
        return shop().drive().stops();
    }

    private Optional<StopModel.Answer> stopped() {
        return stops().answer().valueProperty().get().ready();
    }

    private Optional<DetourModel.Answer> detoured() {
        return shop().drive().detours().answer().valueProperty().get().ready();
    }

    /** The best chance of a way round, found so. */
    private double kept(boolean byTouch) {
        return detoured()
                .flatMap(a -> a.of(byTouch).best())
                .map(trial -> (double) trial.kept().completed() / trial.kept().runs())
                .orElse(0.0);
    }

    @Test
    void waysToStopAreComparedAndOneIsMadeBetter() throws Exception {
        drive("stopping");
        until("told", () -> stopped().map(a -> a.plan().windowMm() == 5).orElse(false));
        assertThat(stops().inHandProperty().get()).isEqualTo(Rule.TIMER);
        until("there and back", () -> waysBack() == WayBack.values().length);
        robot.type(KeyCode.DOWN);
        until("the next", () -> stops().inHandProperty().get() == Rule.WHEEL_TURNS);
        robot.type(KeyCode.UP).type(KeyCode.UP);
        until("round to the last", () -> stops().inHandProperty().get() == Rule.DISTANCE);
        typeIn("stopWay", "1600");
        until(
                "driven again",
                () -> stopped().map(a -> a.plan().sensing().wayMm() == 1600).orElse(false));
        assertThat(shop().season()
                        .state()
                        .document(Kinds.STOP)
                        .kept()
                        .orElseThrow()
                        .sensing()
                        .wayMm())
                .isEqualTo(1600);
        undo();
        until(
                "taken back",
                () -> stopped().map(a -> a.plan().sensing().wayMm() == 800).orElse(false));
        assertThat(text("stopWay")).isEqualTo("800");
    }

    @Test
    void anObstacleIsLaidAndGoneRound() throws Exception {
        go(Station.TABLE);
        until("there", () -> robot.lookup("#layObstacle").tryQuery().isPresent());
        robot.type(KeyCode.Z).type(KeyCode.S).type(KeyCode.V).type(KeyCode.S).type(KeyCode.S);
        until("laid", () -> text("partName").startsWith("4 of 4"));
        drive("detour");
        until("the table's", () -> text("detourWhere").startsWith("Obstacle on this table, 0.45 m along"));
        until("told", () -> detoured().isPresent());
        assertThat(text("obstacle")).isEqualTo("40");
        typeIn("touchMiss", "50");
        until("touch is worse", () -> detoured().isPresent() && kept(true) < kept(false));
        assertThat(shop().drive().detours().byTouchProperty().get()).isFalse();
        robot.type(KeyCode.ESCAPE).type(KeyCode.A);
        until("the other", () -> shop().drive().detours().byTouchProperty().get());
        typeIn("touchBack", "2");
        until("too near", () -> text("detourVerdict").contains("After touch, back off further"));
        page("replay");
        robot.type(KeyCode.SPACE);
        until("driven into it", () -> text("verdict").startsWith("Hit the obstacle at"));
        page("detour");
        robot.type(KeyCode.ESCAPE).type(KeyCode.A);
        until("by distance", () -> !shop().drive().detours().byTouchProperty().get());
        robot.type(KeyCode.U);
        until("in the program", () -> obstacle().isPresent());
        robot.type(KeyCode.X);
        until("taken out", () -> obstacle().isEmpty());
        undo();
        until("and brought back", () -> obstacle().isPresent());
    }
}
