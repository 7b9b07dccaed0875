package fahrbahn.app.measure;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.core.readings.LoggerText;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.TextArea;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** A few lines for the robot's program, to copy. */
final class LoggerPage {
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private enum Language {
        PYTHON("Python", LoggerText::python),
        CPP("C++", LoggerText::cpp),
        BLOCKS("Blocks", LoggerText::blocks);

        private final String words;
        private final Function<List<String>, String> text;

        Language(String words, Function<List<String>, String> text) {
            this.words = words;
            this.text = text;
        }
    }

    private final MeasureModel model;
    private final TextArea text = new TextArea();
    private final List<Button> chips = new ArrayList<>();
    private Language language = Language.PYTHON;

    LoggerPage(MeasureModel model) {
        this.model = model;
    }

    Pages.Page page() {
        Action copy = new Action("copyLogger", "Copy", KeyCode.C, this::copy);
        FlowPane row = Nodes.flow();
        for (Language each : Language.values()) {
            Button chip = new Button(each.words);
            chip.setId("logger-" + each.name().toLowerCase(java.util.Locale.ROOT));
            chip.getStyleClass().add("chip");
            chip.setOnAction(e -> show(each));
            chips.add(chip);
            row.getChildren().add(chip);
        }
        row.getChildren().addAll(Nodes.spring(), copy.button());
        text.setId("loggerText");
        text.setEditable(false);
        text.setFocusTraversable(false);
        text.getStyleClass().add("program");
        model.setupNowProperty().addListener(o -> show(language));
        show(language);
        VBox content = Nodes.column(Nodes.panel(
                "A logger for the robot's program",
                CapturedPage.wrapped(
                        "First a line with the column names, then one line a loop. Columns named after the sensors"
                                + " are found by name."),
                row,
                text));
        text.setPrefRowCount(12);
        return new Pages.Page(content, List.of(copy));
    }

    private void show(Language each) {
        language = each;
        for (int i = 0; i < chips.size(); i++) {
            chips.get(i).pseudoClassStateChanged(CHOSEN, i == each.ordinal());
        }
        text.setText(each.text.apply(model.robotSensors()));
    }

    private void copy() {
        ClipboardContent content = new ClipboardContent();
        content.putString(text.getText());
        Clipboard.getSystemClipboard().setContent(content);
        model.tell("The " + language.words + " text is on the clipboard.");
    }
}
