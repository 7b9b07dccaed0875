package fahrbahn.app.runs.report;

import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.trials.Stretch;
import fahrbahn.pen.Chart;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Pen.Stroke;
import fahrbahn.pen.Scale;
import java.util.List;

/** Stretches of a season one after the other, each with what it came to and how sure that is. */
public record StretchChart(List<Stretch> stretches, What what) implements Chart {
    private static final double DOT_PX = 5;
    private static final double CAP_PX = 6;
    private static final double TEXT_PX = 14;

    /** What of a stretch is drawn. */
    public enum What {
        CHANCE,
        TIME
    }

    /** The middle and both ends of what is drawn of one; NaN where there is nothing. */
    private record Bar(double middle, double low, double high) {}

    public StretchChart {
        stretches = List.copyOf(stretches);
    }

    @Override
    public String xLabel() {
        return "period, as numbered beside";
    }

    @Override
    public String yLabel() {
        return what == What.CHANCE ? "finished, %" : "time, s";
    }

    @Override
    public String title() {
        return what == What.CHANCE ? "Chance to finish over the season" : "Times over the season";
    }

    @Override
    public String says() {
        return SeasonWords.verdict(stretches);
    }

    @Override
    public Range x() {
        return new Range(0, stretches.size() + 1);
    }

    @Override
    public Range y() {
        if (what == What.CHANCE) {
            return new Range(0, 100);
        }
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (Stretch stretch : stretches) {
            Bar bar = bar(stretch);
            low = Double.isNaN(bar.low()) ? low : Math.min(low, bar.low());
            high = Double.isNaN(bar.high()) ? high : Math.max(high, bar.high());
        }
        return low <= high ? new Range(Math.max(0, low), high) : new Range(0, 1);
    }

    private Bar bar(Stretch stretch) {
        if (what == What.CHANCE) {
            Completion sure = stretch.completion();
            return new Bar(100.0 * sure.completed() / sure.runs(), 100 * sure.low(), 100 * sure.high());
        }
        Sample time = stretch.timeS();
        double sd = time.n() < 2 ? 0 : time.sd();
        return new Bar(time.mean(), time.mean() - sd, time.mean() + sd);
    }

    @Override
    public void draw(Pen pen, Scale scale) {
        for (int i = 0; i < stretches.size(); i++) {
            Bar bar = bar(stretches.get(i));
            if (Double.isNaN(bar.middle())) {
                continue;
            }
            double x = scale.px(i + 1);
            Stretch.Change since = stretches.get(i).since();
            boolean told = since == Stretch.Change.BETTER || since == Stretch.Change.WORSE;
            String ink = since == Stretch.Change.BETTER
                    ? "ink-best"
                    : since == Stretch.Change.WORSE ? "ink-stop" : "ink-left";
            Stroke stroke = new Stroke(ink, told ? 3 : 2);
            pen.line(stroke, x, scale.py(bar.low()), x, scale.py(bar.high()));
            pen.line(stroke, x - CAP_PX, scale.py(bar.low()), x + CAP_PX, scale.py(bar.low()));
            pen.line(stroke, x - CAP_PX, scale.py(bar.high()), x + CAP_PX, scale.py(bar.high()));
            pen.dot(ink, x, scale.py(bar.middle()), DOT_PX);
            if (told) {
                // Never by colour alone.
                pen.text(
                        "ink-text",
                        since == Stretch.Change.BETTER ? "better" : "worse",
                        x + CAP_PX + 3,
                        Math.max(TEXT_PX, scale.py(bar.middle()) + 4));
            }
        }
    }
}
