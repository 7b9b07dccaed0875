package fahrbahn.app.measure;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.core.check.BadValueException;
import fahrbahn.words.Refusals;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** Where readings are typed that no cable brings: one row of numbers a sensor. Above whatever page is up. */
public final class TypingBar extends VBox {
    private final MeasureModel model;
    private final Label asks = Nodes.label("", "strong");
    private final TextField field = new TextField();
    private final Label problem = Nodes.label("", "problem");

    public TypingBar(MeasureModel model) {
        this.model = model;
        getStyleClass().addAll("column", "panel");
        asks.setId("typingAsks");
        field.setId("typedReadings");
        Fields.describe(
                field,
                "readings",
                "What the display shows on this surface, separated by spaces; red/green/blue for a colour sensor.");
        field.setPromptText("88 89 84, or 42/20/55 43/21/54");
        field.setPrefColumnCount(22);
        field.setOnAction(e -> enter());
        field.setAccessibleText("readings, separated by spaces");
        problem.setId("typingProblem");
        Button away = new Button("Cancel");
        away.setId("typingAway");
        away.setOnAction(e -> model.typist().stop());
        Label hint = Nodes.wrapped("Enter: next sensor; empty: leave it as it was", "caption");
        asks.setMinWidth(USE_PREF_SIZE);
        away.setMinWidth(USE_PREF_SIZE);
        problem.setWrapText(true);
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        getChildren().addAll(Nodes.row(asks, field, away, Nodes.grow(hint)), problem);
        managedProperty().bind(visibleProperty());
        model.typist().typingProperty().addListener(o -> refresh());
        model.typist().askedProperty().addListener(o -> Nodes.writeIn(field));
        refresh();
    }

    private void refresh() {
        setVisible(model.typist().typingProperty().get().isPresent());
        model.typist().typingProperty().get().ifPresent(typing -> asks.setText("Type " + typing.asks() + ":"));
        field.clear();
        problem.setText("");
    }

    private void enter() {
        try {
            model.typist().type(field.getText());
            if (model.typist().typingProperty().get().isEmpty()) {
                getScene().getRoot().requestFocus(); // keys belong to the station again
            }
        } catch (BadValueException refused) {
            problem.setText(Refusals.sentence(refused));
        }
    }
}
