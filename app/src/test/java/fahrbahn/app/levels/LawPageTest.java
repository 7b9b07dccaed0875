package fahrbahn.app.levels;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InWindow;
import fahrbahn.core.knowledge.SensorPreset;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Sensor;
import javafx.scene.control.ButtonBase;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Every law set up by keys, each driven by the twin at once. */
class LawPageTest extends InWindow {
    @BeforeEach
    void toTheLaw() throws Exception {
        robot.type(KeyCode.DIGIT4);
        until("the page is there", () -> robot.lookup("#page-law").tryQuery().isPresent());
        onWindow(() -> {
            ((ButtonBase) robot.lookup("#page-law").query()).fire();
            return null;
        });
        driven();
    }

    private Law law() {
        return shop().season().setupOrGuess().law();
    }

    private String caption(String id) throws Exception {
        return onWindow(() -> robot.lookup("#" + id).query().getAccessibleText());
    }

    /** What is shown is of the setup there is. */
    private void driven() throws Exception {
        until("the twin has driven", () -> !text("lawOnTwin").equals("Simulating."));
    }

    @Test
    void anEdgeRiderSteersByGainsAndInSteps() throws Exception {
        choose("lawKind", KeyCode.UP);
        until("one sensor", () -> law().signal().tracksEdge());
        assertThat(text("lawSign")).contains("on light it must turn", "on dark");
        robot.type(KeyCode.ESCAPE).type(KeyCode.J);
        until("ticked off", () -> text("signTicked").equals("\u2713 seen"));
        choose("lawSide", KeyCode.UP, KeyCode.UP);
        until("the other edge has to be seen again", () -> text("signTicked").equals("not seen yet"));
        undo();
        until("and the first not", () -> text("signTicked").equals("\u2713 seen"));
        choose("lawSteps", KeyCode.DOWN);
        until("two states", () -> law().options().steps().size() == 1);
        assertThat(law().options().steps().get(0).aboveError()).isZero();
        choose("lawSteps", KeyCode.DOWN);
        until("three states", () -> law().options().steps().get(0).aboveError() > 0);
        until(
                "told in both units",
                () -> text("lawTold").startsWith("Neutral zone: it steers neither way up to an error of "));
        typeIn("zoneTo", "57");
        typeIn("zoneFrom", "38");
        until(
                "as it is said",
                () -> law().target() == 47.5 && law().options().steps().get(0).aboveError() == 9.5);
        typeIn("zoneFrom", "60");
        assertThat(law().target()).as("refused: it would end before it begins").isEqualTo(47.5);
        typeIn("zoneFrom", "38");
        choose("lawSteps", KeyCode.DOWN, KeyCode.DOWN);
        until("three grades", () -> law().options().steps().size() == 3);
        typeIn("stepSteers2", "17");
        until("typed", () -> law().options().steps().get(1).steering() == 17);
        typeIn("hysteresis", "3");
        until("typed too", () -> law().options().hysteresis() == 3);
        driven();
        choose("lawSteps", KeyCode.UP, KeyCode.UP, KeyCode.UP, KeyCode.UP);
        until("gains again", () -> law().options().steps().isEmpty());
        typeIn("lawKi", "0.001");
        until("PID", () -> law().ki() == 0.001);
        until(
                "no step to change",
                () -> !robot.lookup("#stepFrom1").query().getParent().isVisible());
    }

    /** Four cases by hand: what each steers, a threshold for each sensor, and the stop on both. */
    @Test
    void twoSensorsSteerByFourCases() throws Exception {
        choose("lawKind", KeyCode.DOWN);
        until("by their pattern", () -> !law().signal().hasError());
        until("a field for each", () -> robot.lookup("#code00").tryQuery().isPresent());
        assertThat(caption("code10")).isEqualTo("10 = 2");
        assertThat(caption("code11")).isEqualTo("11 = 3, crossing");
        assertThat(law().options().patterns()).extracting(Options.Pattern::bits).doesNotContain("00");
        typeIn("code00", "0");
        typeIn("code10", "21");
        until(
                "typed",
                () -> law().options()
                        .patterns()
                        .containsAll(java.util.List.of(new Options.Pattern("00", 0), new Options.Pattern("10", 21))));
        typeIn("code10", "");
        until(
                "empty",
                () -> law().options().patterns().stream()
                        .noneMatch(p -> p.bits().equals("10")));
        robot.type(KeyCode.ESCAPE, KeyCode.F);
        until(
                "the usual one",
                () -> law().options().patterns().stream().anyMatch(p -> p.bits().equals("10") && p.steering() > 0));
        until(
                "nothing is empty that has a usual one",
                () -> !robot.lookup("#fillCodes").query().isVisible());
        double target = law().target();
        typeIn("threshold1", "44");
        until("one of its own", () -> law().options().thresholds().equals(java.util.List.of(target, 44.0)));
        typeIn("threshold1", "");
        until("all at the target", () -> law().options().thresholds().isEmpty());
        choose("stopsOnAll", KeyCode.DOWN);
        until("it stops", () -> law().options().limits().stopsOnAll());
        choose("lostAction", KeyCode.DOWN, KeyCode.DOWN);
        until("turns back by nothing", () -> text("lawTold").contains("turns back by 0"));
        typeIn("lostSteering", "20");
        until("by something", () -> !text("lawTold").contains("turns back by 0"));
        driven();
    }

    @Test
    void aRowSteersByItsPatternsWithEmergencySensorsLostRuleAndLimits() throws Exception {
        onWindow(() -> {
            shop().robot().useRow(SensorPreset.values()[0], 5);
            return null;
        });
        until(
                "five sensors",
                () -> shop().season().setupOrGuess().robot().sensors().size() == 5);
        until("a row", () -> law().signal().isMean());
        choose("lawKind", KeyCode.DOWN, KeyCode.DOWN);
        until("by its pattern", () -> !law().signal().hasError());
        assertThat(law().options().patterns()).extracting(Options.Pattern::bits).contains("00100", "11111", "01100");
        until("a field for each", () -> robot.lookup("#code01100").tryQuery().isPresent());
        driven();
        assertThat(text("lawOnTwin")).contains("bend");
        typeIn("code01100", "12.5");
        until(
                "typed",
                () -> law().options().patterns().stream().anyMatch(p -> p.equals(new Options.Pattern("01100", 12.5))));
        until("every code has one", () -> robot.lookup("#code10101").tryQuery().isPresent());
        assertThat(caption("code10101")).isEqualTo("10101 = 21, never on a line");
        assertThat(caption("code00000")).isEqualTo("00000 = 0, gap or end");
        assertThat(text("lawTold")).startsWith("Neutral zone: it steers neither way from ");
        typeIn("code10101", "-7");
        until("one more", () -> law().options().patterns().contains(new Options.Pattern("10101", -7)));
        typeIn("code10101", "");
        until(
                "out again",
                () -> law().options().patterns().stream()
                        .noneMatch(o -> o.bits().equals("10101")));
        choose("lostAction", KeyCode.DOWN, KeyCode.DOWN);
        until("a lost rule", () -> law().options().lost().action() == Options.LostLine.Action.LAST_SIDE);
        typeIn("lostSteering", "30");
        typeIn("mostSteering", "60");
        typeIn("slowDown", "20");
        typeIn("blank", "150");
        until(
                "all of it",
                () -> law().options().lost().steering() == 30
                        && law().options().limits().equals(new Options.Limits(60, 0.2, 0.15)));
        choose("lawKind", KeyCode.UP, KeyCode.UP);
        until("a row by its mean", () -> law().signal().isMean());
        typeIn("weight0", "31");
        until(
                "a weight of its own",
                () -> law().options().weights().size() == 5
                        && law().options().weights().get(0) == 31);
        typeIn("weight0", "");
        until("the usual ones", () -> law().options().weights().isEmpty());
        choose("emergency", KeyCode.DOWN);
        until("emergency sensors", () -> law().options().outer().isPresent());
        typeIn("emergencySteering", "45");
        until("theirs", () -> law().options().outer().orElseThrow().steering() == 45);
        typeIn("emergencyLeave", "20");
        until("left later than met", () -> law().options().outer().orElseThrow().leaveShare() == 0.2);
        typeIn("emergencyEnter", "45");
        until("met later", () -> law().options().outer().orElseThrow().enterShare() == 0.45);
        assertThat(text("lawTold")).contains("Error from ", " of the slope", "Emergency: ", " and leaves it at ");
        assertThat(law().options().outer().orElseThrow().left())
                .isEqualTo(
                        shop().season().setupOrGuess().robot().sensors().get(0).name());
        String second = sensor(1);
        choose("emergencyLeft", KeyCode.DOWN);
        until(
                "another on the left",
                () -> law().options().outer().orElseThrow().left().equals(second));
        assertThat(shop().season().setupOrGuess().lawSensors())
                .extracting(Sensor::name)
                .startsWith(sensor(0))
                .doesNotContain(second);
        driven();
    }

    private String sensor(int place) {
        return shop().season().setupOrGuess().robot().sensors().get(place).name();
    }
}
