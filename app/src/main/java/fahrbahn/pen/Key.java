package fahrbahn.pen;

import java.util.List;

/** What a line of a picture is: a piece of it and its name. They stand in a row above the picture, where no line runs. */
public record Key(String name, Pen.Stroke stroke) {
    private static final double PIECE_PX = 14;
    private static final double GAP_PX = 4;

    /** Draws a row, its words standing on {@code y}. */
    public static void row(List<Key> keys, Pen pen, double x, double y) {
        double at = x;
        for (Key key : keys) {
            pen.line(key.stroke(), at, y - 4, at + PIECE_PX, y - 4);
            pen.text("ink-edge", key.name(), at + PIECE_PX + GAP_PX, y);
            at += PIECE_PX + GAP_PX + pen.width(key.name()) + PIECE_PX;
        }
    }
}
