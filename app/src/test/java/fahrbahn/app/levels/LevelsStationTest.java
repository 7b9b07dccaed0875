package fahrbahn.app.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.app.InWindow;
import fahrbahn.app.chart.Plot;
import fahrbahn.core.levels.LevelSchool;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Setup;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The demo's levels moved by keys and by the mouse, schools switched, slips typed. */
class LevelsStationTest extends InWindow {
    @Override
    @BeforeEach
    protected void open() throws Exception {
        openDemo();
        robot.type(KeyCode.F8);
        robot.type(KeyCode.DIGIT4);
        until("both sensors have levels", () -> shop().levels().tables().size() == 2);
        until("they are shown", () -> !robot.lookup("#level-left").queryAll().isEmpty());
    }

    private double shown(String sensor) throws Exception {
        return Double.parseDouble(text("level-" + sensor));
    }

    @Test
    void schoolsAreSwitchedAndLevelsMovedByKeysAndByTheMouse() throws Exception {
        double best = shown("left");
        robot.type(KeyCode.UP);
        until("the midpoint is used", () -> text("verdict").contains("midpoint"));
        assertThat(shown("left")).isNotEqualTo(best);
        robot.type(KeyCode.DOWN);
        until("best odds again", () -> shown("left") == best);
        robot.type(KeyCode.RIGHT);
        until("one step up", () -> shown("left") == best + 1);
        assertThat(shop().levels().school()).isEqualTo(LevelSchool.TYPED);
        robot.type(KeyCode.H);
        robot.type(KeyCode.LEFT);
        until("the other sensor's a step down", () -> text("typed-right").length() > 0);

        Node plot = robot.lookup(".plot").queryAll().stream().findFirst().orElseThrow();
        Canvas canvas = (Canvas) plot.lookup("Canvas");
        Bounds there = onWindow(() -> canvas.localToScreen(canvas.getBoundsInLocal()));
        double y = there.getCenterY();
        robot.drag(there.getMinX() + 0.5 * there.getWidth(), y, MouseButton.PRIMARY)
                .dropTo(there.getMinX() + 0.6 * there.getWidth(), y);
        double to = onWindow(() -> ((Plot) plot)
                .getXAxis()
                .getValueForDisplay(0.6 * there.getWidth())
                .doubleValue());
        until("where it was let go", () -> Math.abs(shown("left") - to) < 3);
    }

    /** A lone sensor's target follows the level; what looks slipped does not get there. */
    @Test
    void theLevelOfALoneSensorBecomesItsTarget() throws Exception {
        onWindow(() -> {
            shop().season().changeSetup(s -> s.withLaw(s.law().withSignal(ErrorSignal.EDGE)));
            return null;
        });
        until("a lone sensor steers", () -> text("verdict").contains("Most sensitive there"));
        typed("left", "560");
        until("it is not on the robot yet", () -> text("verdict").contains("U: use them"));
        settled();
        robot.type(KeyCode.ESCAPE).type(KeyCode.U);
        until("put on the robot", () -> text("verdict").contains("N: Gains"));
        Setup setup = shop().season().setupOrGuess();
        double percent = setup.law().scale().scaled(setup.robot().sensors().get(0), 560);
        assertThat(setup.law().target()).isCloseTo(percent, within(0.01)).isGreaterThan(60);
        typed("left", "5600");
        until("slipped", () -> text("verdict").contains("slipped decimal point"));
        robot.type(KeyCode.ESCAPE).type(KeyCode.U);
        settled();
        assertThat(shop().season().setupOrGuess().law().target())
                .isEqualTo(setup.law().target());
    }

    @Test
    void slipsAreNamedWithTheirLikelyCause() throws Exception {
        typed("left", "51");
        until("percent", () -> text("verdict").contains("looks like a percentage"));
        typed("left", "5110");
        until("a decimal point", () -> text("verdict").contains("slipped decimal point"));
        typed("left", "-480");
        until("a sign", () -> text("verdict").contains("sign reversed"));
        typed("left", "200");
        until("outside", () -> text("verdict").contains("outside both surfaces"));
        typed("left", "424");
        typed("right", "511");
        until("each of the other's", () -> text("verdict").contains("look swapped"));
        typed("right", "424");
        typed("left", "500");
        until("nothing odd", () -> text("verdict").startsWith("Threshold left 500"));
    }

    private void typed(String sensor, String number) throws Exception {
        settled();
        robot.clickOn("#typed-" + sensor);
        robot.press(KeyCode.CONTROL).type(KeyCode.A).release(KeyCode.CONTROL);
        robot.write(number).type(KeyCode.ENTER);
    }
}
