package fahrbahn.app.shell;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.season.Sort;
import java.util.EnumMap;
import java.util.Map;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The head of the road: the robot, table and venue in hand. A press takes the next, as its key does. */
final class HandHead extends VBox {
    /** The key of each: the next one is taken in hand. */
    static final Map<Sort, String> KEYS = Map.of(Sort.ROBOT, "F2", Sort.TABLE, "F3", Sort.VENUE, "F4");

    private final Workshop workshop;
    private final Map<Sort, Label> names = new EnumMap<>(Sort.class);

    HandHead(Workshop workshop, Runnable openClub) {
        this.workshop = workshop;
        getStyleClass().add("hand-head");
        Button name = new Button("Fahrbahn");
        name.getStyleClass().addAll("wordmark", "plain");
        name.setId("openClub");
        Nodes.hint(name, "The club: robots, tables, venues, teams (0)");
        name.setOnAction(e -> openClub.run());
        name.setFocusTraversable(false);
        getChildren().add(name);
        for (Sort sort : new Sort[] {Sort.ROBOT, Sort.TABLE, Sort.VENUE}) {
            getChildren().add(line(sort));
        }
        workshop.season().ledger().listen(kinds -> refresh());
        refresh();
    }

    private Button line(Sort sort) {
        Label name = Nodes.label("", "hand-name");
        name.setId("hand-" + sort.word());
        names.put(sort, name);
        HBox row = Nodes.row(Nodes.label(KEYS.get(sort), "key-cap"), Nodes.label(sort.word(), "hand-sort"), name);
        Button line = new Button("", row);
        line.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        line.getStyleClass().addAll("hand-line", "plain");
        line.setFocusTraversable(false);
        line.setOnAction(e -> workshop.club().takeNext(sort));
        return line;
    }

    private void refresh() {
        names.forEach((sort, label) -> {
            String name = workshop.club().inHand(sort).name();
            label.setText(name.isEmpty() ? "not set" : name);
        });
    }
}
