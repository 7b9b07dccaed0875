package fahrbahn.app.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.app.InWindow;
import fahrbahn.app.state.Value;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.tuning.MarkTrial;
import java.util.Locale;
import javafx.scene.control.ButtonBase;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Turn marks set up by keys in the window, driven by the twin at once. */
class TurnsPageTest extends InWindow {
    @BeforeEach
    void toTheTurns() throws Exception {
        robot.type(KeyCode.DIGIT4);
        until("the page is there", () -> robot.lookup("#page-turns").tryQuery().isPresent());
        onWindow(() -> {
            ((ButtonBase) robot.lookup("#page-turns").query()).fire();
            return null;
        });
    }

    private TurnMarks marks() {
        return shop().season().setupOrGuess().law().options().turnMarks().orElseThrow();
    }

    private boolean on() {
        return shop().season().setupOrGuess().law().options().turnMarks().isPresent();
    }

    private Value<MarkTrial> trial() {
        return shop().levels().turns().trial().valueProperty().get();
    }

    private int right() {
        return trial().ready().orElseThrow().met().stream()
                .mapToInt(MarkTrial.Met::right)
                .sum();
    }

    @Test
    void marksAreSetUpByKeysAndTheTwinObeysThem() throws Exception {
        assertThat(text("turnsVerdict")).isEqualTo(TurnsWords.OFF);
        choose("turnMarks", KeyCode.DOWN);
        until("it looks for marks", this::on);
        until("the twin has driven", () -> trial().ready().isPresent());
        assertThat(right()).as("of 160, straight on among them").isGreaterThan(40);
        typeIn("markReads", "200");
        // Straight on at best, where nothing needs to be believed: a quarter of them.
        until("reads that never fit", () -> trial().ready().isPresent() && right() <= 40);
        assertThat(marks().reads()).isEqualTo(200);
        undo();
        until("taken back", () -> marks().reads() < 10);
    }

    @Test
    void lengthsAreToldInLoopsTimeAndWay() throws Exception {
        choose("turnMarks", KeyCode.DOWN);
        until("it looks for marks", this::on);
        typeIn("lookBack", "48");
        until("a look back of 48 mm", () -> marks().lookBack().equals(new Extent(48, Extent.Unit.MM)));
        assertThat(text("turnsExtents"))
                .contains("Look back ")
                .contains(" loops = ")
                .contains(" ms = 48 mm.");
        choose("lookBackUnit", KeyCode.UP);
        until("the same in milliseconds", () -> marks().lookBack().unit() == Extent.Unit.MS);
        assertThat(marks().lookBack()
                        .in(Extent.Unit.MM, shop().season().setupOrGuess())
                        .amount())
                .isBetween(47.5, 48.5);
        choose("markPlace", KeyCode.DOWN);
        until("behind", () -> marks().place() == TurnMarks.Place.BEHIND);
        choose("turnMarks", KeyCode.UP);
        until("no more", () -> !on());
        assertThat(text("turnsVerdict")).isEqualTo(TurnsWords.OFF);
    }

    /** Readings of one sensor in three channels, a mark among them. */
    private static String captured() {
        StringBuilder text = new StringBuilder("tS,surface,left_r,left_g,left_b,right_r,right_g,right_b");
        int[][] colours = {{210, 200, 150}, {20, 22, 18}, {60, 150, 90}, {115, 111, 84}};
        String[] surfaces = {"light", "dark", "mark", "edge"};
        for (int i = 0; i < 80; i++) {
            int[] c = colours[i / 20];
            text.append(String.format(Locale.ROOT, "%n%.2f,%s", 0.02 * i, surfaces[i / 20]));
            for (int k = 0; k < 6; k++) {
                text.append(',').append(c[k % 3] + (i * (k + 3)) % 3 - 1);
            }
        }
        return text.append('\n').toString();
    }

    /** Taken for the robot's rule and for the table: then the twin still tells its marks, which are of another colour than before. */
    @Test
    void capturedColoursGoOntoTheRobotAndTheTable() throws Exception {
        onWindow(() -> {
            shop().measure().paste(captured());
            return null;
        });
        until("captured", () -> shop().measure().latest("mark").isPresent());
        choose("turnMarks", KeyCode.DOWN);
        until("it looks for marks", this::on);
        Palette painted = shop().table().draftProperty().get().palette();
        onWindow(() -> {
            shop().table().takeCapturedColours();
            return null;
        });
        until(
                "the table has them",
                () -> !shop().table().draftProperty().get().palette().equals(painted));
        // 60 of 20 to 210, 150 of 22 to 200, 90 of 18 to 150, between the table's own dark and light.
        Palette now = shop().table().draftProperty().get().palette();
        assertThat(now.mark().red()).isCloseTo(0.06 + 40 / 190.0 * 0.80, within(0.01));
        assertThat(now.mark().green()).isCloseTo(0.06 + 128 / 178.0 * 0.79, within(0.01));
        settled();
        robot.type(KeyCode.ESCAPE).type(KeyCode.U);
        until("taken", () -> text("notice").startsWith("Colours of left taken"));
        assertThat(marks().left().scale().dark().get(0)).isCloseTo(20, within(1.0));
        assertThat(marks().right().scale().light().get(2)).isCloseTo(150, within(1.0));
        assertThat(marks().colours().indexOf("mark")).isNotNegative();
    }

    /** Without captures there are no colours to take, and it says what to do. */
    @Test
    void coloursAreTakenFromCaptures() throws Exception {
        choose("turnMarks", KeyCode.DOWN);
        until("it looks for marks", this::on);
        settled();
        robot.type(KeyCode.ESCAPE).type(KeyCode.U);
        until("words", () -> text("notice").startsWith("No colour sensor captured."));
    }
}
