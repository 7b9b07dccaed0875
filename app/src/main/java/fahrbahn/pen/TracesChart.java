package fahrbahn.pen;

import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntToDoubleFunction;

/** Quantities of a run against its time, over each other, with what happened on the way. Told apart by ink, dash and name. */
public final class TracesChart implements Chart {
    private static final double TICK_PX = 7;

    private final String what;
    private final String yLabel;
    private final List<Series> series;
    private final double[] tS;
    private final double[] eventsS;
    private final Range y;

    /** @param dashes as a stroke has them; none for a line without gaps @param value of a sample */
    public record Series(String name, String ink, double[] dashes, IntToDoubleFunction value) {}

    /**
     * @param around 0 in the middle of the axis; else the axis goes from the least to the most
     * @param tS times of the samples, rising
     * @param eventsS when something happened
     */
    public TracesChart(String what, String yLabel, List<Series> series, boolean around, double[] tS, double[] eventsS) {
        this.what = what;
        this.yLabel = yLabel;
        this.series = List.copyOf(series);
        this.tS = tS.clone();
        this.eventsS = eventsS.clone();
        this.y = range(around);
    }

    private Range range(boolean around) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (Series one : series) {
            for (int i = 0; i < tS.length; i++) {
                least = Math.min(least, one.value().applyAsDouble(i));
                most = Math.max(most, one.value().applyAsDouble(i));
            }
        }
        if (around || !(most > least)) {
            double reach = Math.max(1e-9, 1.05 * Math.max(Math.abs(least), Math.abs(most)));
            return Double.isFinite(reach) ? new Range(-reach, reach) : new Range(-1, 1);
        }
        double spare = 0.05 * (most - least);
        return new Range(least - spare, most + spare);
    }

    @Override
    public String xLabel() {
        return "time, s";
    }

    @Override
    public String yLabel() {
        return yLabel;
    }

    @Override
    public String title() {
        return what + " against time";
    }

    @Override
    public String says() {
        if (tS.length == 0) {
            return "Nothing in it.";
        }
        List<String> each = new ArrayList<>();
        for (Series one : series) {
            double least = Double.POSITIVE_INFINITY;
            double most = Double.NEGATIVE_INFINITY;
            for (int i = 0; i < tS.length; i++) {
                least = Math.min(least, one.value().applyAsDouble(i));
                most = Math.max(most, one.value().applyAsDouble(i));
            }
            each.add(one.name() + " from " + Words.number(least) + " to " + Words.number(most));
        }
        return String.join(", ", each) + ", over " + Words.seconds(endS()) + ".";
    }

    private double endS() {
        return tS.length == 0 ? 1 : Math.max(1e-3, tS[tS.length - 1]);
    }

    @Override
    public Range x() {
        // From a whole second, so that a close look fills the width and its axis begins at a round number.
        return new Range(tS.length == 0 ? 0 : Math.floor(tS[0]), endS());
    }

    @Override
    public Range y() {
        return y;
    }

    @Override
    public void draw(Pen pen, Scale scale) {
        if (y.low() < 0 && y.high() > 0) {
            pen.line(new Pen.Stroke("ink-zero", 1), 0, scale.py(0), scale.width(), scale.py(0));
        }
        for (double event : eventsS) {
            double x = scale.px(event);
            pen.line(new Pen.Stroke("ink-event", 2), x, scale.height() - TICK_PX, x, scale.height());
        }
        for (Series one : series) {
            drawOne(pen, scale, one);
        }
    }

    /** The last one tells the unit of all, for charts below each other have no room for it at their axes. */
    @Override
    public List<Key> keys() {
        List<Key> keys = new ArrayList<>();
        for (Series one : series) {
            String name = one == series.get(series.size() - 1) ? one.name() + "  (" + yLabel + ")" : one.name();
            keys.add(new Key(name, new Pen.Stroke(one.ink(), 2, one.dashes())));
        }
        return keys;
    }

    /** From least to most in each column of a pixel: a long run costs no more than a short one. */
    private void drawOne(Pen pen, Scale scale, Series one) {
        int columns = (int) Math.max(1, scale.px(endS()) + 1);
        double[] x = new double[2 * columns];
        double[] y2 = new double[2 * columns];
        int points = 0;
        int i = 0;
        for (int column = 0; column < columns; column++) {
            double least = Double.POSITIVE_INFINITY;
            double most = Double.NEGATIVE_INFINITY;
            while (i < tS.length && scale.px(tS[i]) < column + 1) {
                double value = one.value().applyAsDouble(i);
                least = Math.min(least, value);
                most = Math.max(most, value);
                i++;
            }
            if (most >= least) {
                x[points] = column;
                y2[points++] = scale.py(least);
                x[points] = column;
                y2[points++] = scale.py(most);
            }
        }
        pen.line(new Pen.Stroke(one.ink(), 1.4, one.dashes()), Arrays.copyOf(x, points), Arrays.copyOf(y2, points));
    }
}
