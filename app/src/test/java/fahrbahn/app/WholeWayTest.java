package fahrbahn.app;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.model.Freshness;
import fahrbahn.app.model.LiveModel;
import fahrbahn.app.model.SensorLevels;
import fahrbahn.app.model.Station;
import fahrbahn.app.model.Verdict;
import fahrbahn.app.model.Workshop;
import fahrbahn.core.trials.RunRecord;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.TableView;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

/** The real window under a real display, driven by its keys and buttons through the whole way. */
class WholeWayTest {
    private static final int PATIENCE_S = 30;

    @TempDir
    private Path home;

    private final FxRobot robot = new FxRobot();
    private FahrbahnApp app;

    @BeforeAll
    static void toolkit() throws Exception {
        FxToolkit.registerPrimaryStage();
        Platform.setImplicitExit(false);
    }

    @BeforeEach
    void open() throws Exception {
        open(List.of());
    }

    private void open(List<String> arguments) throws Exception {
        System.setProperty("fahrbahn.home", home.toString());
        app = new FahrbahnApp();
        onWindow(() -> {
            Stage stage = new Stage();
            app.start(stage, arguments);
            stage.requestFocus();
            return null;
        });
        until("the window has the focus", () -> robot.listWindows().stream().anyMatch(w -> w.isFocused()));
    }

    @AfterEach
    void close() throws Exception {
        onWindow(() -> {
            List.copyOf(robot.listWindows()).forEach(Window::hide);
            app.stop();
            return null;
        });
    }

    private static <T> T onWindow(Callable<T> work) throws Exception {
        return WaitForAsyncUtils.waitForAsyncFx(PATIENCE_S * 1000L, work);
    }

    private static void until(String what, Callable<Boolean> condition) throws Exception {
        try {
            WaitForAsyncUtils.waitFor(PATIENCE_S, TimeUnit.SECONDS, () -> onWindow(condition));
        } catch (TimeoutException late) {
            throw new AssertionError("never came: " + what, late);
        }
    }

    private Workshop shop() {
        return app.workshop();
    }

    private String text(String id) {
        Node node = robot.lookup("#" + id).query();
        return node instanceof Labeled labeled ? labeled.getText() : ((TextInputControl) node).getText();
    }

    private Freshness.Mark mark(Station station) {
        return shop().station(station).freshnessProperty().get().mark();
    }

    private void go(Station station) throws Exception {
        robot.type(KeyCode.getKeyCode(String.valueOf(station.ordinal() + 1)));
        until(station + " is shown", () -> text("freshness").startsWith(station.title()));
    }

    private void type(String field, String value) {
        robot.clickOn("#" + field)
                .eraseText(12)
                .write(value)
                .type(KeyCode.ENTER)
                .type(KeyCode.ESCAPE);
    }

    private void capture(KeyCode key, String surface) throws Exception {
        robot.type(key);
        until(surface + " is captured", () -> shop().measure().latest(surface).isPresent());
    }

    @Test
    void fromLiveReadingsToALoggedRunThatIsThereAfterReopening() throws Exception {
        assertThat(text("verdict")).contains("guesses");
        robot.clickOn("#page-numbers");
        type("trackWidth", "136");
        until(
                "the track width is kept",
                () -> shop().season().setupProperty().get().isPresent());
        assertThat(shop().season().setupOrGuess().robot().drive().trackWidthMm())
                .isEqualTo(136);

        robot.clickOn("#connectBench");
        until("live readings", () -> shop().live().statusProperty().get().phase() == LiveModel.Phase.LIVE);
        go(Station.MEASURE);
        capture(KeyCode.L, "light");
        robot.clickOn("#benchDark");
        capture(KeyCode.D, "dark");
        assertThat(mark(Station.MEASURE)).isEqualTo(Freshness.Mark.FRESH);
        assertThat(mark(Station.LEVELS)).as("captured, not used yet").isEqualTo(Freshness.Mark.STALE);

        go(Station.LEVELS);
        SensorLevels left = shop().levels().sensors().get(0);
        assertThat(left.roundedLevel())
                .isBetween(left.levels().dark().mean(), left.levels().light().mean());
        robot.type(KeyCode.U);
        until("the levels are on the robot", () -> mark(Station.LEVELS) == Freshness.Mark.FRESH);
        assertThat(shop().season().setupOrGuess().robot().sensors().get(0).dark())
                .isBetween(225.0, 245.0);

        go(Station.GAINS);
        until("the lane is there", () -> shop().gains().pictureProperty().get().isPresent());
        until("advice", () -> !robot.lookup("#useGains").query().isDisabled());
        robot.type(KeyCode.U);
        until("the gains are chosen", () -> mark(Station.GAINS) == Freshness.Mark.FRESH);
        until(
                "the verdict is good",
                () -> shop().gains().verdictProperty().get().tone() == Verdict.Tone.GOOD);

        go(Station.DRIVE);
        robot.type(KeyCode.SPACE);
        until("the twin has run", () -> shop().drive().canKeep());
        assertThat(shop().drive().verdictProperty().get().sentence()).startsWith("Completed in");
        robot.type(KeyCode.K);
        until("the run is logged", () -> shop().runs().runs().size() == 1);
        robot.clickOn("#course").clickOn("Harbour errand");
        until("another course is laid", () -> shop().drive().course().name().equals("Harbour errand"));
        robot.type(KeyCode.M);
        until("the odds are there", () -> shop().drive().oddsProperty().get().isPresent());
        assertThat(text("verdict")).contains("of 200 runs complete");

        go(Station.RUNS);
        robot.type(KeyCode.X);
        until("a lost run of the table is logged", () -> shop().runs().runs().size() == 2);
        robot.press(KeyCode.CONTROL).type(KeyCode.Z).release(KeyCode.CONTROL);
        until("undo takes it back", () -> shop().runs().runs().size() == 1);
        RunRecord logged = shop().runs().runs().get(0);

        close();
        open(List.of());
        assertThat(shop().runs().runs()).containsExactly(logged);
        assertThat(shop().season().captures()).hasSize(2);
        assertThat(shop().season().setupOrGuess()).isEqualTo(logged.setup());
        robot.clickOn("#station-runs");
        TableView<?> table = robot.lookup("#runs").queryTableView();
        assertThat(table.getItems()).hasSize(1);
    }

    @Test
    void changingTheRobotMarksWhatDependsOnItWithTheReason() throws Exception {
        go(Station.GAINS);
        until("advice", () -> shop().gains().pictureProperty().get().isPresent());
        type("kp", "0.3");
        until("chosen", () -> mark(Station.GAINS) == Freshness.Mark.FRESH);
        go(Station.ROBOT);
        robot.clickOn("#page-numbers");
        type("loopTime", "20");
        until("stale", () -> mark(Station.GAINS) == Freshness.Mark.STALE);
        assertThat(shop().gains().freshnessProperty().get().reason()).contains("loop time (s) 0.01 to 0.02");
        robot.clickOn("#undo");
        until("fresh again", () -> mark(Station.GAINS) == Freshness.Mark.FRESH);
    }

    @Test
    void badInputIsToldInWordsAndNothingIsLost() throws Exception {
        robot.clickOn("#page-numbers");
        type("lineWidth", "-20");
        assertThat(text("lineWidth")).isEqualTo("-20");
        assertThat(robot.lookup(".problem").queryAll().stream().map(n -> ((Labeled) n).getText()))
                .contains("It is -20; it must be above 0");
        assertThat(shop().season().setupProperty().get()).isEmpty();

        go(Station.MEASURE);
        robot.type(KeyCode.L);
        until("told", () -> text("notice").contains("No robot is connected"));
        Path csv = Files.writeString(home.resolve("torn.csv"), "surface,left\nlight,500\nlight,5oo\n");
        onWindow(() -> {
            shop().measure().importFile(csv);
            return null;
        });
        until("the line is named", () -> text("notice").contains("Line 3: '5oo' in column left"));
        assertThat(shop().season().captures()).isEmpty();

        int free;
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            free = taken.getLocalPort();
        }
        robot.clickOn("#address").write("127.0.0.1:" + free).type(KeyCode.ENTER);
        until("nobody answers", () -> text("notice").contains("Nothing answers at 127.0.0.1:" + free));
        robot.clickOn("#noticeAway");
        until("put away", () -> text("notice").isEmpty());
    }

    @Test
    void aFileThatIsNoSeasonIsRefusedAndWorkGoesOn() throws Exception {
        close();
        Path stranger = Files.writeString(home.resolve("diary.fahrbahn"), "dear diary");
        open(List.of(stranger.toString()));
        assertThat(text("notice")).contains("diary.fahrbahn: not a season file", "season-1.fahrbahn");
        assertThat(Files.readString(stranger)).isEqualTo("dear diary");
        robot.clickOn("#page-numbers");
        type("trackWidth", "150");
        until("kept", () -> shop().season().setupProperty().get().isPresent());
    }

    @Test
    void readingsFromAFileBecomeCapturesInOneStep() throws Exception {
        StringBuilder text = new StringBuilder("surface;left;right\n");
        for (int i = 0; i < 20; i++) {
            text.append("light;70")
                    .append(i % 3)
                    .append(",5;650\n")
                    .append("dark;20")
                    .append(i % 2)
                    .append(",5;190\n");
        }
        Path csv = Files.writeString(home.resolve("mat.csv"), text);
        onWindow(() -> {
            shop().measure().importFile(csv);
            return null;
        });
        until("both surfaces", () -> shop().season().captures().size() == 2);
        go(Station.LEVELS);
        assertThat(text("level-left")).isNotEmpty();
        robot.press(KeyCode.CONTROL).type(KeyCode.Z).release(KeyCode.CONTROL);
        until("one undo takes both", () -> shop().season().captures().isEmpty());
        robot.press(KeyCode.CONTROL, KeyCode.SHIFT).type(KeyCode.Z).release(KeyCode.SHIFT, KeyCode.CONTROL);
        until("redo", () -> shop().season().captures().size() == 2);
    }
}
