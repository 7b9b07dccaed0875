package fahrbahn.app.ground;

/**
 * Where a table lies on a picture, its y upwards.
 *
 * @param leftPx where x = 0 is
 * @param bottomPx where y = 0 is
 * @param pxPerMm above 0
 */
public record TableScale(double leftPx, double bottomPx, double pxPerMm) {
    /** As large as it fits, in the middle. @param beyondMm room left free left of, below, right of and above the table */
    public static TableScale fitting(
            double widthMm, double heightMm, double[] beyondMm, double widthPx, double heightPx, double marginPx) {
        double wide = widthMm + beyondMm[0] + beyondMm[2];
        double high = heightMm + beyondMm[1] + beyondMm[3];
        double scale = Math.max(1e-6, Math.min((widthPx - 2 * marginPx) / wide, (heightPx - 2 * marginPx) / high));
        return new TableScale(
                (widthPx - scale * (widthMm + beyondMm[2] - beyondMm[0])) / 2,
                (heightPx + scale * (heightMm + beyondMm[3] - beyondMm[1])) / 2,
                scale);
    }

    /** Looked at closer. @param times as large @param middleX the place that comes to the middle of a region, px @param middleY likewise */
    public TableScale closer(double times, double xMm, double yMm, double middleX, double middleY) {
        double scale = times * pxPerMm;
        return new TableScale(middleX - scale * xMm, middleY + scale * yMm, scale);
    }

    public double px(double xMm) {
        return leftPx + pxPerMm * xMm;
    }

    public double py(double yMm) {
        return bottomPx - pxPerMm * yMm;
    }

    public double xMm(double px) {
        return (px - leftPx) / pxPerMm;
    }

    public double yMm(double py) {
        return (bottomPx - py) / pxPerMm;
    }
}
