package fahrbahn.pen;

import fahrbahn.pen.Chart.Range;
import java.util.ArrayList;
import java.util.List;

/**
 * Where values lie on a surface. Axes end on whole ticks: one that ends on 83.2 reads badly.
 *
 * @param width of the surface
 * @param height of the surface
 */
public record Scale(Range x, Range y, double width, double height) {
    private static final double TICKS = 6;

    /** Between two ticks, so that about six of them fit. */
    public static double tick(Range range) {
        double span = range.high() > range.low() ? range.high() - range.low() : 1;
        double raw = span / TICKS;
        double power = Math.pow(10, Math.floor(Math.log10(raw)));
        return power * (raw / power < 1.5 ? 1 : raw / power < 3.5 ? 2 : raw / power < 7.5 ? 5 : 10);
    }

    /** The range between the whole ticks around it. */
    public static Range whole(Range range) {
        double unit = tick(range);
        double span = range.high() > range.low() ? range.high() - range.low() : 1;
        return new Range(
                unit * Math.floor(range.low() / unit + 1e-9), unit * Math.ceil((range.low() + span) / unit - 1e-9));
    }

    /** For a chart, on a surface of this size. */
    public static Scale of(Chart chart, double width, double height) {
        return new Scale(whole(chart.x()), whole(chart.y()), width, height);
    }

    /** The ticks of an axis. */
    public static List<Double> ticks(Range range) {
        double unit = tick(range);
        Range whole = whole(range);
        List<Double> ticks = new ArrayList<>();
        for (int i = 0; whole.low() + i * unit <= whole.high() + unit / 1e6; i++) {
            ticks.add(whole.low() + i * unit);
        }
        return ticks;
    }

    public double px(double value) {
        return width * (value - x.low()) / (x.high() - x.low());
    }

    public double py(double value) {
        return height - height * (value - y.low()) / (y.high() - y.low());
    }
}
