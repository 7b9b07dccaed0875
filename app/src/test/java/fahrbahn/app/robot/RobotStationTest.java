package fahrbahn.app.robot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.app.InWindow;
import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.live.LiveStatus;
import fahrbahn.app.robot.bench.BenchCard;
import fahrbahn.app.robot.bench.Practice;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Knowledge;
import fahrbahn.core.practice.RollShowing;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.store.document.Kinds;
import java.util.Locale;
import javafx.geometry.Point2D;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The Robot station in a real window: sensors by mouse and keys, bench cards, guesses. */
class RobotStationTest extends InWindow {
    private Setup setup() {
        return shop().season().setupOrGuess();
    }

    private Sensor sensor(int index) {
        return setup().robot().sensors().get(index);
    }

    /** Presses on a sensor, where the picture has it, and lets go elsewhere. */
    private void drag(int sensor, double dx, double dy) throws Exception {
        fahrbahn.app.robot.SensorPlaces places =
                new fahrbahn.app.robot.SensorPlaces(robot.lookup("#topView").query());
        Point2D at = onWindow(() -> places.onScreen(sensor));
        robot.dragBy(at, dx, dy);
        settled();
    }

    @Test
    void aSensorIsDraggedNudgedAndPutBackByUndo() throws Exception {
        Sensor before = sensor(0);
        Sensor other = sensor(1);
        drag(0, 0, -40);
        until("it has moved", () -> sensor(0).forwardMm() > before.forwardMm() + 5);
        assertThat(sensor(0).leftMm()).as("straight up").isCloseTo(before.leftMm(), within(1.0));
        assertThat(sensor(1)).as("the other stays").isEqualTo(other);
        Sensor dragged = sensor(0);
        robot.type(KeyCode.UP).type(KeyCode.UP).type(KeyCode.LEFT);
        until(
                "nudged by the keys, a millimetre each",
                () -> sensor(0).forwardMm() == dragged.forwardMm() + 2
                        && sensor(0).leftMm() == dragged.leftMm() + 1);
        robot.type(KeyCode.H).type(KeyCode.DOWN);
        until("the other one in hand", () -> sensor(1).forwardMm() == before.forwardMm() - 1);
        for (int i = 0; i < 5; i++) {
            undo();
        }
        until("all put back", () -> sensor(0).equals(before));
    }

    @Test
    void aRowOfAnyNumberIsPutOnAndItsCurveExplained() throws Exception {
        robot.type(KeyCode.PAGE_DOWN);
        until(
                "its numbers are shown",
                () -> robot.lookup("#usePreset").tryQuery().isPresent());
        settled();
        robot.clickOn("#usePreset");
        until("five sensors", () -> setup().robot().sensors().size() == 5);
        robot.type(KeyCode.PAGE_UP);
        settled();
        assertThat(setup().law().signal()).isEqualTo(ErrorSignal.ARRAY_MEAN);
        until("explained", () -> text("spacingWords").contains("between sensors"));
        assertThat(text("curveWords")).contains("Error is linear over", "ripple");
        assertThat(text("clearanceWords")).contains("ramps up to", "bumps up to");
        type("sensorLead", "64");
        until("typed", () -> sensor(0).forwardMm() == 64);
        undo();
        undo();
        until("two again", () -> setup().robot().sensors().size() == 2);
    }

    @Test
    void rolledMetresGiveTheSpeedAndABatteryMakesItStale() throws Exception {
        page("bench");
        addRoll("50", "4.02");
        addRoll("50", "3.98");
        addRoll("100", "1.99");
        addRoll("100", "2.01");
        until(
                "four entries",
                () -> shop().robot().bench().entries(BenchCard.ROLL).size() == 4);
        assertThat(text("benchResult"))
                .startsWith("At max power 5")
                .contains("dead band")
                .as("nobody measured how it drifts")
                .doesNotContain("No drift", "It drifts");
        robot.clickOn("#useResult");
        until("on the robot", () -> shop().season().facts().containsKey(Constant.FREE_SPEED));
        assertThat(setup().robot().drive().freeSpeedMmPerS()).isCloseTo(500, within(15.0));
        until("the rest is guessed", () -> mark(Station.ROBOT) == Freshness.Mark.GUESS);

        page("guesses");
        until("known as measured", () -> origin(Constant.FREE_SPEED) == Knowledge.Origin.MEASURED);
        assertThat(origin(Constant.LAG)).isEqualTo(Knowledge.Origin.GUESS);
        assertThat(text("guessLead")).contains("makes the wiggle limit uncertain by");
        robot.clickOn("#history-FREE_SPEED");
        until(
                "its history",
                () -> robot.lookup("#factHistory .label").queryAll().stream()
                        .anyMatch(n -> ((Labeled) n).getText().contains("50, 1000, 4.02")));

        onWindow(() -> {
            shop().season().changeConditions(c -> c.withBatteryV(8.2));
            shop().robot().bench().use(BenchCard.ROLL);
            shop().season().changeConditions(c -> c.withBatteryV(7.1));
            return null;
        });
        until("stale", () -> mark(Station.ROBOT) == Freshness.Mark.STALE);
        until("with the reason", () -> text("freshness").contains("the battery has 7.1 V and had 8.2"));
        assertThat(text("repair")).isEqualTo("Fix: measure the free speed again: Roll a metre");
        robot.clickOn("#repair");
        until("the card is up", () -> robot.lookup("#addEntry").tryQuery().isPresent());
        undo();
        until("it holds again", () -> mark(Station.ROBOT) == Freshness.Mark.GUESS);
    }

    private void addRoll(String command, String time) {
        robot.clickOn("#entry-0");
        over(command);
        type("entry-2", time);
    }

    private Knowledge.Origin origin(Constant constant) {
        return shop().robot().constants().get().orElseThrow().stream()
                .filter(s -> s.constant() == constant)
                .findFirst()
                .map(Knowledge::origin)
                .orElse(null);
    }

    @Test
    void anEntryThatCannotBeIsRefusedAtTheCard() {
        page("bench");
        robot.clickOn("#card-loops");
        type("entry-0", "-3");
        assertThat(text("entryProblem")).isEqualTo("loops is -3; it must be at least 1.");
        type("entry-0", "many");
        assertThat(text("entryProblem")).isEqualTo("loops is 'many'; it must be a number like 12.5.");
        assertThat(shop().robot().bench().entries(BenchCard.LOOPS)).isEmpty();
    }

    /** Without the mouse or paper: Space at each wiggle, B for a slip, Enter. The keys are the watch's in the fields as well. */
    @Test
    void wigglesAreTappedASlipIsTakenBackAndEnterKeepsThem() throws Exception {
        page("bench");
        robot.clickOn("#card-wiggles").type(KeyCode.SPACE, KeyCode.SPACE, KeyCode.SPACE, KeyCode.SPACE);
        until("three", () -> text("watchWords").startsWith("3 wiggles in "));
        robot.type(KeyCode.B);
        until("two", () -> text("watchWords").startsWith("2 wiggles in "));
        assertThat(text("entry-0")).isEqualTo("2");
        String two = text("entry-1");
        robot.clickOn("#entry-1").type(KeyCode.SPACE);
        until("three again", () -> text("entry-0").equals("3"));
        assertThat(Double.parseDouble(text("entry-1"))).isGreaterThan(Double.parseDouble(two));
        robot.type(KeyCode.ENTER);
        until("kept", () -> shop().robot().bench().entries(BenchCard.WIGGLES).size() == 1);
        assertThat(shop().robot().bench().entries(BenchCard.WIGGLES).get(0).get(0))
                .isEqualTo(3.0);
        assertThat(text("watchWords")).as("ready for the next").startsWith("Space starts");
    }

    /** A robot nobody knows is let go, timed by its marks, and what it was is shown beside what was found; nothing of it is kept. */
    @Test
    void aRollIsPractisedAndTheSecretShown() throws Exception {
        page("bench");
        robot.type(KeyCode.P);
        until("practising", () -> practice().card().isPresent());
        robot.clickOn("#entry-0").write("100").type(KeyCode.G); // at full command
        until("let go, from the field as well", () -> practice().went() == 1);
        RollShowing roll = new RollShowing(practice().hidden(), 100, 1000);
        double time = roll.timeS(1000) - roll.timeS(0);
        robot.clickOn("#entry-2")
                .write(String.format(Locale.ROOT, "%.2f", time))
                .type(KeyCode.ENTER);
        until("typed", () -> practice().rows().size() == 1);
        robot.type(KeyCode.ESCAPE).type(KeyCode.P);
        until("shown", () -> text("practiceSecret").contains("Free speed was"));
        assertThat(text("practiceSecret")).contains("inside your range").contains("Dead band was");
        onWindow(() -> {
            shop().robot().bench().use(BenchCard.ROLL);
            return null;
        });
        until("refused", () -> text("notice").startsWith("Practice: nothing"));
        assertThat(shop().season().state().documents(Kinds.ENTRIES).all()).isEmpty();
        assertThat(shop().season().setup().kept()).isEmpty();
        robot.clickOn("#card-loops");
        until("over", () -> practice().card().isEmpty());
    }

    private Practice.Stage practice() {
        return shop().robot().bench().practice().stageProperty().get();
    }

    @Test
    void aSlideWithTheBenchRobotGivesSpotsAndSurfaces() throws Exception {
        robot.clickOn("#connectBench");
        until("live", () -> shop().live().statusProperty().get().phase() == LiveStatus.Phase.LIVE);
        page("bench");
        robot.clickOn("#card-slide");
        robot.type(KeyCode.S);
        robot.clickOn("#benchSlide");
        until("across", () -> shop().live().benchRobot().placeMm() >= 59);
        robot.type(KeyCode.S);
        until("fitted", () -> text("benchResult").contains("spot 3."));
        robot.type(KeyCode.U);
        until("used", () -> shop().season().facts().containsKey(Constant.SPOT));
        // The bench robot's spots are 3.1 mm; the bar is 3 %.
        assertThat(sensor(0).spotSigmaMm()).isCloseTo(3.1, within(0.03 * 3.1));
        assertThat(sensor(1).spotSigmaMm()).isCloseTo(3.1, within(0.03 * 3.1));
        assertThat(sensor(0).light()).isCloseTo(742, within(3.0));
        assertThat(sensor(0).dark()).isCloseTo(236, within(8.0));
    }
}
