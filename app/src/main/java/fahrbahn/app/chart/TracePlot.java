package fahrbahn.app.chart;

import java.util.function.IntToDoubleFunction;
import javafx.scene.canvas.GraphicsContext;

/** One quantity of a run against time; a cursor shows how far the picture has come. */
public final class TracePlot extends Plot {
    private final Ink ink;
    private final Ink cursor = ink("ink-middle");
    private final Ink zero = ink("ink-zero");
    private int size;
    private double periodS;
    private IntToDoubleFunction value;
    private double cursorS = Double.NaN;

    public TracePlot(String yLabel, String inkClass) {
        super("time, s", yLabel);
        ink = ink(inkClass);
        setAccessibleText(yLabel + " against time");
    }

    /** @param newValue of sample i, taken at {@code i * newPeriodS} */
    public void show(int newSize, double newPeriodS, IntToDoubleFunction newValue) {
        size = newSize;
        periodS = newPeriodS;
        value = newValue;
        double most = 1e-9;
        for (int i = 0; i < size; i++) {
            most = Math.max(most, Math.abs(value.applyAsDouble(i)));
        }
        range(0, size * periodS, -1.1 * most, 1.1 * most);
    }

    public void cursor(double tS) {
        cursorS = tS;
        requestChartLayout();
    }

    @Override
    protected void paint(GraphicsContext g) {
        if (value == null) {
            return;
        }
        line(g, zero.paint(), 1, new double[] {}, c -> {
            c.moveTo(0, py(0));
            c.lineTo(plotWidth(), py(0));
        });
        // One stroke from least to most per pixel column: a long run costs no more than a short one.
        int columns = (int) Math.max(1, px(size * periodS)); // the axis ends on a whole tick, beyond the run
        line(g, ink.paint(), 1.4, new double[] {}, c -> {
            for (int column = 0; column < columns; column++) {
                int from = (int) ((long) column * size / columns);
                int to = Math.min(size, Math.max(from + 1, (int) ((long) (column + 1) * size / columns)));
                double least = Double.POSITIVE_INFINITY;
                double most = Double.NEGATIVE_INFINITY;
                for (int i = from; i < to; i++) {
                    least = Math.min(least, value.applyAsDouble(i));
                    most = Math.max(most, value.applyAsDouble(i));
                }
                if (column == 0) {
                    c.moveTo(column, py(least));
                }
                c.lineTo(column, py(least));
                c.lineTo(column, py(most));
            }
        });
        if (!Double.isNaN(cursorS)) {
            line(g, cursor.paint(), 2, new double[] {}, c -> {
                c.moveTo(px(cursorS), 0);
                c.lineTo(px(cursorS), plotHeight());
            });
        }
    }
}
