package fahrbahn.app.robot;

import fahrbahn.app.chart.Ink;
import fahrbahn.app.chart.Plot;
import fahrbahn.core.response.CurveFeatures;
import javafx.scene.canvas.GraphicsContext;

/** The error of a layout over the line: where it is straight, where it is blind, where it folds over. */
public final class CurvePlot extends Plot {
    private final Ink curve = ink("ink-curve");
    private final Ink straight = ink("ink-best");
    private final Ink blind = ink("ink-right");
    private final Ink road = ink("ink-band");
    private final Ink zero = ink("ink-zero");
    private final Ink text = ink("ink-text");
    private double[] errors = {};
    private double reachMm = 1;
    private double lineWidthMm;
    private CurveFeatures features;

    public CurvePlot() {
        super("to the left of the line's middle, mm", "error");
        setAccessibleText("Error of the layout against its place over the line");
    }

    /** @param newFeatures null when there is no curve */
    public void show(double[] newErrors, double newReachMm, double newLineWidthMm, CurveFeatures newFeatures) {
        errors = newErrors;
        reachMm = newReachMm;
        lineWidthMm = newLineWidthMm;
        features = newFeatures;
        double most = 1e-9;
        for (double error : errors) {
            most = Math.max(most, Math.abs(error));
        }
        range(-reachMm, reachMm, -1.12 * most, 1.12 * most);
    }

    @Override
    protected void paint(GraphicsContext g) {
        if (features == null || errors.length < 2) {
            return;
        }
        // Left on the robot is left on the screen.
        double left = px(-lineWidthMm / 2);
        g.setFill(road.paint());
        g.fillRect(left, 0, px(lineWidthMm / 2) - left, plotHeight());
        line(g, zero.paint(), 1, new double[] {}, c -> {
            c.moveTo(0, py(0));
            c.lineTo(plotWidth(), py(0));
        });
        line(g, curve.paint(), 2.4, new double[] {}, c -> {
            for (int i = 0; i < errors.length; i++) {
                double x = px(-reachMm + 2 * reachMm * i / (errors.length - 1));
                if (i == 0) {
                    c.moveTo(x, py(errors[i]));
                } else {
                    c.lineTo(x, py(errors[i]));
                }
            }
        });
        band(g, straight, features.straight(), "straight", plotHeight() - 6);
        if (features.hasBlindBand()) {
            band(g, blind, features.blind(), "blind", plotHeight() - 26);
        }
        fold(g, features.guided().lowMm());
        fold(g, features.guided().highMm());
    }

    private void band(GraphicsContext g, Ink ink, CurveFeatures.Range range, String word, double y) {
        double low = px(range.lowMm());
        double high = px(range.highMm());
        g.setStroke(ink.paint());
        g.setLineWidth(3);
        g.strokeLine(low, y, high, y);
        g.strokeLine(low, y - 4, low, y + 4);
        g.strokeLine(high, y - 4, high, y + 4);
        g.setFill(text.paint());
        g.fillText(word, high + 6, y + 4);
    }

    private void fold(GraphicsContext g, double offsetMm) {
        double x = px(offsetMm);
        if (x > 4 && x < plotWidth() - 4) {
            line(g, text.paint(), 1, new double[] {3, 4}, c -> {
                c.moveTo(x, 16);
                c.lineTo(x, plotHeight());
            });
            g.setFill(text.paint());
            g.fillText("folds", Math.min(plotWidth() - 34, Math.max(0, x - 15)), 12);
        }
    }
}
