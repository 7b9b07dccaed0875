package fahrbahn.app;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.season.Freshness.Mark;
import fahrbahn.app.season.Station;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.Language;
import fahrbahn.words.Words;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.image.ImageView;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** From the station's numbers to the robot's program and back, by keys. */
class HandoverPagesTest extends InWindow {
    private void toHandover(String page) throws Exception {
        go(Station.HANDOVER);
        page(page);
    }

    private void gains(double kp) throws Exception {
        onWindow(() -> {
            shop().gains().choose(kp, 0, 0.9);
            return null;
        });
    }

    private String said(String name) {
        return ((Labeled) robot.lookup("#typed-" + name + "-said").query()).getText();
    }

    @Test
    void numbersAreHandedOverAndWhatChangesIsMarked() throws Exception {
        gains(0.3);
        toHandover("program");
        assertThat(mark(Station.HANDOVER)).isEqualTo(Mark.MISSING);
        assertThat(text("verdict")).contains("numbers go into the program");
        assertThat(text("program")).contains("KP = 0.3");
        robot.type(KeyCode.U);
        until(
                "handed over",
                () -> shop().season().choices().handedProperty().get().isPresent());
        until("all there", () -> text("verdict").contains("has all its"));
        gains(0.45);
        until("marked", () -> text("verdict").contains("KP is 0.45 and 0.3 was handed over"));
        until("stale", () -> mark(Station.HANDOVER) == Mark.STALE);
        assertThat(robot.lookup("#programNumbers .label").queryAllAs(Labeled.class).stream()
                        .map(Labeled::getText))
                .contains("new", "per loop; was 0.3");
        undo();
        until("as handed over", () -> text("verdict").contains("has all its"));
    }

    @Test
    void theProgramIsInTheTeamsLanguageWithItsNumbers() throws Exception {
        gains(0.317);
        toHandover("program");
        for (Language language : Language.values()) {
            choose("programLanguage", language == Language.PYTHON ? new KeyCode[] {} : new KeyCode[] {KeyCode.DOWN});
            until(language.word(), () -> shop().handover().style().language() == language);
            assertThat(text("program")).contains("0.317");
        }
        onWindow(() -> {
            ((ComboBox<?>) robot.lookup("#programGrain").query())
                    .getSelectionModel()
                    .select(Grain.ONE.ordinal());
            return null;
        });
        until(
                "judged by the twin",
                () -> text("programRounding").contains("KP becomes 0.3 from 0.317")
                        && text("programRounding").contains("runs"));
        assertThat(text("program")).contains("0.3");
        onWindow(() -> {
            robot.lookup("#verdict").query().requestFocus();
            robot.lookup("#verdict").query().getScene().getRoot().requestFocus();
            return null;
        });
        robot.type(KeyCode.C);
        until(
                "copied",
                () -> text("program").equals(Clipboard.getSystemClipboard().getString()));
    }

    @Test
    void aSlipInWhatWasTypedIsNamed() throws Exception {
        gains(0.63);
        toHandover("typed-back");
        typeIn("typed-kp", "6.3");
        until(
                "slipped",
                () -> said("kp").contains("10 times too large") && said("kp").contains("0.63"));
        assertThat(text("typedState")).startsWith("1 slip");
        typeIn("typed-kp", "0.63");
        until("right", () -> said("kp").equals("right"));
        onWindow(() -> {
            shop().handover()
                    .takenProperty()
                    .get()
                    .orElseThrow()
                    .constants()
                    .forEach(c -> shop().handover().typed().type(c.name(), Words.exact(c.value())));
            return null;
        });
        until("all of them", () -> text("typedState").contains("as they were handed over"));
    }

    @Test
    void theCardIsSeenAndSaved() throws Exception {
        toHandover("pit-card");
        until("drawn", () -> ((ImageView) robot.lookup("#card").query()).getImage() != null);
        assertThat(text("cardState")).contains("Not all on it holds");
        Path pdf = home.resolve("card.pdf");
        onWindow(() -> {
            FileAsk.standIn(robot.lookup("#card").query().getScene().getWindow(), chooser -> pdf.toFile());
            return null;
        });
        robot.type(KeyCode.V);
        until("saved", () -> Files.exists(pdf) && text("notice").contains("card.pdf"));
        double whole =
                onWindow(() -> robot.lookup("#card").query().getLayoutBounds().getWidth());
        robot.type(KeyCode.Z);
        until("closer", () -> robot.lookup("#card").query().getLayoutBounds().getWidth() > 1.2 * whole);
    }
}
