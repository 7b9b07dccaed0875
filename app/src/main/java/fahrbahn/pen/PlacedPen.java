package fahrbahn.pen;

/**
 * Draws as another pen does, turned and put somewhere else. Texts are put, not turned.
 *
 * @param x where what is drawn at 0, 0 comes to lie
 * @param turnRad counter-clockwise as seen
 */
public record PlacedPen(Pen pen, double x, double y, double turnRad) implements Pen {
    /** Put elsewhere, not turned. */
    public static PlacedPen at(Pen pen, double x, double y) {
        return new PlacedPen(pen, x, y, 0);
    }

    private double px(double dx, double dy) {
        return turnRad == 0 ? x + dx : x + dx * Math.cos(turnRad) + dy * Math.sin(turnRad);
    }

    private double py(double dx, double dy) {
        return turnRad == 0 ? y + dy : y - dx * Math.sin(turnRad) + dy * Math.cos(turnRad);
    }

    private double[][] placed(double[] dx, double[] dy) {
        double[][] placed = new double[2][dx.length];
        for (int i = 0; i < dx.length; i++) {
            placed[0][i] = px(dx[i], dy[i]);
            placed[1][i] = py(dx[i], dy[i]);
        }
        return placed;
    }

    @Override
    public void line(Stroke stroke, double[] dx, double[] dy) {
        double[][] placed = placed(dx, dy);
        pen.line(stroke, placed[0], placed[1]);
    }

    @Override
    public void area(String ink, double[] dx, double[] dy) {
        double[][] placed = placed(dx, dy);
        pen.area(ink, placed[0], placed[1]);
    }

    @Override
    public void dot(String ink, double dx, double dy, double radius) {
        pen.dot(ink, px(dx, dy), py(dx, dy), radius);
    }

    @Override
    public double width(String words) {
        return pen.width(words);
    }

    @Override
    public double lineHeight() {
        return pen.lineHeight();
    }

    @Override
    public void text(String ink, String words, double dx, double dy, Anchor anchor, double times) {
        pen.text(ink, words, px(dx, dy), py(dx, dy), anchor, times);
    }
}
