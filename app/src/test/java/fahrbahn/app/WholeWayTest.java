package fahrbahn.app;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.live.LiveStatus;
import fahrbahn.app.season.Verdict;
import fahrbahn.core.levels.SensorLevels;
import fahrbahn.core.trials.Run;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Labeled;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The real window under a real display, driven by its keys and buttons through the whole way. */
class WholeWayTest extends InWindow {
    @Test
    void fromLiveReadingsToALoggedRunThatIsThereAfterReopening() throws Exception {
        assertThat(text("verdict")).contains("Typical values");
        robot.clickOn("#page-numbers");
        type("trackWidth", "136");
        until("the track width is kept", () -> shop().season().setup().kept().isPresent());
        assertThat(shop().season().setupOrGuess().robot().drive().trackWidthMm())
                .isEqualTo(136);

        robot.clickOn("#connectBench");
        until("live readings", () -> shop().live().statusProperty().get().phase() == LiveStatus.Phase.LIVE);
        go(Station.MEASURE);
        capture(KeyCode.L, "light");
        robot.clickOn("#benchDark");
        capture(KeyCode.D, "dark");
        until("judged", () -> mark(Station.MEASURE) == Freshness.Mark.FRESH);
        until("captured, not used yet", () -> mark(Station.LEVELS) == Freshness.Mark.STALE);

        go(Station.LEVELS);
        SensorLevels left = shop().levels().sensors().get(0);
        assertThat(left.levels().bestLevel())
                .isBetween(left.levels().dark().mean(), left.levels().light().mean());
        robot.type(KeyCode.U);
        until("the levels are on the robot", () -> mark(Station.LEVELS) == Freshness.Mark.FRESH);
        assertThat(shop().season().setupOrGuess().robot().sensors().get(0).dark())
                .isBetween(225.0, 245.0);

        go(Station.GAINS);
        until("the lane is there", () -> shop().gains().picture().get().isPresent());
        until("advice", () -> !robot.lookup("#useGains").query().isDisabled());
        robot.type(KeyCode.U);
        until("the gains are chosen", () -> mark(Station.GAINS) == Freshness.Mark.GUESS);
        until(
                "the verdict is good",
                () -> shop().gains().verdictProperty().get().tone() == Verdict.Tone.GOOD);

        go(Station.DRIVE);
        robot.type(KeyCode.SPACE);
        until("the twin has run", () -> shop().drive().canKeep());
        assertThat(shop().drive().verdictProperty().get().sentence()).startsWith("Finished in");
        robot.type(KeyCode.K);
        until("the run is logged", () -> shop().runs().runs().size() == 1);
        robot.clickOn("#course").clickOn("Harbour errand");
        until(
                "another course is laid",
                () -> shop().drive().laidProperty().get().orElseThrow().name().equals("Harbour errand"));
        robot.type(KeyCode.M);
        until("the odds are there", () -> shop().drive().oddsProperty().get().isPresent());
        assertThat(text("verdict")).contains("of 200 runs on ");

        go(Station.RUNS);
        robot.type(KeyCode.SPACE);
        until("it runs", () -> shop().runs().log().watch().elapsedS() > 0.05);
        robot.type(KeyCode.SPACE);
        until("timed", () -> text("watchWords").startsWith("1 lap in "));
        assertThat(text("runTime")).matches("\\d+\\.\\d\\d");
        robot.type(KeyCode.X);
        until("a lost run of the table is logged", () -> shop().runs().runs().size() == 2);
        undo();
        until("undo takes it back", () -> shop().runs().runs().size() == 1);
        Run logged = shop().runs().runs().get(0);

        close();
        open();
        assertThat(shop().runs().runs()).containsExactly(logged);
        assertThat(shop().season().captures()).hasSize(2);
        assertThat(shop().season().setupOrGuess()).isEqualTo(logged.setting().setup());
        robot.clickOn("#station-runs");
        TableView<?> table = robot.lookup("#runs").queryTableView();
        assertThat(table.getItems()).hasSize(1);
    }

    @Test
    void changingTheRobotMarksWhatDependsOnItWithTheReason() throws Exception {
        go(Station.GAINS);
        until("advice", () -> shop().gains().picture().get().isPresent());
        type("kp", "0.3");
        until("chosen", () -> mark(Station.GAINS) == Freshness.Mark.GUESS);
        go(Station.ROBOT);
        robot.clickOn("#page-numbers");
        type("loopTime", "20");
        until("stale", () -> mark(Station.GAINS) == Freshness.Mark.STALE);
        assertThat(shop().gains().freshnessProperty().get().reason()).contains("loop time (s) 0.01 to 0.02");
        go(Station.GAINS);
        until("a pair worked out anew", () -> !robot.lookup("#useGains").query().isDisabled());
        robot.clickOn("#repair");
        until("repaired", () -> mark(Station.GAINS) == Freshness.Mark.GUESS);
        robot.clickOn("#undo");
        until("stale again", () -> mark(Station.GAINS) == Freshness.Mark.STALE);
        robot.clickOn("#undo");
        until("as before", () -> mark(Station.GAINS) == Freshness.Mark.GUESS);
    }

    @Test
    void badInputIsToldInWordsAndNothingIsLost() throws Exception {
        robot.clickOn("#page-numbers");
        robot.clickOn("#lineWidth");
        over("-20");
        robot.type(KeyCode.TAB).clickOn("#page-numbers");
        assertThat(text("lineWidth")).isEqualTo("-20");
        assertThat(robot.lookup(".problem").queryAll().stream().map(n -> ((Labeled) n).getText()))
                .contains("It is -20; it must be above 0, at most 500");
        assertThat(shop().season().setup().kept()).isEmpty();

        robot.type(KeyCode.ESCAPE); // out of the next field: a digit there would be a number
        go(Station.MEASURE);
        robot.type(KeyCode.W);
        until("told", () -> text("notice").contains("No robot connected"));
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
        until("told", () -> text("startTold").contains("diary.fahrbahn: not a season file"));
        assertThat(Files.readString(stranger)).isEqualTo("dear diary");
        robot.type(KeyCode.DIGIT1); // the season used last
        untilOpen();
        robot.clickOn("#page-numbers");
        type("trackWidth", "150");
        until("kept", () -> shop().season().setup().kept().isPresent());
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
        until("a level", () -> robot.lookup("#level-left").tryQuery().isPresent());
        undo();
        until("one undo takes both", () -> shop().season().captures().isEmpty());
        robot.press(KeyCode.CONTROL, KeyCode.SHIFT).type(KeyCode.Z).release(KeyCode.SHIFT, KeyCode.CONTROL);
        until("redo", () -> shop().season().captures().size() == 2);
    }
}
