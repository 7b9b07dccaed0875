package fahrbahn.app.drive;

import fahrbahn.core.levels.Histogram;
import fahrbahn.core.statistics.Sample;
import fahrbahn.pen.Chart;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Scale;
import fahrbahn.words.Words;

/** How often a figure of many runs fell into each of some bins, with its middle. */
record HistogramChart(String title, String xLabel, Sample sample, Histogram histogram) implements Chart {
    /** @param values one or more */
    static HistogramChart of(String title, String xLabel, double[] values) {
        return new HistogramChart(
                title, xLabel, Sample.of(values), Histogram.of(values, Histogram.Bins.fitting(values)));
    }

    @Override
    public String yLabel() {
        return "runs";
    }

    @Override
    public String says() {
        return Words.count(sample.n(), "run", "runs") + ", on average " + Words.number(sample.mean()) + ", from "
                + Words.number(histogram.bins().low()) + " to "
                + Words.number(histogram.bins().high()) + ".";
    }

    @Override
    public Range x() {
        return new Range(histogram.bins().low(), histogram.bins().high());
    }

    @Override
    public Range y() {
        return new Range(0, Math.max(1, histogram.tallest()));
    }

    @Override
    public void draw(Pen pen, Scale scale) {
        for (int bin = 0; bin < histogram.size(); bin++) {
            double left = scale.px(histogram.bins().edge(bin));
            double right = scale.px(histogram.bins().edge(bin + 1));
            double top = scale.py(histogram.at(bin));
            pen.box("ink-left", left + 0.5, top, Math.max(1, right - left - 1), scale.height() - top);
        }
        double middle = scale.px(sample.mean());
        pen.line(new Pen.Stroke("ink-middle", 2, 6, 4), middle, 0, middle, scale.height());
    }
}
