package fahrbahn.app.gains;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InWindow;
import fahrbahn.app.gains.goal.GoalWords;
import fahrbahn.app.gains.map.MapModel;
import fahrbahn.app.gains.next.NextModel;
import fahrbahn.app.gains.next.Practice;
import fahrbahn.app.gains.transfer.TransferModel;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.next.NextTrial;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.tuning.race.CourseAdvice;
import fahrbahn.store.document.Kinds;
import fahrbahn.words.Words;
import java.util.List;
import java.util.Optional;
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

    private NextModel next() {
        return shop().gains().next();
    }

    private GainsModel model() {
        return shop().gains();
    }

    /** What the page shows as the next trial, after so many; empty while it is worked out. */
    private Optional<NextTrial> next(int trials) {
        return next().answer()
                .valueProperty()
                .get()
                .ready()
                .filter(answer -> answer.story().trials().size() == trials)
                .map(NextModel.Answer::next);
    }

    private List<Trial> trials() throws Exception {
        return onWindow(() -> next().trials());
    }

    private double kp() {
        return shop().season().setupOrGuess().law().kp();
    }

    @Test
    void theMapsPointIsMovedByKeysAndUsed() throws Exception {
        gains("map");
        until("a first picture", () -> model().map().picture().isPresent());
        robot.type(KeyCode.RIGHT);
        until("a point in hand", () -> model().map().chosen().isPresent());
        Optional<MapModel.Gains> before = model().map().chosen();
        robot.type(KeyCode.UP).type(KeyCode.UP);
        until("moved", () -> !model().map().chosen().equals(before));
        robot.type(KeyCode.Y);
        until("the next layer", () -> model().map().layerProperty().get() == MapModel.Layer.RMS);
        double set = kp();
        gains("response");
        until(
                "its response",
                () -> model().response().answer().valueProperty().get().ready().isPresent());
        assertThat(onWindow(() -> model().response()
                        .answer()
                        .get()
                        .orElseThrow()
                        .setup()
                        .law()
                        .kp()))
                .as("of the point, not of the gains as set")
                .isNotEqualTo(set);
        gains("map");
        robot.type(KeyCode.U);
        until("it is on the robot", () -> kp() != set);
        undo();
        until("taken back", () -> kp() == set);
        until("complete", () -> model().map().picture().orElseThrow().map().stride() == 1);
    }

    @Test
    void aGoalsSettingIsFoundAndUsed() throws Exception {
        gains("goal");
        assertThat(text("goalVerdict")).isEqualTo(GoalWords.ASK);
        robot.type(KeyCode.F);
        until(
                "found",
                () -> model().goal().found().valueProperty().get().ready().isPresent());
        CourseAdvice found =
                onWindow(() -> model().goal().found().get().orElseThrow().advice());
        double set = kp();
        robot.type(KeyCode.U);
        until("it is on the robot", () -> kp() != set);
        assertThat(kp()).isEqualTo(found.kp());
        assertThat(onWindow(() -> model().goal().found().get()))
                .as("it holds for the robot that has it")
                .isPresent();
        undo();
        until("taken back", () -> kp() == set);
    }

    /** A loop that gets longer: the sums, what becomes of each way, and robot and gains put so as one step; then a gain given in time. */
    @Test
    void gainsAreCarriedOverToALongerLoop() throws Exception {
        gains("carry-over");
        until(
                "nothing differs",
                () -> carried().map(TransferModel.Answer::sameRobot).orElse(false));
        double periodS = shop().season().setupOrGuess().robot().loop().periodS();
        double kd = shop().season().setupOrGuess().law().kd();
        typeIn("newPeriod", Words.number(2000 * periodS));
        until(
                "carried over",
                () -> carried()
                        .map(a -> a.to().robot().loop().periodS() == 2 * periodS)
                        .orElse(false));
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

    private Optional<TransferModel.Answer> carried() {
        return model().transfer().answer().valueProperty().get().ready();
    }

    @Test
    void kiIsToldByWhatItBuysAndSet() throws Exception {
        gains("ki");
        until(
                "its trade",
                () -> model().response().answer().valueProperty().get().ready().isPresent());
        typeIn("ki", "0.002");
        until("set", () -> shop().season().setupOrGuess().law().ki() == 0.002);
        undo();
        until("taken back", () -> text("ki").equals("0"));
    }

    /** A ladder by keys alone: set, run, tap, say what was seen; a sign error is told first; a slip is undone. */
    @Test
    void aLadderIsClimbedByKeys() throws Exception {
        gains("next-trial");
        until("the first trial", () -> next(0).isPresent());
        assertThat(trials()).isEmpty();
        double set = kp();
        robot.type(KeyCode.U);
        until("it is on the robot", () -> kp() != set);
        robot.type(KeyCode.A);
        until("the sign first", () -> next(1).flatMap(NextTrial::suspect).isPresent());
        assertThat(trials()).singleElement().matches(t -> t.kp() == kp() && t.seen() == Seen.TURNS_AWAY);
        undo();
        until("taken back", () -> next(0).isPresent());
        robot.type(KeyCode.Q).type(KeyCode.SPACE);
        until("the watch runs", () -> !text("watchSeconds").startsWith("0.0"));
        robot.type(KeyCode.SPACE).type(KeyCode.SPACE).type(KeyCode.W);
        until("a trial that says how fast it wiggles", () -> next(1).isPresent());
        assertThat(trials()).singleElement().matches(t -> t.seen() == Seen.WIGGLES);
        robot.type(KeyCode.U).type(KeyCode.E);
        until("two trials", () -> next(2).isPresent());
        assertThat(trials().get(1).seen()).isEqualTo(Seen.LOST_BEND);
        assertThat(shop().season().runs().stream()
                        .filter(r -> r.outcome().seen().isPresent()))
                .hasSize(2)
                .anyMatch(r -> r.outcome().wiggles().isPresent());
    }

    /** A robot on an edge that rides light is told its target, and the trials with the old one stay; between two sensors there is none. */
    @Test
    void ridingBesideTheEdgeAsksForAnotherTarget() throws Exception {
        gains("next-trial");
        until("the first trial", () -> next(0).isPresent());
        robot.type(KeyCode.L);
        until("no target to move", () -> next(1).map(n -> n.aside().untold()).orElse(false));
        onWindow(() -> {
            var season = shop().season();
            var setup = season.setupOrGuess();
            shop().gains()
                    .choice()
                    .become(setup.withLaw(
                            setup.law().withSignal(ErrorSignal.EDGE).withTarget(50)));
            return null;
        });
        until("another law, another ladder", () -> next(0).isPresent());
        robot.type(KeyCode.L).type(KeyCode.L);
        until(
                "its target",
                () -> next(2).map(n -> n.aside().target().isPresent()).orElse(false));
        robot.type(KeyCode.U);
        until("set", () -> shop().season().setupOrGuess().law().target() < 45);
        until("both trials stay", () -> next(2).isPresent());
        robot.type(KeyCode.S);
        until("put right", () -> next(3).map(n -> n.aside().target().isEmpty()).orElse(false));
    }

    private Optional<Practice.HiddenRobot> hidden() {
        return next().practice().hiddenProperty().get();
    }

    /** It drives what is next, says what was seen itself, leaves nothing in the log book, and tells its secrets. */
    @Test
    void aHiddenRobotIsPractisedWith() throws Exception {
        gains("next-trial");
        until("the first trial", () -> next(0).isPresent());
        int logged = shop().season().runs().size();
        robot.type(KeyCode.P);
        until("a hidden robot", () -> next(0).isPresent() && hidden().isPresent());
        robot.type(KeyCode.V);
        until("it has run", () -> hidden().orElseThrow().driven().isPresent());
        assertThat(trials()).isEmpty();
        robot.type(KeyCode.C); // no corner anywhere on this table: the eye is told better
        until("a trial of it", () -> next(1).isPresent());
        robot.type(KeyCode.Y);
        until("revealed", () -> hidden().orElseThrow().revealed());
        robot.type(KeyCode.P);
        until("back to the real one", () -> hidden().isEmpty() && next(0).isPresent());
        assertThat(shop().season().runs()).hasSize(logged);
    }

    /** What trials are for, and how many are left, is the season's: it comes back, and trials take from it. */
    @Test
    void whatTrialsAreForIsKept() throws Exception {
        gains("next-trial");
        until("the usual", () -> text("trialsLeft").equals("6"));
        typeIn("trialsLeft", "9");
        robot.type(KeyCode.ESCAPE);
        until(
                "kept",
                () -> shop().season()
                                .state()
                                .document(Kinds.WISH)
                                .kept()
                                .orElseThrow()
                                .trialsLeft()
                        == 9);
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
