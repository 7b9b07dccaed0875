package fahrbahn.app.measure;

import fahrbahn.app.kit.Nodes;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/** Asks of which surface readings are that name none; the surface's own key answers, from whatever page is up. */
final class SurfaceQuestion extends HBox {
    SurfaceQuestion(MeasureModel model) {
        getStyleClass().addAll("row", "panel");
        Label words = Nodes.label("", "strong");
        words.setId("surfaceQuestion");
        words.textProperty().bind(model.questionProperty());
        Button away = new Button("Keep none of them");
        away.setId("surfaceForget");
        away.setOnAction(e -> model.forget());
        Label keys = Nodes.label("L light, D dark, E edge, W a sweep; or a name below and G", "caption");
        getChildren().addAll(words, keys, away);
        managedProperty().bind(visibleProperty());
        visibleProperty().bind(model.questionProperty().isNotEmpty());
    }
}
