package fahrbahn.app.view;

import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Small pieces every view is made of. */
final class Nodes {
    private Nodes() {}

    static Label label(String words, String... styleClasses) {
        Label label = new Label(words);
        label.getStyleClass().addAll(styleClasses);
        return label;
    }

    static HBox row(Node... children) {
        HBox row = new HBox(children);
        row.getStyleClass().add("row");
        return row;
    }

    static VBox column(Node... children) {
        VBox column = new VBox(children);
        column.getStyleClass().add("column");
        return column;
    }

    /** A titled panel. */
    static VBox panel(String title, Node... children) {
        VBox panel = new VBox(label(title, "panel-title"));
        panel.getChildren().addAll(children);
        panel.getStyleClass().add("panel");
        return panel;
    }

    static Region spring() {
        Region spring = new Region();
        HBox.setHgrow(spring, Priority.ALWAYS);
        return spring;
    }

    static <N extends Node> N grow(N node) {
        HBox.setHgrow(node, Priority.ALWAYS);
        VBox.setVgrow(node, Priority.ALWAYS);
        return node;
    }

    /** A word, its number in large figures, and what it means in a tooltip for those who want the standard term. */
    static VBox figure(Label value, String caption, String standardTerm) {
        value.getStyleClass().add("figure");
        Label below = label(caption, "caption");
        below.setTooltip(new Tooltip(standardTerm));
        VBox box = new VBox(value, below);
        box.getStyleClass().add("figure-box");
        return box;
    }
}
