package fahrbahn.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InWindow;
import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.robot.bench.BenchCard;
import fahrbahn.core.setup.Line;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import java.util.ArrayList;
import java.util.Arrays;
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
    protected void open() throws Exception {
        openDemo();
        until("the bench robot is there", () -> shop().live().latestProperty().get().length > 0);
    }

    private Scene scene() {
        return robot.lookup("#verdict").query().getScene();
    }

    /** At the least size, as it starts, and on a large screen; with usual and with large letters. */
    @Test
    void everythingIsWhereItCanBeSeen() throws Exception {
        List<String> wrong = new ArrayList<>();
        onWindow(() -> {
            shop().drive().run();
            return null;
        });
        until("driven", () -> shop().drive().canKeep());
        double[][] sizes = {{1000, 640}, {1280, 800}, {1920, 1080}, {2560, 1440}};
        for (boolean large : new boolean[] {false, true}) {
            for (double[] size : Arrays.copyOf(sizes, times(1, sizes.length))) {
                resize(size);
                walk(String.format(Locale.ROOT, "%.0f x %.0f%s, ", size[0], size[1], large ? " large" : ""), wrong);
            }
            fire("large");
        }
        assertThat(wrong).isEmpty();
    }

    /** After changes that make stations stale and a notice: reasons, repairs and the notice are whole as well. */
    @Test
    void whatIsStaleCanBeReadWhole() throws Exception {
        onWindow(() -> {
            shop().robot()
                    .type(setup -> setup.withLine(new Line(30, setup.line().polarity(), 150)));
            shop().robot().moveSensor(0, 75, 12);
            shop().table().begin(Draft.of(DemoCourses.rescue()));
            shop().tell("The course is longer than the table by 120 mm. Move its start, or make the table larger.");
            return null;
        });
        until("it is judged", () -> mark(Station.GAINS) == Freshness.Mark.STALE);
        List<String> wrong = new ArrayList<>();
        double[][] sizes = {{1000, 640}, {1280, 800}};
        for (double[] size : Arrays.copyOf(sizes, times(1, sizes.length))) {
            resize(size);
            walk(String.format(Locale.ROOT, "stale, %.0f x %.0f, ", size[0], size[1]), wrong);
        }
        assertThat(wrong).isEmpty();
    }

    private void resize(double[] size) throws Exception {
        onWindow(() -> {
            Stage stage = (Stage) scene().getWindow();
            stage.setWidth(size[0]);
            stage.setHeight(size[1]);
            return null;
        });
        until("it is so large", () -> scene().getWidth() == size[0] && scene().getHeight() == size[1]);
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
                    opened(size + station.title() + ", " + tab.getText(), tab.getText(), wrong);
                }
            }
        }
        robot.type(KeyCode.DIGIT0);
        look(size + "Club", wrong);
        robot.type(KeyCode.F1);
        look(size + "Keys", wrong);
    }

    /** What only appears when it is asked for: the numbers of a part, the bar for typing. */
    private void opened(String where, String page, List<String> wrong) throws Exception {
        if (page.equals("Lay")) {
            onWindow(() -> {
                shop().table().choose(1);
                return null;
            });
            look(where + ", a part in hand", wrong);
        } else if (page.equals("Capture")) {
            fire("typeReadings");
            look(where + ", typing", wrong);
            fire("typingAway");
        }
    }

    private void look(String where, List<String> wrong) throws Exception {
        onWindow(() -> LayoutWalk.over(scene())).forEach(words -> wrong.add(where + ": " + words));
    }
}
