package fahrbahn.app.robot;

import fahrbahn.core.response.CurveFeatures;
import fahrbahn.pen.Chart;
import fahrbahn.pen.Labels;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Pen.Stroke;
import fahrbahn.pen.Scale;
import fahrbahn.words.Words;

/** The error of a layout over the line: where it is straight, where it is blind, where it folds over. */
record CurveChart(double[] errors, double reachMm, double lineWidthMm, CurveFeatures features) implements Chart {
    private static final Stroke CURVE = new Stroke("ink-curve", 2.4);
    private static final Stroke FOLD = new Stroke("ink-text", 1, 3, 4);

    @Override
    public String xLabel() {
        return "left, mm";
    }

    @Override
    public String yLabel() {
        return "error";
    }

    @Override
    public String title() {
        return "Error across the line";
    }

    @Override
    public String says() {
        return "Linear over " + Words.millimetres(features.straight().widthMm()) + "; reverses at "
                + Words.number(features.guided().lowMm()) + " and "
                + Words.millimetres(features.guided().highMm()) + " to the left.";
    }

    @Override
    public Range x() {
        return new Range(-reachMm, reachMm);
    }

    @Override
    public Range y() {
        double most = 1e-9;
        for (double error : errors) {
            most = Math.max(most, Math.abs(error));
        }
        return new Range(-1.12 * most, 1.12 * most);
    }

    @Override
    public void draw(Pen pen, Scale scale) {
        // Left on the robot is left on the screen.
        double left = scale.px(-lineWidthMm / 2);
        pen.box("ink-band", left, 0, scale.px(lineWidthMm / 2) - left, scale.height());
        pen.line(new Stroke("ink-zero", 1), 0, scale.py(0), scale.width(), scale.py(0));
        double[] x = new double[errors.length];
        double[] y = new double[errors.length];
        for (int i = 0; i < errors.length; i++) {
            x[i] = scale.px(-reachMm + 2 * reachMm * i / (errors.length - 1));
            y[i] = scale.py(errors[i]);
        }
        pen.line(CURVE, x, y);
        Labels labels = new Labels(pen, scale.width(), scale.height()).free(x, y);
        labels.free(0, scale.py(0), scale.width(), scale.py(0));
        double[] folds = {features.guided().lowMm(), features.guided().highMm()};
        for (double offsetMm : folds) {
            double at = scale.px(offsetMm);
            pen.line(FOLD, at, 0, at, scale.height());
            labels.free(at, 0, at, scale.height());
        }
        band(pen, scale, labels, "ink-best", features.straight(), "straight", scale.height() - 8);
        if (features.hasBlindBand()) {
            band(pen, scale, labels, "ink-right", features.blind(), "blind", scale.height() - 26);
        }
        labels.putAlong("ink-text", "reverses", scale.px(folds[0]));
        labels.putAlong("ink-text", "reverses", scale.px(folds[1]));
    }

    private static void band(
            Pen pen, Scale scale, Labels labels, String ink, CurveFeatures.Range range, String word, double y) {
        Stroke stroke = new Stroke(ink, 3);
        double low = scale.px(range.lowMm());
        double high = scale.px(range.highMm());
        pen.line(stroke, low, y, high, y);
        pen.line(stroke, low, y - 4, low, y + 4);
        pen.line(stroke, high, y - 4, high, y + 4);
        labels.free(low, y, high, y);
        labels.put("ink-text", word, high, y);
    }
}
