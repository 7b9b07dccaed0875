package fahrbahn.app.kit;

import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Small pieces every view is made of. */
public final class Nodes {
    private Nodes() {}

    public static Label label(String words, String... styleClasses) {
        Label label = new Label(words);
        label.getStyleClass().addAll(styleClasses);
        return label;
    }

    public static HBox row(Node... children) {
        HBox row = new HBox(children);
        row.getStyleClass().add("row");
        return row;
    }

    /** A row that goes on below itself where it is too narrow. */
    public static FlowPane flow(Node... children) {
        FlowPane flow = new FlowPane(children);
        flow.getStyleClass().add("flow");
        flow.setMinHeight(Region.USE_PREF_SIZE);
        return flow;
    }

    /** Words that go on below themselves where it is too narrow, and are never cut. */
    public static Label wrapped(String words, String... styleClasses) {
        Label label = label(words, styleClasses);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    /** A word or a number in a table: as wide as it is. */
    public static Label cell(String words, String... styleClasses) {
        Label label = label(words, styleClasses);
        label.setMinWidth(Region.USE_PREF_SIZE);
        return label;
    }

    public static VBox column(Node... children) {
        VBox column = new VBox(children);
        column.getStyleClass().add("column");
        return column;
    }

    /**
     * Lets the coach type into a field that has just appeared. It would hear letters only from the next frame on, and lose the first of a
     * quick hand; styled at once, it hears them all.
     */
    public static void writeIn(TextField field) {
        field.applyCss();
        field.requestFocus();
        field.selectAll();
    }

    /** Styles and lays out what is on the screen, without waiting for the next frame. */
    public static void layOut(Parent parent) {
        if (parent.getScene() != null) {
            parent.applyCss();
            parent.layout();
        }
    }

    /** There to be seen, or as if it were not there at all. */
    public static void showIf(Node node, boolean shown) {
        node.setVisible(shown);
        node.setManaged(shown);
    }

    /** A titled panel. */
    public static VBox panel(String title, Node... children) {
        VBox panel = new VBox(wrapped(title, "panel-title"));
        panel.getChildren().addAll(children);
        panel.getStyleClass().add("panel");
        return panel;
    }

    public static Region spring() {
        Region spring = new Region();
        HBox.setHgrow(spring, Priority.ALWAYS);
        return spring;
    }

    public static <N extends Node> N grow(N node) {
        HBox.setHgrow(node, Priority.ALWAYS);
        VBox.setVgrow(node, Priority.ALWAYS);
        return node;
    }

    /** Words beside the mouse when it rests there. */
    public static void hint(Control over, String words) {
        hint(over, () -> words);
    }

    /** The same, as they are when the mouse comes; made then, for each is a window of its own and a page has dozens. */
    public static void hint(Control over, Supplier<String> words) {
        over.addEventHandler(MouseEvent.MOUSE_ENTERED, e -> {
            Tooltip hint = over.getTooltip() == null ? new Tooltip() : over.getTooltip();
            hint.setText(words.get());
            over.setTooltip(words.get().isEmpty() ? null : hint);
        });
    }

    /** A word, its number in large figures, and what it means in a tooltip for those who want the standard term. */
    public static VBox figure(Label value, String caption, String standardTerm) {
        value.getStyleClass().add("figure");
        Label below = label(caption, "caption");
        hint(below, standardTerm);
        VBox box = new VBox(value, below);
        box.getStyleClass().add("figure-box");
        return box;
    }
}
