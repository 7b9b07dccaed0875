package fahrbahn.app;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.TurnMarks;
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

    @Test
    void marksAreSetUpByKeysAndTheTwinObeysThem() throws Exception {
        assertThat(text("turnsVerdict")).contains("does not look for marks");
        choose("turnMarks", KeyCode.DOWN);
        until("it looks for marks", this::on);
        until("the twin has driven", () -> text("turnsVerdict").startsWith("The twin decides right at "));
        typeIn("markReads", "200");
        // Straight on at best, where nothing needs to be believed: a quarter of them.
        until(
                "reads that never fit",
                () -> text("turnsVerdict").matches("The twin decides right at ([1-3]?\\d|40) of 160.*"));
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
        assertThat(text("turnsVerdict")).contains("does not look for marks");
    }

    /** Without captures there are no colours to take, and it says what to do. */
    @Test
    void coloursAreTakenFromCaptures() throws Exception {
        choose("turnMarks", KeyCode.DOWN);
        until("it looks for marks", this::on);
        settled();
        robot.type(KeyCode.ESCAPE).type(KeyCode.U);
        until("words", () -> text("notice").startsWith("No colour sensor has been captured."));
    }
}
