package fahrbahn.app.ground;

import fahrbahn.app.chart.Pen;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Outline;
import java.util.List;
import java.util.Locale;

/** Draws a table and what lies on it; works out anew only what has changed. */
public final class TablePainter {
    /** Drawn round each piece, in its own colour, so that no seam shows between two; what is filled is narrower by as much. */
    private static final double RIM_MM = 1;

    private static final double CORNER_PX = 12;

    private Draft draft;
    private double lineWidthMm;
    private List<Outline> outlines = List.of();
    private TableScale scale;
    private double[][] x;
    private double[][] y;

    /** @param newLineWidthMm of what is laid, above 0 */
    public void lay(Draft newDraft, double newLineWidthMm) {
        if (newDraft != draft || newLineWidthMm != lineWidthMm) {
            draft = newDraft;
            lineWidthMm = newLineWidthMm;
            outlines = Outline.of(draft, Math.max(2 * RIM_MM, lineWidthMm) - RIM_MM);
            scale = null;
        }
    }

    public void paint(Pen pen, TableScale at) {
        if (!at.equals(scale)) {
            place(at);
        }
        double width = at.pxPerMm() * draft.widthMm();
        double height = at.pxPerMm() * draft.heightMm();
        pen.roundedBox("ink-table", at.px(0), at.py(draft.heightMm()), width, height, CORNER_PX);
        for (int i = 0; i < x.length; i++) {
            String ink = "ink-" + outlines.get(i).kind().name().toLowerCase(Locale.ROOT);
            pen.area(ink, x[i], y[i]);
            pen.line(new Pen.Stroke(ink, Math.max(0.5, RIM_MM * at.pxPerMm())), x[i], y[i]);
        }
    }

    private void place(TableScale at) {
        scale = at;
        x = new double[outlines.size()][];
        y = new double[outlines.size()][];
        for (int i = 0; i < x.length; i++) {
            double[] xMm = outlines.get(i).xMm();
            double[] yMm = outlines.get(i).yMm();
            x[i] = new double[xMm.length + 1];
            y[i] = new double[xMm.length + 1];
            for (int k = 0; k <= xMm.length; k++) { // closed, for the rim
                x[i][k] = at.px(xMm[k % xMm.length]);
                y[i][k] = at.py(yMm[k % xMm.length]);
            }
        }
    }
}
