package fahrbahn.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InWindow;
import fahrbahn.app.freshness.Station;
import fahrbahn.core.trials.Run;
import fahrbahn.words.Words;
import java.util.List;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;

/** The frame round the stations: fields, refusals, notices, keys, and what is remembered. */
class FrameTest extends InWindow {
    private String written(String field) {
        return robot.lookup("#" + field).queryTextInputControl().getText();
    }

    private Node focused() {
        return robot.lookup("#verdict").query().getScene().getFocusOwner();
    }

    private Stage stage() {
        return (Stage) robot.lookup("#verdict").query().getScene().getWindow();
    }

    /** Metres for millimetres, a slipped decimal: the first Enter asks, the second keeps. */
    @Test
    void whatLooksLikeASlipIsAskedAbout() throws Exception {
        page("numbers");
        double before = shop().season().setupOrGuess().robot().drive().trackWidthMm();
        robot.clickOn("#trackWidth");
        over("0.13");
        robot.type(KeyCode.ENTER);
        until("asked", () -> asked("trackWidth"));
        assertThat(shop().season().setupOrGuess().robot().drive().trackWidthMm())
                .isEqualTo(before);
        robot.type(KeyCode.ENTER);
        until("kept", () -> shop().season().setupOrGuess().robot().drive().trackWidthMm() == 0.13);
        undo();
        robot.type(KeyCode.ESCAPE);
        go(Station.GAINS);
        until("gains", () -> robot.lookup("#kp").tryQuery().isPresent());
        double kp = shop().season().setupOrGuess().law().kp();
        typeIn("kp", Words.number(100 * kp));
        until("asked", () -> asked("kp"));
        assertThat(shop().season().setupOrGuess().law().kp()).isEqualTo(kp);
        typeIn("kp", Words.number(1.5 * kp));
        until(
                "taken at once",
                () -> Math.abs(shop().season().setupOrGuess().law().kp() - 1.5 * kp) < 1e-9);
    }

    private boolean asked(String id) {
        return is(id, "asked");
    }

    private boolean wrong(String id) {
        return is(id, "wrong");
    }

    private boolean is(String id, String state) {
        return robot.lookup("#" + id).query().getPseudoClassStates().contains(PseudoClass.getPseudoClass(state));
    }

    /** What is refused stays, whatever else changes, until it is mended or given up; what it is stands below while one types. */
    @Test
    void aRefusedNumberStaysUntilItIsMendedOrGivenUp() throws Exception {
        page("numbers");
        String before = written("lag");
        robot.clickOn("#lag");
        until("what it is", () -> text("hint").startsWith("Motor lag: how long the wheels take"));
        over("-5");
        robot.type(KeyCode.TAB);
        until("refused", () -> wrong("lag"));
        type("trackWidth", "141");
        until(
                "another is taken",
                () -> shop().season().setupOrGuess().robot().drive().trackWidthMm() == 141);
        assertThat(written("lag")).isEqualTo("-5");
        robot.clickOn("#lag");
        over("9999999");
        robot.type(KeyCode.ENTER);
        assertThat(written("lag")).as("no lag of hours").isEqualTo("9999999");
        assertThat(shop().season().setupOrGuess().robot().drive().lagS()).isLessThan(1);
        assertThat(focused().getId()).as("Enter does not leave what it refused").isEqualTo("lag");
        robot.type(KeyCode.ESCAPE);
        until("given up", () -> written("lag").equals(before));
        robot.clickOn("#lag");
        over("48");
        robot.type(KeyCode.ENTER);
        until("mended", () -> shop().season().setupOrGuess().robot().drive().lagS() == 0.048);
        until(
                "and on",
                () -> focused() instanceof TextInputControl && focused().getId().equals("fullCommand"));
    }

    @Test
    void aNumberTypedBesideAFieldJumpsNowhere() throws Exception {
        robot.clickOn("#station-measure");
        page("link-and-logger"); // a tab has the focus
        hands.hold(); // its digits follow each other at once, however slow the machine
        robot.type(KeyCode.DIGIT6).type(KeyCode.DIGIT0).type(KeyCode.DIGIT0);
        until("told", () -> text("notice").startsWith("No field selected"));
        assertThat(text("freshness")).startsWith("Measure");
        robot.type(KeyCode.ESCAPE);
        until("over", () -> shop().notices().shownProperty().get().isEmpty());
        assertThat(shop().notices().told()).as("it can be read again").hasSize(1);
    }

    @Test
    void noticesEndWithAStationOrASuccessAndAreKeptNewestFirst() throws Exception {
        onWindow(() -> {
            shop().tell("the first");
            shop().tell("the second");
            return null;
        });
        robot.type(KeyCode.DIGIT2);
        until("another station", () -> shop().notices().shownProperty().get().isEmpty());
        onWindow(() -> {
            shop().tell("the third");
            shop().season().changeSetup(s -> s.withLaw(s.law().withBaseCommand(31)));
            return null;
        });
        assertThat(shop().notices().shownProperty().get())
                .as("the next success")
                .isEmpty();
        assertThat(shop().notices().told().stream().map(n -> n.words()).toList())
                .containsExactly("the third", "the second", "the first");
    }

    @Test
    void aRunLoggedByASlipIsTakenBackByOneKey() throws Exception {
        go(Station.RUNS);
        robot.type(KeyCode.R);
        until("said", () -> text("logged").equals("Logged: run 1, finished"));
        robot.type(KeyCode.X);
        until("said again", () -> text("logged").equals("Logged: run 2, lost"));
        robot.type(KeyCode.BACK_SPACE);
        until("taken back", () -> shop().season().runs().size() == 1);
        assertThat(shop().season().runs()).extracting(Run::outcome).allMatch(o -> o.completed());
        robot.type(KeyCode.BACK_SPACE);
        assertThat(shop().season().runs()).as("one slip, one key").hasSize(1);
    }

    @Test
    void everyKeyIsListedAndTheFirstFieldIsOneKeyAway() throws Exception {
        robot.press(KeyCode.SHIFT).press(KeyCode.SLASH).release(KeyCode.SLASH).release(KeyCode.SHIFT);
        until("the keys", () -> robot.lookup("#keysPage").tryQuery().isPresent());
        robot.type(KeyCode.ESCAPE);
        until("back", () -> robot.lookup("#keysPage").tryQuery().isEmpty());
        page("numbers");
        robot.type(KeyCode.F5);
        until("in the first field", () -> "trackWidth".equals(focused().getId()));
        robot.type(KeyCode.TAB);
        until("in reading order", () -> "freeSpeed".equals(focused().getId()));
        robot.type(KeyCode.F7);
        until("in the strip", () -> "connectBench".equals(focused().getId()));
        robot.type(KeyCode.SPACE);
        until(
                "connected without the mouse",
                () -> shop().live().statusProperty().get().simulated());
    }

    @Test
    void howItWasLeftIsRemembered() throws Exception {
        onWindow(() -> {
            stage().setWidth(1100);
            stage().setHeight(700);
            robot.lookup("#day").queryButton().fire();
            return null;
        });
        go(Station.MEASURE);
        page("link-and-logger");
        robot.clickOn("#address").write("127.0.0.1:1").type(KeyCode.ENTER);
        close();
        open(List.of(home.resolve("season.fahrbahn").toString()));
        untilOpen();
        assertThat(stage().getWidth()).isEqualTo(1100);
        assertThat(stage().getHeight()).isEqualTo(700);
        assertThat(text("freshness")).startsWith("Measure");
        assertThat(robot.lookup("#linkState").tryQuery()).isPresent();
        assertThat(written("address")).isEqualTo("127.0.0.1:1");
        assertThat(robot.lookup(".main-window").query().getPseudoClassStates())
                .extracting(p -> p.getPseudoClassName())
                .contains("day")
                .doesNotContain("large");
    }

    @Test
    void theDemoGreetsOnceAndIsPutAwayForGood() throws Exception {
        close();
        openDemo();
        until("greeted", () -> robot.lookup("#greeting").query().isVisible());
        robot.type(KeyCode.F8);
        until("put away", () -> !robot.lookup("#greeting").query().isVisible());
        close();
        openDemo();
        assertThat(robot.lookup("#greeting").query().isVisible()).isFalse();
    }
}
