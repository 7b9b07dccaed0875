package fahrbahn.app.table;

import fahrbahn.app.kit.CanvasRegion;
import javafx.css.PseudoClass;

/** A canvas that shows a table as large as it fits, y upwards, and knows where on it the mouse is. It can have the focus. */
abstract class TableCanvas extends CanvasRegion {
    private static final PseudoClass FOCUSED = PseudoClass.getPseudoClass("focused");
    private static final double MARGIN_PX = 6;
    private static final double[] NOTHING = {0, 0, 0, 0};

    TableCanvas(String accessibleText) {
        super(accessibleText, 220);
        setFocusTraversable(true);
        getStyleClass().add("handled");
        focusedProperty().addListener(o -> pseudoClassStateChanged(FOCUSED, isFocused()));
    }

    abstract double tableWidthMm();

    abstract double tableHeightMm();

    /** How far what is shown reaches beyond the table: left, below, right and above, mm, each 0 or more. */
    double[] beyondMm() {
        return NOTHING;
    }

    /** Pixels per mm. */
    final double scale() {
        double[] beyond = beyondMm();
        return Math.max(
                1e-6,
                Math.min(
                        (getWidth() - 2 * MARGIN_PX) / (tableWidthMm() + beyond[0] + beyond[2]),
                        (getHeight() - 2 * MARGIN_PX) / (tableHeightMm() + beyond[1] + beyond[3])));
    }

    private double left() {
        double[] beyond = beyondMm();
        return (getWidth() - scale() * (tableWidthMm() + beyond[2] - beyond[0])) / 2;
    }

    private double bottom() {
        double[] beyond = beyondMm();
        return (getHeight() + scale() * (tableHeightMm() + beyond[3] - beyond[1])) / 2;
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
