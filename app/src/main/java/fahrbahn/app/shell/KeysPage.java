package fahrbahn.app.shell;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.StationView;
import fahrbahn.app.kit.field.Fields;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** Every key of the station in hand, and what its fields are, large enough to be read from two metres; P puts them on paper. */
final class KeysPage {
    private static final List<Map.Entry<String, String>> EVERYWHERE = List.of(
            Map.entry("1 to 8", "a station; 0 the club"),
            Map.entry("N", "the next station"),
            Map.entry("F2 F3 F4", "the next robot, table, venue"),
            Map.entry("F5", "first field of the page; Enter takes the number and goes on, Esc cancels"),
            Map.entry("F6", "earlier messages"),
            Map.entry("F7", "the strip of the connected robot; arrows and Enter work in it"),
            Map.entry("Page Up, Down", "the pages of a station"),
            Map.entry("Ctrl+Z, Ctrl+Shift+Z", "undo, redo"),
            Map.entry("Ctrl+S", "save a copy"),
            Map.entry("Esc", "leave a field, close a message, close this page"));

    private KeysPage() {}

    /** @param title of the station @param shown its view, as it is @param save writes the sheet to a file */
    static StationView of(String title, StationView shown, BiConsumer<List<KeySheet.Group>, Path> save) {
        List<Map.Entry<String, String>> keys = new ArrayList<>();
        for (Action action : shown.actions().get()) {
            keys.add(Map.entry(action.keyName(), action.button().getText()));
        }
        List<KeySheet.Group> groups = List.of(
                new KeySheet.Group("Keys at " + title, keys), new KeySheet.Group("Keys everywhere", EVERYWHERE));
        FlowPane all = new FlowPane(12, 12);
        for (KeySheet.Group group : groups) {
            VBox panel = Nodes.panel(group.title());
            group.keys().forEach(key -> panel.getChildren().add(line(key.getKey(), key.getValue())));
            panel.setPrefWidth(480);
            all.getChildren().add(panel);
        }
        Map<String, String> fields = Fields.described(shown.content());
        if (!fields.isEmpty()) {
            VBox what = Nodes.panel("Fields of this page");
            fields.forEach((name, sentence) -> what.getChildren().add(Nodes.wrapped(name + ": " + sentence, "reason")));
            what.setPrefWidth(972);
            all.getChildren().add(what);
        }
        all.getStyleClass().add("keys-page");
        all.setId("keysPage");
        Action print = new Action(
                "printKeys", "On paper (PDF)", KeyCode.P, () -> ask(all, title, file -> save.accept(groups, file)));
        VBox content = Nodes.column(Nodes.row(print.button()), all);
        return new StationView(content, List.of(print), nowNs -> {});
    }

    private interface Chosen {
        void file(Path file);
    }

    private static void ask(Region page, String title, Chosen chosen) {
        FileAsk.save(page, "keys at " + title + ".pdf", chosen::file, new FileChooser.ExtensionFilter("PDF", "*.pdf"));
    }

    private static HBox line(String key, String words) {
        return Nodes.row(Nodes.cell(key, "key-cap"), Nodes.grow(Nodes.wrapped(words, "reason")));
    }
}
