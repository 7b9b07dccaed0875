package fahrbahn.pen;

/**
 * What charts draw with: one pen paints a canvas, others write vectors, so that what is printed is what was seen. Colours are named
 * by their ink in the style sheet; places are in the pen's own units, y downwards.
 */
public interface Pen {
    /** Where a text stands to its place. */
    enum Anchor {
        LEFT,
        MIDDLE,
        RIGHT
    }

    /** How a line is drawn. @param dashes lengths drawn and left out in turn; none for a line without gaps */
    record Stroke(String ink, double width, double... dashes) {}

    /** A line through points. */
    void line(Stroke stroke, double[] x, double[] y);

    /** A filled area. */
    void area(String ink, double[] x, double[] y);

    void dot(String ink, double x, double y, double radius);

    /** @param times as large as words usually are */
    void text(String ink, String words, double x, double y, Anchor anchor, double times);

    default void text(String ink, String words, double x, double y, Anchor anchor) {
        text(ink, words, x, y, anchor, 1);
    }

    /** How wide words stand; about, where a pen cannot know. */
    default double width(String words) {
        return 6.6 * words.length();
    }

    /** @param times as large as words usually are */
    default double width(String words, double times) {
        return times * width(words);
    }

    /** From a line of words to the next. */
    default double lineHeight() {
        return 16;
    }

    /** A straight line. */
    default void line(Stroke stroke, double x1, double y1, double x2, double y2) {
        line(stroke, new double[] {x1, x2}, new double[] {y1, y2});
    }

    /** A filled rectangle. */
    default void box(String ink, double x, double y, double width, double height) {
        area(ink, new double[] {x, x + width, x + width, x}, new double[] {y, y, y + height, y + height});
    }

    /** The outline of a rectangle. */
    default void frame(Stroke stroke, double x, double y, double width, double height) {
        line(stroke, new double[] {x, x + width, x + width, x, x}, new double[] {y, y, y + height, y + height, y});
    }

    /** The outline of a rectangle with rounded corners. */
    default void roundedFrame(Stroke stroke, double x, double y, double width, double height, double radius) {
        double[][] points = Shapes.rounded(x, y, width, height, radius);
        line(stroke, points[0], points[1]);
    }

    /** A filled rectangle with rounded corners. */
    default void roundedBox(String ink, double x, double y, double width, double height, double radius) {
        double[][] points = Shapes.rounded(x, y, width, height, radius);
        area(ink, points[0], points[1]);
    }

    /** A circle that is not filled. */
    default void ring(Stroke stroke, double x, double y, double radius) {
        double[][] points = Shapes.circle(x, y, radius);
        line(stroke, points[0], points[1]);
    }

    /** A part of one. @param fromRad counter-clockwise from the right, as seen @param sweepRad likewise */
    default void arc(Stroke stroke, double x, double y, double radius, double fromRad, double sweepRad) {
        double[][] points = Shapes.arc(x, y, radius, fromRad, sweepRad);
        line(stroke, points[0], points[1]);
    }

    default void text(String ink, String words, double x, double y) {
        text(ink, words, x, y, Anchor.LEFT);
    }
}
