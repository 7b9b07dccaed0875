package fahrbahn.app.runs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.app.InWindow;
import fahrbahn.app.club.RobotKind;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.runs.QuickLog.Typed;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.plan.PlanRequest;
import fahrbahn.core.plan.PlanRequest.Team;
import fahrbahn.core.plan.Schedule;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.Draft;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.trials.Run;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;
import javafx.stage.Window;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** The pages of Runs, by keys and by mouse. */
class RunsPagesTest extends InWindow {
    private List<Run> runs() {
        return shop().runs().runs();
    }

    private void log(boolean completed, Typed typed) throws Exception {
        onWindow(() -> {
            shop().runs().log().log(completed, typed);
            return null;
        });
    }

    private void toRuns(String page) throws Exception {
        go(Station.RUNS);
        page(page);
        settled();
    }

    private static String words(Node pane) {
        StringBuilder words = new StringBuilder();
        ((Pane) pane)
                .getChildren()
                .forEach(n ->
                        words.append(n instanceof Label l ? l.getText() : "").append('\n'));
        return words.toString();
    }

    private String wordsOf(String id) throws Exception {
        return onWindow(() -> words(robot.lookup("#" + id).query()));
    }

    /** Four presses: the clock on and off, what was seen, how it ended. */
    private static Typed timed(String time) {
        return new Typed(time, "", "", "", "", "");
    }

    @Test
    void aRunWithWhatWasSeenCostsFourKeys() throws Exception {
        go(Station.RUNS);
        robot.type(KeyCode.SPACE);
        until("it runs", () -> text("watchSeconds").compareTo("0.05 s") >= 0);
        robot.type(KeyCode.SPACE).type(KeyCode.W).type(KeyCode.R);
        until("logged", () -> runs().size() == 1);
        assertThat(runs().get(0).outcome().seen()).isEqualTo(Optional.of(Seen.WIGGLES));
        assertThat(runs().get(0).outcome().timeS()).isPositive();
        robot.type(KeyCode.E).type(KeyCode.E).type(KeyCode.R); // said and taken back
        until("logged", () -> runs().size() == 2);
        assertThat(runs().get(1).outcome().seen()).isEmpty();
    }

    /** Where it stopped and where it was lost are pointed at. */
    @Test
    void placesArePointedAt() throws Exception {
        go(Station.RUNS);
        settled();
        Node target = robot.lookup(n -> n.getClass().getSimpleName().equals("StopsPicture") && n.getScene() != null)
                .query();
        Point2D middle = onWindow(() -> target.localToScreen(
                target.getLayoutBounds().getWidth() / 2 + 30,
                target.getLayoutBounds().getHeight() / 2));
        robot.clickOn(middle);
        until("a place along", () -> !text("runAlong").isEmpty());
        double along = Double.parseDouble(text("runAlong"));
        assertThat(along).isPositive();
        assertThat(Math.abs(Double.parseDouble(text("runAcross")))).isLessThan(0.5);
        robot.type(KeyCode.R);
        until("logged", () -> runs().size() == 1);
        assertThat(runs().get(0).outcome().stop().alongMm()).isEqualTo(along);
        Node course = robot.lookup(n -> n.getClass().getSimpleName().equals("CourseTarget"))
                .query();
        robot.clickOn(onWindow(() -> course.localToScreen(
                course.getLayoutBounds().getWidth() / 2,
                course.getLayoutBounds().getHeight() / 2)));
        until("a place on the line", () -> text("runLostAt").endsWith(" m"));
        robot.type(KeyCode.X);
        until("logged", () -> runs().size() == 2);
        assertThat(runs().get(1).outcome().lostMm()).isPositive();
    }

    /** Found, mended and taken out by keys; undo brings it back as it was mended. */
    @Test
    void aRunIsMendedByKeys() throws Exception {
        log(true, timed("20"));
        log(true, timed("2.1").withNote("#slip"));
        toRuns("log-book");
        until("shown", () -> text("bookCount").equals("2 runs."));
        onWindow(() -> {
            robot.lookup("#bookSearch").query().requestFocus();
            return null;
        });
        robot.write("#slip");
        until("found", () -> text("bookCount").equals("1 of 2 runs."));
        onWindow(() -> {
            robot.lookup("#verdict").query().getScene().getRoot().requestFocus();
            return null;
        });
        robot.type(KeyCode.DOWN);
        until("in hand", () -> text("mendTime").equals("2.1"));
        typeIn("mendTime", "21");
        until("mended", () -> runs().get(1).outcome().timeS() == 21);
        until(
                "its history",
                () -> text("bookHistory").contains("Edited")
                        && text("bookHistory").contains("2.10 s"));
        robot.type(KeyCode.ESCAPE).type(KeyCode.R);
        until("lost after all", () -> !runs().get(1).outcome().completed());
        robot.type(KeyCode.DELETE);
        until("taken out", () -> runs().size() == 1);
        undo();
        until("there again", () -> runs().size() == 2);
        assertThat(runs().get(1).outcome().timeS()).isEqualTo(21);
        typeIn("bookSearch", "speed<3");
        until("refused in words", () -> text("searchProblem").contains("'speed'"));
    }

    /** Then the gains are others. */
    private void sixLostWithOtherGains() throws Exception {
        for (int i = 0; i < 6; i++) {
            log(false, Typed.NOTHING);
        }
        onWindow(() -> {
            shop().gains().choice().choose(0.2, 0, 0.4);
            return null;
        });
    }

    /** Two settings compared by keys: the answer with its numbers, and what keeps it from telling. */
    @Test
    void twoSettingsAreComparedByKeys() throws Exception {
        sixLostWithOtherGains();
        for (int i = 0; i < 6; i++) {
            log(true, timed(String.valueOf(20 + i)));
        }
        toRuns("compare");
        until("told", () -> text("compareVerdict").equals("B finishes more often: 6 of 6, A 0 of 6."));
        assertThat(wordsOf("compareWarnings")).contains("One was run before the other");
        robot.type(KeyCode.A);
        until("A is B", () -> text("compareVerdict").startsWith("A and B are the same group"));
        robot.type(KeyCode.DOWN).type(KeyCode.B);
        until("turned round", () -> text("compareVerdict").equals("A finishes more often: 6 of 6, B 0 of 6."));
        robot.type(KeyCode.G);
        until("by the program", () -> text("compareVerdict").startsWith("There is 1 group"));
        typeIn("typedA", "0 of 10 missed");
        typeIn("typedB", "3 of 10 missed");
        until("typed", () -> text("compareVerdict").contains("about 11 more runs each would show it"));
    }

    /** The clock of the minutes left, blocks done by key, a logged run that is one of them. */
    @Test
    void aPlanIsFollowedByKeys() throws Exception {
        toRuns("plan");
        robot.type(KeyCode.B);
        until("begun", () -> text("minutesLeft").startsWith("39:5"));
        until("planned", () -> text("planVerdict").startsWith("0 runs made, 10 planned."));
        robot.type(KeyCode.D); // the sign check
        until(
                "the check is done",
                () -> shop().runs()
                                .plan()
                                .onItsWayProperty()
                                .get()
                                .orElseThrow()
                                .schedule()
                                .done()
                                .size()
                        == 1);
        page("log");
        until("what is next", () -> text("planNext").contains("confirm: Kp"));
        robot.type(KeyCode.R);
        until("logged", () -> runs().size() == 1);
        page("plan");
        until("counted", () -> text("planVerdict").startsWith("1 run made, 9 planned."));
        robot.type(KeyCode.E);
        until("ended", () -> text("minutesLeft").isEmpty());
    }

    /** Chosen at the table by P, kept with the run, seen in the log book; a file that is none is refused in words, and who says no has none. */
    @Test
    void aPhotographIsTakenAndSeen() throws Exception {
        Path picture = home.resolve("stop.png");
        BufferedImage image = new BufferedImage(1200, 800, BufferedImage.TYPE_INT_RGB);
        Graphics2D paint = image.createGraphics();
        paint.setColor(new Color(200, 40, 20));
        paint.fillRect(0, 0, 1200, 800);
        paint.dispose();
        ImageIO.write(image, "png", picture.toFile());
        Path none = Files.writeString(home.resolve("none.png"), "not a picture");
        List<File> answers = new ArrayList<>();
        List<String> asked = new ArrayList<>();
        onWindow(() -> {
            Window window = robot.lookup("#verdict").query().getScene().getWindow();
            FileAsk.standIn(window, chooser -> {
                asked.add(chooser.getExtensionFilters().get(0).getExtensions().toString());
                return answers.remove(0);
            });
            return null;
        });
        toRuns("log");
        answers.addAll(Arrays.asList(null, none.toFile(), picture.toFile()));
        robot.type(KeyCode.P);
        until("asked", () -> asked.size() == 1);
        assertThat(asked.get(0)).contains("*.png", "*.jpg", "*.jpeg");
        assertThat(text("runPhoto")).isEqualTo("Photo");
        robot.type(KeyCode.P);
        until("refused", () -> text("notice").contains("none.png"));
        robot.type(KeyCode.P);
        until("taken", () -> text("runPhoto").equals("Photo taken"));
        robot.type(KeyCode.R);
        until("logged", () -> runs().size() == 1 && runs().get(0).photo().isPresent());
        page("log-book");
        until("listed", () -> text("bookCount").startsWith("1 run"));
        robot.type(KeyCode.DOWN);
        until("seen", () -> {
            ImageView shown = robot.lookup("#photoShown").query();
            return shown.isVisible() && shown.getImage() != null;
        });
        Image shown = ((ImageView) robot.lookup("#photoShown").query()).getImage();
        assertThat(shown.getWidth() / shown.getHeight()).isCloseTo(1.5, within(0.01));
        javafx.scene.paint.Color middle =
                shown.getPixelReader().getColor((int) shown.getWidth() / 2, (int) shown.getHeight() / 2);
        assertThat(255 * middle.getRed()).isCloseTo(200, within(4.0));
        assertThat(255 * middle.getGreen()).isCloseTo(40, within(4.0));
    }

    /** Begun five minutes ago and nothing done: it is planned anew by itself, and said. */
    @Test
    void aPlanThatSlipsIsMadeAnew() throws Exception {
        onWindow(() -> {
            String name = shop().season().setupOrGuess().robot().name();
            Team team = new Team("crew", List.of(name), List.of("as set"), 30, 30, 9);
            shop().season()
                    .logBook()
                    .plan()
                    .set(
                            "a plan",
                            Schedule.begun(
                                    new PlanRequest(10, List.of("table 1"), List.of(team)),
                                    Instant.now().minusSeconds(300),
                                    1));
            return null;
        });
        toRuns("plan");
        until("said", () -> text("notice").contains("Running late"));
        until("planned again", () -> text("planVerdict").contains("have no room"));
        assertThat(text("planLeftOut")).contains("of 9");
        assertThat(text("minutesLeft")).matches("4:5\\d|5:00");
    }

    /** A robot whose program says when it runs needs no thumb: its own clock fills the time in. */
    @Test
    void theRobotsStreamIsTheClock() throws Exception {
        onWindow(() -> {
            shop().season().club().additions().addRobot(RobotKind.PAIR.setup("Wren"));
            shop().season()
                    .club()
                    .additions()
                    .addTable(Draft.of(new Course(
                            "Short",
                            900,
                            300,
                            new Pose(100, 150, 0),
                            List.of(new Part.Straight(500), new Part.End(60)),
                            false)));
            shop().live().connectToBenchRobot();
            return null;
        });
        go(Station.RUNS);
        onWindow(() -> {
            shop().live().send("drive");
            return null;
        });
        until("timed by the robot", () -> text("robotSays").equals("by the robot's clock"));
        double tookS = Double.parseDouble(text("runTime"));
        assertThat(tookS).isPositive(); // of the robot's clock, whatever the machine's
        robot.type(KeyCode.R);
        until("logged", () -> runs().size() == 1);
        assertThat(runs().get(0).outcome().timeS()).isEqualTo(tookS);
    }

    /** The season in stretches, told and drawn. */
    @Test
    void theSeasonTellsWhenItGotBetter() throws Exception {
        sixLostWithOtherGains();
        for (int i = 0; i < 6; i++) {
            log(true, Typed.NOTHING);
        }
        toRuns("season");
        until("told", () -> text("seasonVerdict").contains("12 runs in 2 stretches"));
        assertThat(text("seasonVerdict")).contains("It got better 1 time");
        assertThat(wordsOf("seasonChanges")).contains("2. ", "finished 6 of 6", "better.", "1. ", "the first runs");
    }

    /** What scatters the stops, by log book and twin together. */
    @Test
    void whatWouldMakeItBetterIsTold() throws Exception {
        String[] along = {"0", "3", "-2", "25", "1", "-30", "14", "-9"};
        for (String mm : along) {
            log(true, new Typed("", mm, "0.5", "", "", ""));
        }
        toRuns("where-it-stops");
        until("told", () -> wordsOf("stopsBetter").contains("Simulated: "));
        String byTimer = wordsOf("stopsBetter");
        choose("stopsRule", KeyCode.DOWN);
        until("another rule", () -> !wordsOf("stopsBetter").equals(byTimer));
        undo();
        until("as before", () -> wordsOf("stopsBetter").equals(byTimer));
    }
}
