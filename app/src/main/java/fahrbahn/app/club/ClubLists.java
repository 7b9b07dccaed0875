package fahrbahn.app.club;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.season.Entry;
import fahrbahn.app.season.Sort;
import java.util.ArrayList;
import java.util.List;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Robots, tables, venues and teams, a list each, with the cursor on one of them. */
final class ClubLists extends HBox {
    private static final PseudoClass CURSOR = PseudoClass.getPseudoClass("cursor");
    private static final PseudoClass IN_HAND = PseudoClass.getPseudoClass("in-hand");
    private static final PseudoClass RETIRED = PseudoClass.getPseudoClass("retired");
    private final ClubModel model;
    private final List<Button> rows = new ArrayList<>();

    ClubLists(ClubModel model) {
        this.model = model;
        getStyleClass().add("club-lists");
        model.entriesProperty().addListener(o -> refresh());
        model.cursorProperty().addListener(o -> mark());
        model.sortProperty().addListener(o -> mark());
        refresh();
    }

    private void refresh() {
        rows.clear();
        getChildren().clear();
        for (Sort sort : Sort.values()) {
            VBox list = Nodes.panel(title(sort));
            for (Entry entry : model.entriesProperty().get()) {
                if (entry.sort() == sort) {
                    Button row = row(entry, rows.size());
                    rows.add(row);
                    list.getChildren().add(row);
                }
            }
            HBox.setHgrow(list, javafx.scene.layout.Priority.ALWAYS);
            if (list.getChildren().size() == 1) {
                list.getChildren().add(Nodes.label("None yet: A adds one.", "caption"));
            }
            list.getStyleClass().add("club-list");
            list.setPrefWidth(240);
            getChildren().add(list);
        }
        mark();
    }

    private static String title(Sort sort) {
        return switch (sort) {
            case ROBOT -> "Robots";
            case TABLE -> "Tables";
            case VENUE -> "Venues";
            case TEAM -> "Teams";
        };
    }

    private Button row(Entry entry, int index) {
        Region mark = new Region();
        mark.getStyleClass().add("hand-mark");
        String below = entry.retired() ? "retired" : entry.team();
        VBox words = new VBox(Nodes.label(entry.name(), "strong"), Nodes.label(below, "caption"));
        Button row = new Button("", Nodes.row(mark, words));
        row.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        row.getStyleClass().add("club-row");
        row.setId("club-" + entry.sort().word() + "-" + entry.name().replace(' ', '-'));
        row.setAccessibleText(entry.sort().word() + " " + entry.name() + (entry.inHand() ? ", selected" : "")
                + (entry.retired() ? ", archived" : ""));
        row.setFocusTraversable(false);
        row.setMaxWidth(Double.MAX_VALUE);
        row.pseudoClassStateChanged(IN_HAND, entry.inHand());
        row.pseudoClassStateChanged(RETIRED, entry.retired());
        row.setOnAction(e -> {
            model.point(index);
            if (!entry.retired()) {
                model.take();
            }
        });
        return row;
    }

    private void mark() {
        for (int i = 0; i < rows.size(); i++) {
            rows.get(i)
                    .pseudoClassStateChanged(CURSOR, i == model.cursorProperty().get());
        }
        for (int i = 0; i < getChildren().size(); i++) {
            boolean empty = model.cursorProperty().get() < 0;
            boolean here = i == model.sortProperty().get().ordinal();
            getChildren().get(i).pseudoClassStateChanged(CURSOR, empty && here);
        }
    }
}
