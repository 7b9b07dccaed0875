package fahrbahn.app;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.words.Words;
import javafx.scene.control.ButtonBase;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The map by keys and the goal's setting, from the first look to the gains on the robot. */
class GainsPagesTest extends InWindow {
    private void gains(String page) throws Exception {
        robot.type(KeyCode.DIGIT5);
        until(
                "the page is there",
                () -> robot.lookup("#page-" + page).tryQuery().isPresent());
        onWindow(() -> {
            ((ButtonBase) robot.lookup("#page-" + page).query()).fire();
            return null;
        });
    }

    private double kp() {
        return shop().season().setupOrGuess().law().kp();
    }

    @Test
    void theMapsPointIsMovedByKeysAndUsed() throws Exception {
        gains("map");
        until("a first picture", () -> text("mapPoint").startsWith("As set, about Kp "));
        robot.type(KeyCode.RIGHT);
        until("a point in hand", () -> text("mapPoint").startsWith("In hand Kp "));
        String before = text("mapPoint");
        robot.type(KeyCode.UP).type(KeyCode.UP);
        until("moved", () -> !text("mapPoint").equals(before));
        robot.type(KeyCode.Y);
        until("the next layer", () -> text("mapLegend").startsWith("Lighter: nearer to the path"));
        double set = kp();
        robot.type(KeyCode.U);
        until("it is on the robot", () -> kp() != set);
        undo();
        until("taken back", () -> kp() == set);
        until("complete", () -> !text("mapLegend").contains("Still coarse"));
    }

    @Test
    void aGoalsSettingIsFoundAndUsed() throws Exception {
        gains("goal");
        assertThat(text("goalVerdict")).contains("F tries every school's gains");
        robot.type(KeyCode.F);
        until("found", () -> text("goalVerdict").contains(" take Kp "));
        double set = kp();
        robot.type(KeyCode.U);
        until("it is on the robot", () -> kp() != set);
        assertThat(text("goalVerdict")).contains(" take Kp " + Words.number(kp()) + ", Kd ");
        undo();
        until("taken back", () -> kp() == set);
    }
}
