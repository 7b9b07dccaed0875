package fahrbahn.pen;

/** Draws nothing; how wide words stand it knows as pens on paper do. For who must know beforehand how much room something takes. */
public final class MeasuringPen implements Pen {
    private static final double FONT_SIZE = 12;

    @Override
    public void line(Stroke stroke, double[] x, double[] y) {}

    @Override
    public void area(String ink, double[] x, double[] y) {}

    @Override
    public void dot(String ink, double x, double y, double radius) {}

    @Override
    public void text(String ink, String words, double x, double y, Anchor anchor, double times) {}

    @Override
    public double width(String words) {
        return PaperFont.width(words, FONT_SIZE);
    }
}
