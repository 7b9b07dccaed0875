package fahrbahn.app.kit.field;

import fahrbahn.app.kit.Nodes;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** One of a few words. Choosing sets it; a choice the setup refuses is told and taken back by {@link #show}. */
public final class ChoiceField<E> extends VBox {
    private final ComboBox<E> box = new ComboBox<>();
    private boolean showing;

    /** @param set takes a choice the coach made, never one that was only shown */
    public ChoiceField(
            String id, String words, String standardTerm, E[] values, Function<E, String> word, Consumer<E> set) {
        Label label = Nodes.wrapped(words, "caption");
        label.setLabelFor(box);
        Nodes.hint(label, standardTerm);
        box.setId(id);
        box.setAccessibleText(words);
        Fields.describe(box, words, standardTerm);
        box.getItems().setAll(values);
        box.setConverter(new Spoken<>(word));
        box.valueProperty().addListener((o, before, after) -> {
            if (!showing && after != null) {
                set.accept(after);
            }
        });
        getChildren().addAll(label, box);
        getStyleClass().add("choice-field");
    }

    /** Its word before it instead of above it. */
    public ChoiceField<E> inARow() {
        Label label = (Label) getChildren().get(0);
        label.setMinWidth(USE_PREF_SIZE);
        box.setMinWidth(USE_PREF_SIZE);
        HBox row = new HBox(label, box);
        row.getStyleClass().add("row");
        getChildren().setAll(row);
        return this;
    }

    /** Other values to choose from. */
    public void offer(List<E> values, E value) {
        showing = true;
        box.getItems().setAll(values);
        box.setValue(value);
        showing = false;
    }

    public void show(E value) {
        showing = true;
        box.setValue(value);
        showing = false;
    }
}
