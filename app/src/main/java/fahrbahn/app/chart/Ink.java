package fahrbahn.app.chart;

import javafx.scene.paint.Paint;
import javafx.scene.shape.Rectangle;

/** A colour for a canvas, taken from the style sheet: a shape without size whose {@code -fx-fill} is the colour. */
final class Ink extends Rectangle {
    Ink(String styleClass) {
        getStyleClass().addAll("ink", styleClass);
        setManaged(false);
        setMouseTransparent(true);
    }

    Paint paint() {
        return getFill();
    }
}
