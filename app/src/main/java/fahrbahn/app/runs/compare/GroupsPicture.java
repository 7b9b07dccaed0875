package fahrbahn.app.runs.compare;

import fahrbahn.app.chart.CanvasRegion;
import fahrbahn.app.runs.compare.CompareModel.Compared;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.trials.Group;
import fahrbahn.pen.Chart.Range;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Pen.Anchor;
import fahrbahn.pen.Pen.Stroke;
import fahrbahn.pen.Scale;
import fahrbahn.words.Words;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.DoubleStream;

/** Two groups below each other: the chance to finish with its interval, every time, every stop place. */
final class GroupsPicture extends CanvasRegion {
    private static final double LEAST_HEIGHT = 138;
    private static final double LEFT_PX = 126;
    private static final double RIGHT_PX = 18;
    private static final double DOT_PX = 4;
    private static final double CAP_PX = 6;

    private Optional<Compared> compared = Optional.empty();

    GroupsPicture() {
        super("Two groups of runs", LEAST_HEIGHT);
    }

    void show(Optional<Compared> newCompared) {
        compared = newCompared;
        requestLayout();
    }

    @Override
    protected String says() {
        return compared.map(CompareWords::verdict).orElse("Nothing compared yet: choose or type two groups");
    }

    @Override
    protected void paint(Pen pen) {
        if (compared.isEmpty()) {
            return;
        }
        Group a = compared.get().a();
        Group b = compared.get().b();
        double high = getHeight() / 3;
        chances(pen, a, b, 0, high);
        values(pen, "time, s", a, b, Group::timeS, high, high);
        values(pen, "stop along, mm", a, b, Group::alongMm, 2 * high, high);
    }

    private double x(Range range, double value) {
        Range whole = Scale.whole(range);
        return LEFT_PX + (getWidth() - LEFT_PX - RIGHT_PX) * (value - whole.low()) / (whole.high() - whole.low());
    }

    private void axis(Pen pen, String words, Range range, double top, double high) {
        pen.text("ink-text", words, 4, top + high / 2 + 4);
        for (double tick : Scale.ticks(range)) {
            double x = x(range, tick);
            pen.line(new Stroke("ink-zero", 0.7), x, top + 4, x, top + high - 16);
            pen.text("ink-text", Words.number(tick), x, top + high - 3, Anchor.MIDDLE);
        }
    }

    private static double row(double top, double high, boolean first) {
        return top + (high - 16) * (first ? 0.25 : 0.8);
    }

    private void chances(Pen pen, Group a, Group b, double top, double high) {
        Range range = new Range(0, 100);
        axis(pen, "finished, %", range, top, high);
        for (boolean first : new boolean[] {true, false}) {
            Completion sure = (first ? a : b).completion();
            double y = row(top, high, first);
            Stroke stroke = new Stroke(first ? "ink-left" : "ink-right", 3);
            double low = x(range, 100 * sure.low());
            double end = x(range, 100 * sure.high());
            pen.line(stroke, low, y, end, y);
            pen.line(stroke, low, y - CAP_PX, low, y + CAP_PX);
            pen.line(stroke, end, y - CAP_PX, end, y + CAP_PX);
            pen.dot(stroke.ink(), x(range, 100.0 * sure.completed() / sure.runs()), y, DOT_PX + 1);
            pen.text(stroke.ink(), first ? "A" : "B", LEFT_PX - 12, y + 4, Anchor.RIGHT);
        }
    }

    private void values(Pen pen, String words, Group a, Group b, Function<Group, Sample> of, double top, double high) {
        Sample both = new Sample(DoubleStream.concat(
                        Arrays.stream(of.apply(a).values()),
                        Arrays.stream(of.apply(b).values()))
                .toArray());
        if (both.n() == 0) {
            pen.text("ink-text", words + ": not measured", 4, top + high / 2);
            return;
        }
        double low = Arrays.stream(both.values()).min().orElseThrow();
        Range range = new Range(low, Math.max(low + 1e-3, low + both.range()));
        axis(pen, words, range, top, high);
        for (boolean first : new boolean[] {true, false}) {
            Sample its = of.apply(first ? a : b);
            double y = row(top, high, first);
            String ink = first ? "ink-left" : "ink-right";
            for (double value : its.values()) {
                pen.dot(ink, x(range, value), y, DOT_PX);
            }
            if (its.n() > 0) {
                double x = x(range, its.mean());
                pen.line(new Stroke(ink, 3), x, y - 2 * CAP_PX, x, y + 2 * CAP_PX);
            }
            pen.text(ink, first ? "A" : "B", LEFT_PX - 12, y + 4, Anchor.RIGHT);
        }
    }
}
