package fahrbahn.app;

import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.shell.Workshop;
import fahrbahn.core.Repeated;
import fahrbahn.store.season.SeasonFiles;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.application.Platform;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.junit.jupiter.api.parallel.Resources;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

/** A real window for all tests of a class, under a real display; each has a fresh season in it. */
@ResourceLock("the one display")
@ResourceLock(Resources.SYSTEM_PROPERTIES)
public abstract class InWindow extends Repeated {
    private static Stage window;

    static {
        // Nobody watches: two steps of the mouse from one button to the next.
        System.setProperty("testfx.robot.move_max_count", "2");
    }

    @TempDir
    protected Path home;

    protected final Hands robot = new Hands();
    protected final HandClocks hands = new HandClocks();
    private FahrbahnApp app;

    @BeforeAll
    protected static void toolkit() throws Exception {
        FxToolkit.registerPrimaryStage();
        Platform.setImplicitExit(false);
        window = onWindow(() -> {
            Stage stage = new Stage();
            stage.setScene(new Scene(new StackPane(), 1280, 800));
            stage.show(); // by the first season it has its size
            return stage;
        });
    }

    @AfterAll
    protected static void shut() throws Exception {
        onWindow(() -> {
            window.hide();
            return null;
        });
    }

    @BeforeEach
    protected void open() throws Exception {
        Path season = home.resolve("season.fahrbahn");
        SeasonFiles.openOrCreate(season, Clock.systemUTC()).close();
        open(List.of(season.toString()));
        untilOpen();
    }

    /** A season is open and its window styled and laid out, so that the mouse finds its nodes where they are. */
    protected void untilOpen() throws Exception {
        until("the season is open", () -> shop() != null && !scrolls().isEmpty());
        // The first judgement makes the head taller; what lies below it moves then, and not after.
        until("it is judged", () -> !text("freshness").equals("Robot: not done"));
        until(
                "its window is laid out",
                () -> scrolls().stream()
                                .allMatch(s -> s.getSkin() != null
                                        && s.getContent().getLayoutBounds().getHeight() > 0)
                        && !robot.lookup("#verdict")
                                .query()
                                .getScene()
                                .getRoot()
                                .isNeedsLayout());
    }

    private Set<ScrollPane> scrolls() {
        return robot.lookup(".scroll-pane").queryAllAs(ScrollPane.class);
    }

    /** The demo club; made before, for that takes seconds. */
    protected void openDemo() throws Exception {
        Path demo = home.resolve("demo.fahrbahn");
        if (!Files.exists(demo)) {
            DemoOnce.copyTo(demo);
        }
        open(List.of("demo"));
        untilOpen();
    }

    protected void open(List<String> arguments) throws Exception {
        System.setProperty("fahrbahn.home", home.toString());
        app = new FahrbahnApp(hands.clocks());
        onWindow(() -> {
            app.start(window, arguments);
            window.requestFocus();
            return null;
        });
        until("the window has the focus", () -> robot.listWindows().stream().anyMatch(w -> w.isFocused()));
    }

    @AfterEach
    protected void close() throws Exception {
        onWindow(() -> {
            robot.listWindows().stream().filter(w -> w != window).toList().forEach(Window::hide);
            app.stop();
            return null;
        });
    }

    protected static <T> T onWindow(Callable<T> work) throws Exception {
        return OnWindow.call(work);
    }

    protected static void until(String what, Callable<Boolean> condition) throws Exception {
        try {
            WaitForAsyncUtils.waitFor(OnWindow.PATIENCE_S, TimeUnit.SECONDS, () -> onWindow(condition));
        } catch (TimeoutException late) {
            throw new AssertionError("never came: " + what, late);
        }
    }

    protected Workshop shop() {
        return app.workshop();
    }

    protected String text(String id) {
        Node node = robot.lookup("#" + id).query();
        return node instanceof Labeled labeled ? labeled.getText() : ((TextInputControl) node).getText();
    }

    protected Freshness.Mark mark(Station station) {
        return shop().station(station).freshnessProperty().get().mark();
    }

    /** Not so soon after the station before that both digits would be a number. */
    protected void go(Station station) throws Exception {
        hands.later(1);
        robot.type(KeyCode.getKeyCode(String.valueOf(station.ordinal() + 1)));
        until(station + " is shown", () -> text("freshness").startsWith(station.title()));
    }

    protected void type(String field, String value) {
        robot.clickOn("#" + field);
        over(value);
        robot.type(KeyCode.ENTER).type(KeyCode.ESCAPE);
    }

    /** Types over all that stands in the field with the focus. */
    protected void over(String value) {
        robot.press(KeyCode.CONTROL).type(KeyCode.A).release(KeyCode.CONTROL);
        robot.write(value);
    }

    /** By keys alone, in a choice that has the focus. */
    protected void choose(String id, KeyCode... keys) throws Exception {
        settled();
        onWindow(() -> {
            robot.lookup("#" + id).query().requestFocus();
            return null;
        });
        for (KeyCode key : keys) {
            robot.type(key);
        }
    }

    /** By keys alone, in a field wherever it is. */
    protected void typeIn(String id, String number) throws Exception {
        settled();
        onWindow(() -> {
            robot.lookup("#" + id).query().requestFocus();
            return null;
        });
        robot.press(KeyCode.CONTROL).type(KeyCode.A).release(KeyCode.CONTROL);
        robot.type(KeyCode.DELETE);
        robot.write(number).type(KeyCode.ENTER);
    }

    protected void capture(KeyCode key, String surface) throws Exception {
        robot.type(key);
        until(surface + " is captured", () -> shop().measure().latest(surface).isPresent());
    }

    /** Nothing is on its way that would move what is shown: what is pointed at now stays where it is. */
    protected void settled() throws Exception {
        until(
                "all is settled",
                () -> !shop().busyProperty().get()
                        && !robot.lookup("#verdict")
                                .query()
                                .getScene()
                                .getRoot()
                                .isNeedsLayout());
    }

    /** Where on the screen a place inside a node is. */
    protected Point2D onScreen(String id, double x, double y) throws Exception {
        settled();
        return onWindow(() -> robot.lookup("#" + id).query().localToScreen(x, y));
    }

    /** Turns to a page of the station. */
    protected void page(String name) {
        robot.clickOn("#page-" + name);
    }

    protected void undo() {
        robot.press(KeyCode.CONTROL).type(KeyCode.Z).release(KeyCode.CONTROL);
    }
}
