package fahrbahn.app.table;

import fahrbahn.app.chart.Ink;
import fahrbahn.core.table.Outline;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.scene.canvas.GraphicsContext;

/** Paints a table and what lies on it, in the colours of the style sheet. */
final class CoursePainter {
    private final TableCanvas on;
    private final Ink table;
    private final Map<Outline.Kind, Ink> inks = new EnumMap<>(Outline.Kind.class);

    CoursePainter(TableCanvas on) {
        this.on = on;
        table = on.ink("ink-table");
        for (Outline.Kind kind : Outline.Kind.values()) {
            inks.put(kind, on.ink("ink-" + kind.name().toLowerCase(Locale.ROOT)));
        }
    }

    void paint(GraphicsContext g, double widthMm, double heightMm, List<Outline> outlines) {
        g.setFill(table.paint());
        g.fillRoundRect(on.px(0), on.py(heightMm), on.px(widthMm) - on.px(0), on.py(0) - on.py(heightMm), 12, 12);
        g.setLineWidth(1);
        for (Outline outline : outlines) {
            double[] x = outline.xMm().clone();
            double[] y = outline.yMm().clone();
            for (int i = 0; i < x.length; i++) {
                x[i] = on.px(x[i]);
                y[i] = on.py(y[i]);
            }
            g.setFill(inks.get(outline.kind()).paint());
            g.setStroke(inks.get(outline.kind()).paint());
            g.fillPolygon(x, y, x.length);
            g.strokePolygon(x, y, x.length);
        }
    }
}
