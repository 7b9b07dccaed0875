package fahrbahn.app.chart;

import fahrbahn.pen.Pen;
import java.util.function.Function;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Paint;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;

/** Paints on a canvas, in the colours of the style sheet. */
final class CanvasPen implements Pen {
    private final GraphicsContext g;
    private final Function<String, Paint> paint;

    CanvasPen(GraphicsContext g, Function<String, Paint> paint) {
        this.g = g;
        this.paint = paint;
    }

    @Override
    public void line(Stroke stroke, double[] x, double[] y) {
        g.setStroke(paint.apply(stroke.ink()));
        g.setLineWidth(stroke.width());
        g.setLineDashes(stroke.dashes());
        g.strokePolyline(x, y, x.length);
        g.setLineDashes();
    }

    @Override
    public void area(String ink, double[] x, double[] y) {
        g.setFill(paint.apply(ink));
        g.fillPolygon(x, y, x.length);
    }

    @Override
    public void dot(String ink, double x, double y, double radius) {
        g.setFill(paint.apply(ink));
        g.fillOval(x - radius, y - radius, 2 * radius, 2 * radius);
    }

    @Override
    public double width(String words) {
        Text text = new Text(words);
        text.setFont(g.getFont());
        return text.getLayoutBounds().getWidth();
    }

    @Override
    public double lineHeight() {
        return 1.2 * g.getFont().getSize();
    }

    @Override
    public void text(String ink, String words, double x, double y, Anchor anchor, double times) {
        Font usual = g.getFont();
        if (times != 1) {
            g.setFont(Font.font(usual.getFamily(), times * usual.getSize()));
        }
        g.setFill(paint.apply(ink));
        g.setTextAlign(
                switch (anchor) {
                    case LEFT -> TextAlignment.LEFT;
                    case MIDDLE -> TextAlignment.CENTER;
                    case RIGHT -> TextAlignment.RIGHT;
                });
        g.fillText(words, x, y);
        g.setTextAlign(TextAlignment.LEFT);
        g.setFont(usual);
    }
}
