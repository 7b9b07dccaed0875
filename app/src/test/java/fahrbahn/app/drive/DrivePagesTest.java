package fahrbahn.app.drive;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InWindow;
import fahrbahn.app.drive.run.Drive;
import fahrbahn.app.freshness.Station;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import fahrbahn.store.exchange.TracesFile;
import fahrbahn.words.Words;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The Drive station by its keys: a replay scrubbed, a lost run opened, two settings compared. */
class DrivePagesTest extends InWindow {
    @BeforeEach
    void go() throws Exception {
        go(Station.DRIVE);
        until("there", () -> robot.lookup("#runTwin").tryQuery().isPresent());
    }

    private Drive drive() {
        return shop().drive().driveProperty().get().orElseThrow();
    }

    private void run() throws Exception {
        robot.type(KeyCode.SPACE);
        until("driven", () -> shop().drive().driveProperty().get().isPresent());
    }

    private double cursorS() {
        String words = text("replayNow");
        return Double.parseDouble(words.substring(0, words.indexOf(" s,")));
    }

    @Test
    void aRunIsScrubbedByKeysAndTheRobotFollows() throws Exception {
        hands.hold(); // else a slow machine would have it at its end
        run();
        robot.type(KeyCode.PERIOD);
        until("faster", () -> text("replaySpeed").endsWith("\u00d74"));
        robot.type(KeyCode.P);
        until("halted", () -> text("replaySpeed").startsWith("halted"));
        double at = cursorS();
        double periodS = drive().setup().robot().loop().periodS();
        robot.type(KeyCode.UP).type(KeyCode.UP);
        until("half a second on from " + at, () -> Math.abs(cursorS() - at - 0.5) < 0.02);
        robot.type(KeyCode.LEFT);
        until("a tick back", () -> Math.abs(cursorS() - at - 0.5 + periodS) < 0.02);
        robot.type(KeyCode.RIGHT).type(KeyCode.DOWN);
        until("a quarter second back", () -> Math.abs(cursorS() - at - 0.25) < 0.02);
        assertThat(text("replayNow")).contains("Error ", "steering ", "wheels ");
        robot.type(KeyCode.Z);
        robot.type(KeyCode.P);
        until("goes on", () -> {
            hands.later(0.05);
            return cursorS() > at + 0.4;
        });
    }

    /** With a gain too small for the bends, runs are lost; one key opens the first, the next one another. */
    @Test
    void aLostRunOfManyIsOpenedByOneKeyWithItsReason() throws Exception {
        onWindow(() -> {
            shop().gains().choice().choose(shop().season().setupOrGuess().law().kp() / 20, 0, 0);
            return null;
        });
        robot.type(KeyCode.M);
        until("driven", () -> shop().drive().oddsProperty().get().isPresent());
        until("its page", () -> robot.lookup("#manyReasons").tryQuery().isPresent());
        assertThat(text("manyChance")).contains(" to ");
        robot.type(KeyCode.L);
        until("opened", () -> shop().drive().driveProperty().get().isPresent());
        until("its page", () -> robot.lookup("#replayNow").tryQuery().isPresent());
        int first = drive().number();
        assertThat(first).isPositive();
        assertThat(drive().result().completed()).isFalse();
        assertThat(text("verdict")).startsWith("Lost ");
        robot.type(KeyCode.V);
        until(
                "at the loss",
                () -> Math.abs(cursorS() - drive().loss().orElseThrow().atS()) < 0.02);
        onWindow(() -> {
            robot.lookup("#page-many-runs").queryButton().fire();
            return null;
        });
        robot.type(KeyCode.L);
        until("another", () -> drive().number() != first);
    }

    /** A robot that is 50 ms slower than its setup has it: its log says so, and one key puts it on the robot. */
    @Test
    void aLogIsPastedItsFaultNamedAndWhatItTellsKept() throws Exception {
        Setup set = shop().season().setupOrGuess();
        double lagS = set.robot().drive().lagS();
        Setup real = set.withDrive(set.robot().drive().withLagS(lagS + 0.05));
        Trace trace = new Trace();
        Twin.asProgrammed(Track.of(DemoCourses.workshopLoop(), real), set, Start.noisy(2, 5), trace);
        Path csv = home.resolve("log.csv");
        TracesFile.write(csv, trace, set);
        onWindow(() -> {
            robot.lookup("#page-robot-log").queryButton().fire();
            ClipboardContent content = new ClipboardContent();
            content.putString(Files.readString(csv));
            Clipboard.getSystemClipboard().setContent(content);
            return null;
        });
        robot.type(KeyCode.V);
        until("read", () -> text("verdict").startsWith("From a reading to its effect it takes "));
        robot.type(KeyCode.U);
        until(
                "on the robot",
                () -> shop().season().facts().containsKey(Constant.LAG)
                        && shop().season().setupOrGuess().robot().drive().lagS() > lagS + 0.02);
        undo();
        until("taken back", () -> shop().season().setupOrGuess().robot().drive().lagS() == lagS);
    }

    /** What comes over the link is taken down by one key, and read by the same: a file that grows stands in for the robot. */
    @Test
    void aLogIsTakenDownFromTheLink() throws Exception {
        Setup set = shop().season().setupOrGuess();
        Trace trace = new Trace();
        Twin.run(Track.of(DemoCourses.workshopLoop(), set), Start.noisy(2, 5), trace);
        Path csv = home.resolve("whole.csv");
        TracesFile.write(csv, trace, set);
        List<String> lines = Files.readAllLines(csv);
        Path growing = home.resolve("growing.csv");
        Files.writeString(growing, lines.get(0) + "\n");
        onWindow(() -> {
            robot.lookup("#page-robot-log").queryButton().fire();
            shop().live().connectToFile(growing);
            return null;
        });
        robot.type(KeyCode.R);
        until(
                "it takes down",
                () -> robot.lookup("#recordLog").queryButton().getText().startsWith("Stop and read"));
        for (int sent = 1; sent < lines.size(); sent += 100) { // as fast as it is heard: nothing is to be dropped
            int until = Math.min(lines.size(), sent + 100);
            Files.write(growing, lines.subList(sent, until), StandardOpenOption.APPEND);
            until("heard", () -> shop().live().statusProperty().get().readings() >= until - 1);
        }
        robot.type(KeyCode.R);
        until(
                "read",
                () -> ((VBox) robot.lookup("#logFigures").query()).getChildren().size() > 2);
        Label loop = (Label)
                ((VBox) robot.lookup("#logFigures").query()).getChildren().get(0);
        assertThat(loop.getText())
                .contains(Words.number(1000 * set.robot().loop().periodS()) + " ms");
        onWindow(() -> {
            shop().live().disconnect();
            return null;
        });
    }

    @Test
    void whatIsSetIsComparedWithWhatWasHeld() throws Exception {
        onWindow(() -> {
            robot.lookup("#page-a-and-b").queryButton().fire();
            return null;
        });
        robot.type(KeyCode.A);
        onWindow(() -> {
            shop().gains().choice().choose(shop().season().setupOrGuess().law().kp() / 20, 0, 0);
            return null;
        });
        robot.type(KeyCode.SPACE);
        until("answered", () -> text("verdict").startsWith("Take "));
        assertThat(text("verdict")).contains(" as kept: it completes ");
        assertThat(text("twoDiffers")).startsWith("They differ in 2 things");
        assertThat(((GridPane) robot.lookup("#twoFigures").query()).getRowCount())
                .isEqualTo(9);
    }
}
