package fahrbahn.app;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.robot.BenchCard;
import fahrbahn.app.season.Station;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Every page of the demo season at every size: nothing is cut off, outside the window, or over something else. */
class LayoutTest extends InWindow {
    @Override
    @BeforeEach
    void open() throws Exception {
        open(List.of("demo"));
        untilOpen();
        until("the bench robot is there", () -> shop().live().latestProperty().get().length > 0);
    }

    private Scene scene() {
        return robot.lookup("#verdict").query().getScene();
    }

    /** At the least size, as it starts, and on a large screen; with usual and with large letters. */
    @Test
    void everythingIsWhereItCanBeSeen() throws Exception {
        List<String> wrong = new ArrayList<>();
        for (boolean large : new boolean[] {false, true}) {
            for (double[] size : new double[][] {{1000, 640}, {1280, 800}, {1920, 1080}}) {
                onWindow(() -> {
                    Stage stage = (Stage) scene().getWindow();
                    stage.setWidth(size[0]);
                    stage.setHeight(size[1]);
                    return null;
                });
                until("it is so large", () -> scene().getWidth() == size[0] && scene().getHeight() == size[1]);
                walk(String.format(Locale.ROOT, "%.0f x %.0f%s, ", size[0], size[1], large ? " large" : ""), wrong);
            }
            fire("large");
        }
        try {
        } catch (Exception e) {
        }
        assertThat(wrong).isEmpty();
    }

    private void fire(String id) throws Exception {
        onWindow(() -> {
            robot.lookup("#" + id).queryButton().fire();
            return null;
        });
    }

    private void walk(String size, List<String> wrong) throws Exception {
        for (Station station : Station.values()) {
            fire("station-" + station.name().toLowerCase(Locale.ROOT));
            Set<Button> tabs = robot.lookup(".page-tab").queryAllAs(Button.class);
            if (tabs.isEmpty()) {
                look(size + station.title(), wrong);
            }
            for (Button tab : tabs) {
                fire(tab.getId());
                if (tab.getText().equals("Bench")) {
                    for (BenchCard card : List.of(BenchCard.ROLL, BenchCard.SLIDE)) { // of most and of other fields
                        fire("card-" + card.name().toLowerCase(Locale.ROOT));
                        look(size + station.title() + ", " + card.title(), wrong);
                    }
                } else {
                    look(size + station.title() + ", " + tab.getText(), wrong);
                }
            }
        }
        robot.type(KeyCode.DIGIT0);
        look(size + "Club", wrong);
        robot.type(KeyCode.F1);
        look(size + "Keys", wrong);
    }

    private void look(String where, List<String> wrong) throws Exception {
        onWindow(() -> LayoutWalk.over(scene())).forEach(words -> wrong.add(where + ": " + words));
    }
}
