package fahrbahn.app.measure;

import fahrbahn.app.kit.Nodes;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/** Asks what readings are of that do not say it themselves; one key answers, from whatever page is up. */
final class SurfaceQuestion extends HBox {
    SurfaceQuestion(MeasureModel model) {
        getStyleClass().addAll("row", "panel");
        Label words = Nodes.label("", "strong");
        words.setId("surfaceQuestion");
        words.setWrapText(true);
        words.textProperty().bind(model.asking().questionProperty().map(Question::words));
        Label keys = Nodes.label("", "caption");
        keys.setId("questionKeys");
        keys.textProperty().bind(model.asking().questionProperty().map(Question::keys));
        Button away = new Button("Keep none");
        away.setId("surfaceForget");
        away.setMinWidth(USE_PREF_SIZE);
        away.setOnAction(e -> model.asking().forget());
        getChildren().addAll(words, keys, away);
        managedProperty().bind(visibleProperty());
        visibleProperty().bind(model.asking().questionProperty().map(Question::open));
    }
}
