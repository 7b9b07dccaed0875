package fahrbahn.app.kit;

import fahrbahn.app.chart.Ink;
import fahrbahn.app.chart.TextFont;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;

/** A region that paints itself anew, in colours of the style sheet, whenever it is laid out. */
public abstract class CanvasRegion extends Region {
    private final Canvas canvas = new Canvas();

    public CanvasRegion(String accessibleText, double leastHeight) {
        getChildren().add(canvas);
        setAccessibleText(accessibleText);
        setMinHeight(leastHeight);
    }

    public final Ink ink(String styleClass) {
        Ink ink = new Ink(styleClass);
        ink.fillProperty().addListener(o -> requestLayout());
        getChildren().add(ink);
        return ink;
    }

    /** Paints everything; the canvas is empty before and as large as the region. */
    protected abstract void paint(GraphicsContext g);

    @Override
    protected final void layoutChildren() {
        canvas.setWidth(getWidth());
        canvas.setHeight(getHeight());
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, getWidth(), getHeight());
        g.setFont(TextFont.of(this));
        paint(g);
    }
}
