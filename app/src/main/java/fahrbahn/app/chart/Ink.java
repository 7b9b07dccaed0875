package fahrbahn.app.chart;

import javafx.scene.paint.Paint;
import javafx.scene.shape.Rectangle;

/** A colour for a canvas, taken from the style sheet: a shape without size whose {@code -fx-fill} is the colour. */
public final class Ink extends Rectangle {
    public Ink(String styleClass) {
        getStyleClass().addAll("ink", styleClass);
        setManaged(false);
        setMouseTransparent(true);
    }

    public Paint paint() {
        return getFill();
    }
}
