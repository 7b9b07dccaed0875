package fahrbahn.app.table;

import fahrbahn.app.ground.TableCanvas;
import javafx.geometry.Point2D;
import javafx.scene.Node;

/** Where a picture of a table shows its places, for tests that point at them. */
public final class TablePlaces {
    private final TableCanvas canvas;

    public TablePlaces(Node tableCanvas) {
        canvas = (TableCanvas) tableCanvas;
    }

    public Point2D onScreen(double xMm, double yMm) {
        return canvas.localToScreen(canvas.scale().px(xMm), canvas.scale().py(yMm));
    }
}
