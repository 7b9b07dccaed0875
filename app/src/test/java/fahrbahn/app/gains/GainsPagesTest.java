package fahrbahn.app.gains;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InWindow;
import fahrbahn.core.setup.Law;
import fahrbahn.words.Words;
import java.util.List;
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
        gains("response");
        until("its response", () -> text("responseWords").contains("it is back within a tenth after"));
        assertThat(text("responseWords")).doesNotContain("Kp " + Words.number(set, 3) + ",");
        gains("map");
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
        until("found", () -> text("goalVerdict").startsWith("Take Kp "));
        double set = kp();
        robot.type(KeyCode.U);
        until("it is on the robot", () -> kp() != set);
        assertThat(text("goalVerdict"))
                .contains("Take Kp " + Words.number(kp()) + ", Kd ")
                .contains("By loop theory it wiggles at ");
        undo();
        until("taken back", () -> kp() == set);
    }

    /** A loop that gets longer: the sums, what becomes of each way, and robot and gains put so as one step; then a gain given in time. */
    @Test
    void gainsAreCarriedOverToALongerLoop() throws Exception {
        gains("carry-over");
        until("nothing differs", () -> text("transferVerdict").startsWith("The gains stand on the robot"));
        double periodS = shop().season().setupOrGuess().robot().loop().periodS();
        double kd = shop().season().setupOrGuess().law().kd();
        typeIn("newPeriod", Words.number(2000 * periodS));
        until("carried over", () -> text("transferVerdict").startsWith("For the changed robot "));
        String ms = Words.number(1000 * periodS) + "/" + Words.number(2000 * periodS) + " (ms a loop)";
        assertThat(text("transferSteering")).contains(ms);
        robot.type(KeyCode.ESCAPE).type(KeyCode.U);
        until(
                "the loop is longer",
                () -> shop().season().setupOrGuess().robot().loop().periodS() == 2 * periodS);
        undo();
        until(
                "taken back as one step",
                () -> shop().season().setupOrGuess().robot().loop().periodS() == periodS
                        && shop().season().setupOrGuess().law().kd() == kd);
        typeIn("newPeriod", "-3");
        assertThat(shop().season().setupOrGuess().robot().loop().periodS()).isEqualTo(periodS);
        robot.type(KeyCode.ESCAPE).type(KeyCode.ESCAPE);

        typeIn("unitKdS", "0.02");
        until("per loop", () -> Math.abs(shop().season().setupOrGuess().law().kd() - 0.02 / periodS) < 1e-9);
        assertThat(text("unitKd")).isEqualTo(Words.number(0.02 / periodS));
    }

    @Test
    void kiIsToldByWhatItBuysAndSet() throws Exception {
        gains("ki");
        until("its trade", () -> text("integralWords").contains(" per loop, "));
        typeIn("ki", "0.002");
        until("set", () -> shop().season().setupOrGuess().law().ki() == 0.002);
        undo();
        until("taken back", () -> text("ki").equals("0"));
    }

    /** A ladder by keys alone: set, run, tap, say what was seen; a sign error is told first; a slip is undone. */
    @Test
    void aLadderIsClimbedByKeys() throws Exception {
        gains("next-trial");
        until("the first trial", () -> text("nextReason").contains("simulated runs on this course finish"));
        assertThat(text("nextLadder")).isEqualTo("No trial yet.");
        double set = kp();
        robot.type(KeyCode.U);
        until("it is on the robot", () -> kp() != set);
        robot.type(KeyCode.A);
        until("the sign first", () -> text("nextReason").startsWith("It turns away at once"));
        assertThat(text("nextLadder"))
                .startsWith("1. Kp " + Words.number(kp(), 3))
                .contains("turns away");
        undo();
        until("taken back", () -> text("nextReason").contains("simulated runs on this course finish"));
        robot.type(KeyCode.Q).type(KeyCode.SPACE);
        until("the watch runs", () -> !text("watchSeconds").startsWith("0.0"));
        robot.type(KeyCode.SPACE).type(KeyCode.SPACE).type(KeyCode.W);
        until(
                "a trial",
                () -> text("nextLadder").startsWith("1. ") && text("nextLadder").contains("wiggles, a wiggle each"));
        until("ranges of before and now", () -> text("nextRanges").contains("(at first "));
        robot.type(KeyCode.U).type(KeyCode.E);
        until(
                "two trials",
                () -> text("nextLadder").startsWith("2. ") && text("nextLadder").contains("lost: bend"));
        assertThat(shop().season().runs().stream()
                        .filter(r -> r.outcome().seen().isPresent()))
                .hasSize(2)
                .anyMatch(r -> r.outcome().wiggles().isPresent());
    }

    /** A hidden robot drives what is next, says what was seen itself, leaves nothing in the log book, and tells its secrets. */
    /** A robot on an edge that rides light is told its target, and the trials with the old one stay; between two sensors there is none. */
    @Test
    void ridingBesideTheEdgeAsksForAnotherTarget() throws Exception {
        gains("next-trial");
        until("the first trial", () -> text("nextReason").contains("simulated runs on this course finish"));
        robot.type(KeyCode.L);
        until("no target to move", () -> text("nextReason").startsWith("It rides to one side"));
        onWindow(() -> {
            var season = shop().season();
            var setup = season.setupOrGuess();
            shop().gains()
                    .become(setup.withLaw(setup.law().withKind(Law.Kind.EDGE).withTarget(50)));
            return null;
        });
        until("another law, another ladder", () -> text("nextLadder").equals("No trial yet."));
        robot.type(KeyCode.L).type(KeyCode.L);
        until("its target", () -> text("nextReason").startsWith("It rides some "));
        robot.type(KeyCode.U);
        until("set", () -> shop().season().setupOrGuess().law().target() < 45);
        until("both trials stay", () -> text("nextLadder").startsWith("2. Kp "));
        robot.type(KeyCode.S);
        until(
                "put right",
                () -> text("nextLadder").startsWith("3. Kp ")
                        && !text("nextReason").startsWith("It rides"));
    }

    @Test
    void aHiddenRobotIsPractisedWith() throws Exception {
        gains("next-trial");
        until("the first trial", () -> text("nextReason").contains("simulated runs on this course finish"));
        int logged = shop().season().runs().size();
        robot.type(KeyCode.P);
        until("a hidden robot", () -> text("nextReason").endsWith("V lets the hidden robot drive it."));
        robot.type(KeyCode.V);
        until("it has run", () -> text("nextSecrets").startsWith("It has run"));
        assertThat(text("nextLadder")).isEqualTo("No trial yet.");
        robot.type(KeyCode.C); // no corner anywhere on this table: the eye is told better
        until("a trial of it", () -> text("nextLadder").startsWith("1. Kp "));
        assertThat(text("nextSecrets")).startsWith("You said lost: corner; we would call it ");
        robot.type(KeyCode.Y);
        until("revealed", () -> text("nextSecrets").startsWith("Its secrets: lag "));
        robot.type(KeyCode.P);
        until("back to the real one", () -> text("nextLadder").equals("No trial yet."));
        assertThat(shop().season().runs()).hasSize(logged);
    }

    /** What trials are for, and how many are left, is the season's: it comes back, and trials take from it. */
    @Test
    void whatTrialsAreForIsKept() throws Exception {
        gains("next-trial");
        until("the usual", () -> text("trialsLeft").equals("6"));
        typeIn("trialsLeft", "9");
        robot.type(KeyCode.ESCAPE);
        until("kept", () -> shop().season().choices().wishProperty().get().trialsLeft() == 9);
        typeIn("trialAlong", "-4");
        robot.type(KeyCode.ESCAPE).type(KeyCode.S);
        until("one less", () -> text("trialsLeft").equals("8"));
        assertThat(shop().season().runs().get(0).outcome().stop().alongMm()).isEqualTo(-4);
        until("of the next nobody has measured it", () -> text("trialAlong").isEmpty());
        undo();
        until("the run taken back gives it again", () -> text("trialsLeft").equals("9"));
        close();
        open(List.of(home.resolve("season.fahrbahn").toString()));
        untilOpen();
        gains("next-trial");
        until("it comes back", () -> text("trialsLeft").equals("9"));
    }
}
