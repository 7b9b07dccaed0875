package fahrbahn.app.view;

import javafx.css.PseudoClass;

/** A canvas that shows a table as large as it fits, y upwards, and knows where on it the mouse is. It can have the focus. */
abstract class TableCanvas extends CanvasRegion {
    private static final PseudoClass FOCUSED = PseudoClass.getPseudoClass("focused");
    private static final double MARGIN_PX = 6;

    TableCanvas(String accessibleText) {
        super(accessibleText, 220);
        setFocusTraversable(true);
        getStyleClass().add("handled");
        focusedProperty().addListener(o -> pseudoClassStateChanged(FOCUSED, isFocused()));
    }

    abstract double tableWidthMm();

    abstract double tableHeightMm();

    /** Pixels per mm. */
    final double scale() {
        return Math.max(
                1e-6,
                Math.min(
                        (getWidth() - 2 * MARGIN_PX) / tableWidthMm(),
                        (getHeight() - 2 * MARGIN_PX) / tableHeightMm()));
    }

    private double left() {
        return (getWidth() - scale() * tableWidthMm()) / 2;
    }

    private double bottom() {
        return (getHeight() + scale() * tableHeightMm()) / 2;
    }

    final double px(double xMm) {
        return left() + scale() * xMm;
    }

    final double py(double yMm) {
        return bottom() - scale() * yMm;
    }

    final double xMm(double px) {
        return (px - left()) / scale();
    }

    final double yMm(double py) {
        return (bottom() - py) / scale();
    }
}
