package fahrbahn.app.kit;

import fahrbahn.app.chart.TextFont;
import javafx.geometry.Orientation;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;

/** Two halves of a page beside each other, as high as the page; below each other where it is too narrow for both. */
public final class SideBySide extends Pane {
    private static final double GAP_PX = 10;

    private final Region left;
    private final Region right;
    private final double leftShare;
    private final double leastEm;

    /** @param leftShare of the width @param leastEm width in heights of letters below which they stand below each other */
    public SideBySide(Region left, Region right, double leftShare, double leastEm) {
        this.left = left;
        this.right = right;
        this.leftShare = leftShare;
        this.leastEm = leastEm;
        setPrefWidth(0); // whatever its parent has
        getChildren().addAll(left, right);
    }

    private boolean beside(double width) {
        return width >= leastEm * em();
    }

    private double em() {
        return TextFont.of(this).getSize();
    }

    private double leftWidth(double width) {
        return beside(width) ? Math.round((width - GAP_PX) * leftShare) : width;
    }

    private double rightWidth(double width) {
        return beside(width) ? width - GAP_PX - leftWidth(width) : width;
    }

    @Override
    public Orientation getContentBias() {
        return Orientation.HORIZONTAL;
    }

    @Override
    protected double computeMinHeight(double width) {
        double use = width < 0 ? getWidth() : width;
        return together(use, left.minHeight(leftWidth(use)), right.minHeight(rightWidth(use)));
    }

    @Override
    protected double computePrefHeight(double width) {
        double use = width < 0 ? getWidth() : width;
        return together(use, left.prefHeight(leftWidth(use)), right.prefHeight(rightWidth(use)));
    }

    private double together(double width, double leftHeight, double rightHeight) {
        return beside(width) ? Math.max(leftHeight, rightHeight) : leftHeight + GAP_PX + rightHeight;
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth();
        double height = getHeight();
        if (beside(width)) {
            left.resizeRelocate(0, 0, leftWidth(width), height);
            right.resizeRelocate(leftWidth(width) + GAP_PX, 0, rightWidth(width), height);
        } else {
            // What is to spare goes to the left one, which has the pictures.
            double below = Math.min(
                    right.prefHeight(width), Math.max(right.minHeight(width), height - GAP_PX - left.minHeight(width)));
            left.resizeRelocate(0, 0, width, height - GAP_PX - below);
            right.resizeRelocate(0, height - below, width, below);
        }
    }
}
