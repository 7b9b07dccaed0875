package fahrbahn.app.levels;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InWindow;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import javafx.scene.AccessibleAttribute;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Marks of our own captured with a colour sensor, told apart in the window. */
class MarksPageTest extends InWindow {
    private static final Map<String, double[]> SURFACES = new LinkedHashMap<>();

    static {
        SURFACES.put("light", new double[] {210, 200, 150});
        SURFACES.put("dark", new double[] {20, 22, 18});
        SURFACES.put("turn", new double[] {60, 150, 90});
        SURFACES.put("stop", new double[] {170, 45, 60});
        SURFACES.put("edge", new double[] {115, 111, 84});
    }

    private static String table() {
        Random random = new Random(8);
        StringBuilder text = new StringBuilder("tS,surface,left_r,left_g,left_b,right_r,right_g,right_b");
        int i = 0;
        for (Map.Entry<String, double[]> surface : SURFACES.entrySet()) {
            for (int k = 0; k < 40; k++) {
                text.append(String.format(Locale.ROOT, "%n%.2f,%s", 0.02 * i++, surface.getKey()));
                for (int c = 0; c < 6; c++) {
                    text.append(',').append(Math.round(surface.getValue()[c % 3] + 2 * random.nextGaussian()));
                }
            }
        }
        return text.append('\n').toString();
    }

    private String named() throws Exception {
        return onWindow(() -> robot.lookup("#marksNamed .label").queryAllAs(Label.class).stream()
                .map(Label::getText)
                .collect(Collectors.joining("\n")));
    }

    @Test
    void schoolsAreComparedAndTheirReadsFitTheMark() throws Exception {
        robot.type(KeyCode.DIGIT4);
        until("the page is there", () -> robot.lookup("#page-marks").tryQuery().isPresent());
        onWindow(() -> {
            ((ButtonBase) robot.lookup("#page-marks").query()).fire();
            return null;
        });
        onWindow(() -> {
            shop().measure().paste(table());
            return null;
        });
        until(
                "a school is recommended",
                () -> robot.lookup("#marksVerdict").tryQuery().isPresent());
        assertThat(text("marksVerdict")).startsWith("For left take ").contains("misses or mixes up 0 of 200");
        assertThat(text("marksTiming")).startsWith("3 reads of ");
        String picture = onWindow(
                () -> (String) robot.lookup("#confusions").query().queryAccessibleAttribute(AccessibleAttribute.TEXT));
        assertThat(picture).contains("turn right 40 of 40", "stop right 40 of 40");
        assertThat(text("marksChannel")).startsWith("For the line ").contains("added");
        assertThat(named())
                .contains("turn: recognised in 40 of 40.", "stop, the stop strip: recognised in 40 of 40.")
                .contains("No false alarm at the line's edge in 40 readings.");
        typeIn("confirmingReads", "5");
        until("five reads", () -> text("marksTiming").startsWith("5 reads of "));
    }
}
