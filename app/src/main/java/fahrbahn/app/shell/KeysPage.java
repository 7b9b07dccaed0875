package fahrbahn.app.shell;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Fields;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.StationView;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Every key of the station in hand, and what its fields are, large enough to be read from two metres or printed. */
final class KeysPage {
    private static final Map<String, String> EVERYWHERE = new java.util.LinkedHashMap<>();

    static {
        EVERYWHERE.put("1 to 7", "a station; 0 the club");
        EVERYWHERE.put("N", "the next station");
        EVERYWHERE.put("F2 F3 F4", "the next robot, table, venue");
        EVERYWHERE.put("F5", "the first field of the page; Enter takes a number and goes on, Esc gives it up");
        EVERYWHERE.put("F6", "what was told before");
        EVERYWHERE.put("F7", "the strip of the connected robot");
        EVERYWHERE.put("Page Up, Down", "the pages of a station");
        EVERYWHERE.put("Ctrl+Z, Ctrl+Shift+Z", "undo, redo");
        EVERYWHERE.put("Ctrl+S", "save a copy");
        EVERYWHERE.put("Esc", "leaves a field, ends a notice, closes this page");
    }

    private KeysPage() {}

    /** @param title of the station @param shown its view, as it is */
    static Region of(String title, StationView shown) {
        VBox here = Nodes.panel("Keys at " + title);
        for (Action action : shown.actions()) {
            here.getChildren().add(line(action.keyName(), action.button().getText()));
        }
        VBox everywhere = Nodes.panel("Keys everywhere");
        EVERYWHERE.forEach((key, words) -> everywhere.getChildren().add(line(key, words)));
        Map<String, String> fields = Fields.described(shown.content());
        VBox what = Nodes.panel("What the fields of this page are");
        fields.forEach((name, sentence) -> {
            Label words = Nodes.label(name + ": " + sentence, "reason");
            words.setWrapText(true);
            words.setMinHeight(Region.USE_PREF_SIZE);
            what.getChildren().add(words);
        });
        List<VBox> columns = fields.isEmpty() ? List.of(here, everywhere) : List.of(here, everywhere, what);
        FlowPane all = new FlowPane(12, 12);
        all.getChildren().addAll(columns);
        columns.forEach(c -> c.setPrefWidth(480));
        what.setPrefWidth(972);
        all.getStyleClass().add("keys-page");
        all.setId("keysPage");
        return all;
    }

    private static HBox line(String key, String words) {
        Label cap = Nodes.label(key, "key-cap");
        cap.setMinWidth(Region.USE_PREF_SIZE);
        Label what = Nodes.label(words, "reason");
        what.setWrapText(true);
        what.setMinHeight(Region.USE_PREF_SIZE);
        return Nodes.row(cap, Nodes.grow(what));
    }
}
