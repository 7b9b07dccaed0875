package fahrbahn.pen;

import fahrbahn.words.Words;
import java.util.List;
import java.util.stream.IntStream;

/** A chart on paper: frame, ticks and labels round what it draws itself, with any vector pen. */
public final class VectorSheet {
    public static final double WIDTH = 760;
    public static final double HEIGHT = 480;
    private static final double LEFT = 64;
    private static final double BOTTOM = 52;
    private static final double TOP = 40;
    private static final double BARE_TOP = 24;

    /** Between two ticks. */
    private static final double LEAST_ACROSS = 26;

    private static final double LEAST_UP = 14;
    private static final double RIGHT = 24;
    private static final String INK = "ink-text";
    private static final Pen.Stroke FRAME = new Pen.Stroke(INK, 1);
    private static final Pen.Stroke GRID = new Pen.Stroke("ink-zero", 0.6, 2, 3);

    private VectorSheet() {}

    /** Draws a chart on a sheet of {@link #WIDTH} by {@link #HEIGHT}. */
    public static void draw(Chart chart, Pen pen) {
        draw(chart, pen, WIDTH, HEIGHT);
    }

    /** Every second, or fewer still, where their words would lie on each other. */
    private static List<Double> fewer(List<Double> ticks, double most) {
        int each = Math.max(1, (int) Math.ceil(ticks.size() / Math.max(1, most)));
        return IntStream.range(0, ticks.size())
                .filter(i -> i % each == 0)
                .mapToObj(ticks::get)
                .toList();
    }

    private static void draw(Chart chart, Pen pen, double width, double height) {
        pen.text(INK, chart.title(), LEFT, 24);
        bare(chart, PlacedPen.at(pen, 0, TOP - BARE_TOP), width, height - TOP + BARE_TOP);
    }

    /** Frame, ticks and labels without the title, on a sheet of any size. */
    public static void bare(Chart chart, Pen pen, double width, double height) {
        Scale scale = Scale.of(chart, width - LEFT - RIGHT, height - BARE_TOP - BOTTOM);
        Pen inside = PlacedPen.at(pen, LEFT, BARE_TOP);
        List<Double> across = fewer(Scale.ticks(chart.x()), scale.width() / LEAST_ACROSS);
        List<Double> up = fewer(Scale.ticks(chart.y()), scale.height() / LEAST_UP);
        for (double tick : across) {
            double x = scale.px(tick);
            inside.line(GRID, x, 0, x, scale.height());
            inside.text(INK, Words.number(tick, 6), x, scale.height() + 18, Pen.Anchor.MIDDLE);
        }
        for (double tick : up) {
            double y = scale.py(tick);
            inside.line(GRID, 0, y, scale.width(), y);
            inside.text(INK, Words.number(tick, 6), -8, y + 4, Pen.Anchor.RIGHT);
        }
        chart.draw(inside, scale);
        inside.frame(FRAME, 0, 0, scale.width(), scale.height());
        inside.text(INK, chart.xLabel(), scale.width() / 2, scale.height() + 40, Pen.Anchor.MIDDLE);
        inside.text(INK, chart.yLabel(), -LEFT + 6, -10);
        Key.row(chart.keys(), inside, Math.max(0, pen.width(chart.yLabel()) - LEFT + 24), -10);
    }
}
