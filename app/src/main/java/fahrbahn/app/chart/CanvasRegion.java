package fahrbahn.app.chart;

import fahrbahn.pen.Pen;
import java.util.Optional;
import javafx.scene.AccessibleAttribute;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.layout.Region;
import javafx.scene.paint.Paint;

/** A region that a pen paints anew, in colours of the style sheet, whenever it is laid out. */
public abstract class CanvasRegion extends Region {
    private final Canvas canvas = new Canvas();
    private final Inks inks = new Inks(getChildren(), this::requestLayout);

    /** A picture of pixels and where it lies. */
    public record Backdrop(Image image, double x, double y, double width, double height) {}

    public CanvasRegion(String accessibleText, double leastHeight) {
        getChildren().add(canvas);
        setAccessibleText(accessibleText);
        setMinHeight(leastHeight);
    }

    /** What there is to see now, for those who cannot see it; asked for only by a screen reader. */
    protected String says() {
        return "";
    }

    @Override
    public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
        if (attribute != AccessibleAttribute.TEXT) {
            return super.queryAccessibleAttribute(attribute, parameters);
        }
        String says = says();
        return getAccessibleText() + (says.isEmpty() ? "" : ". " + says);
    }

    /** Pixels that lie under what the pen paints. */
    protected Optional<Backdrop> backdrop() {
        return Optional.empty();
    }

    /** The colour of an ink, for pixels. */
    protected final Paint paint(String ink) {
        return inks.paint(ink);
    }

    /** Paints everything; the canvas is empty before, or shows the backdrop, and is as large as the region. */
    protected abstract void paint(Pen pen);

    @Override
    protected final void layoutChildren() {
        canvas.setWidth(getWidth());
        canvas.setHeight(getHeight());
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, getWidth(), getHeight());
        g.setFont(TextFont.of(this));
        backdrop().ifPresent(b -> g.drawImage(b.image(), b.x(), b.y(), b.width(), b.height()));
        paint(new CanvasPen(g, inks::paint));
    }
}
