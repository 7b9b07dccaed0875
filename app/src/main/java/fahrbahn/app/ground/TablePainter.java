package fahrbahn.app.ground;

import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Outline;
import fahrbahn.pen.Pen;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.IntPredicate;

/** Draws a table and what lies on it; works out anew only what has changed. */
public final class TablePainter {
    /** Drawn round each piece, in its own colour, so that no seam shows between two; what is filled is narrower by as much. */
    private static final double RIM_MM = 1;

    private static final double CORNER_PX = 12;

    private Draft draft;
    private double lineWidthMm;
    private List<Outline> outlines = List.of();
    private double[][] boxesMm;
    private TableScale scale;
    private double[][] x;
    private double[][] y;

    /** @param newLineWidthMm of what is laid, above 0 */
    public void lay(Draft newDraft, double newLineWidthMm) {
        if (newDraft != draft || newLineWidthMm != lineWidthMm) {
            draft = newDraft;
            lineWidthMm = newLineWidthMm;
            outlines = Outline.of(draft, Math.max(2 * RIM_MM, lineWidthMm) - RIM_MM);
            boxesMm = outlines.stream().map(TablePainter::box).toArray(double[][]::new);
            scale = null;
        }
    }

    /** All of it. */
    public void paint(Pen pen, TableScale at) {
        paint(pen, at, outline -> true);
    }

    /** What of it lies between the corner and so many pixels to the right and down: all that is seen when it is looked at closer. */
    public void paint(Pen pen, TableScale at, double widthPx, double heightPx) {
        paint(pen, at, outline -> seen(outline, at, widthPx, heightPx));
    }

    private void paint(Pen pen, TableScale at, IntPredicate seen) {
        double width = at.pxPerMm() * draft.widthMm();
        double height = at.pxPerMm() * draft.heightMm();
        pen.roundedBox("ink-table", at.px(0), at.py(draft.heightMm()), width, height, CORNER_PX);
        if (!at.equals(scale)) {
            scale = at;
            x = new double[outlines.size()][];
            y = new double[outlines.size()][];
        }
        for (int i = 0; i < x.length; i++) {
            if (!seen.test(i)) {
                continue;
            }
            if (x[i] == null) {
                place(i, at);
            }
            String ink = "ink-" + outlines.get(i).kind().name().toLowerCase(Locale.ROOT);
            pen.area(ink, x[i], y[i]);
            pen.line(new Pen.Stroke(ink, Math.max(0.5, RIM_MM * at.pxPerMm())), x[i], y[i]);
        }
    }

    private boolean seen(int i, TableScale at, double widthPx, double heightPx) {
        double[] box = boxesMm[i];
        return at.px(box[1]) >= -RIM_MM * at.pxPerMm()
                && at.px(box[0]) <= widthPx + RIM_MM * at.pxPerMm()
                && at.py(box[2]) >= -RIM_MM * at.pxPerMm()
                && at.py(box[3]) <= heightPx + RIM_MM * at.pxPerMm();
    }

    /** Least and most across, least and most up. */
    private static double[] box(Outline outline) {
        double[] x = outline.xMm();
        double[] y = outline.yMm();
        return new double[] {
            Arrays.stream(x).min().orElseThrow(), Arrays.stream(x).max().orElseThrow(),
            Arrays.stream(y).min().orElseThrow(), Arrays.stream(y).max().orElseThrow()
        };
    }

    private void place(int i, TableScale at) {
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
