package fahrbahn.pen;

import fahrbahn.words.Words;
import java.util.function.IntToDoubleFunction;

/**
 * One quantity of a run against time.
 *
 * @param value of sample i, taken at {@code i * periodS}
 */
public record TraceChart(String what, String yLabel, String ink, int size, double periodS, IntToDoubleFunction value)
        implements Chart {
    @Override
    public String xLabel() {
        return "time, s";
    }

    @Override
    public String title() {
        return what + " against time";
    }

    @Override
    public String says() {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < size; i++) {
            least = Math.min(least, value.applyAsDouble(i));
            most = Math.max(most, value.applyAsDouble(i));
        }
        return size == 0
                ? "Nothing in it."
                : "From " + Words.number(least) + " to " + Words.number(most) + " over " + Words.seconds(size * periodS)
                        + ".";
    }

    @Override
    public Range x() {
        return new Range(0, size * periodS);
    }

    @Override
    public Range y() {
        double most = 1e-9;
        for (int i = 0; i < size; i++) {
            most = Math.max(most, Math.abs(value.applyAsDouble(i)));
        }
        return new Range(-1.1 * most, 1.1 * most);
    }

    @Override
    public void draw(Pen pen, Scale scale) {
        pen.line(new Pen.Stroke("ink-zero", 1), 0, scale.py(0), scale.width(), scale.py(0));
        // From least to most in each column of a pixel: a long run costs no more than a short one.
        int columns = (int) Math.max(1, scale.px(size * periodS)); // the axis ends on a whole tick, beyond the run
        double[] x = new double[2 * columns];
        double[] y = new double[2 * columns];
        for (int column = 0; column < columns; column++) {
            int from = (int) ((long) column * size / columns);
            int to = Math.min(size, Math.max(from + 1, (int) ((long) (column + 1) * size / columns)));
            double least = Double.POSITIVE_INFINITY;
            double most = Double.NEGATIVE_INFINITY;
            for (int i = from; i < to; i++) {
                least = Math.min(least, value.applyAsDouble(i));
                most = Math.max(most, value.applyAsDouble(i));
            }
            x[2 * column] = column;
            x[2 * column + 1] = column;
            y[2 * column] = scale.py(least);
            y[2 * column + 1] = scale.py(most);
        }
        pen.line(new Pen.Stroke(ink, 1.4), x, y);
    }
}
