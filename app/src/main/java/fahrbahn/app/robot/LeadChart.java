package fahrbahn.app.robot;

import fahrbahn.app.chart.Chart;
import fahrbahn.app.chart.Pen;
import fahrbahn.app.chart.Pen.Stroke;
import fahrbahn.app.chart.Scale;

/**
 * How far ahead the sensors must look at each speed, and how far they do.
 *
 * @param perSpeedS least lead over speed
 */
record LeadChart(double perSpeedS, double leadMm, double speedMmPerS, double fullSpeedMmPerS) implements Chart {
    private static final Stroke NEED = new Stroke("ink-right", 2, 7, 5);
    private static final Stroke HAVE = new Stroke("ink-best", 2);

    @Override
    public String xLabel() {
        return "speed, mm/s";
    }

    @Override
    public String yLabel() {
        return "mm";
    }

    @Override
    public String title() {
        return "Least lead against speed, and the lead there is";
    }

    @Override
    public Range x() {
        return new Range(0, fullSpeedMmPerS);
    }

    @Override
    public Range y() {
        double most = Math.max(leadMm, perSpeedS * fullSpeedMmPerS);
        return new Range(Math.min(0, leadMm), 1.15 * Math.max(1, most));
    }

    @Override
    public void draw(Pen pen, Scale scale) {
        double fastest = scale.x().high();
        pen.line(NEED, scale.px(0), scale.py(0), scale.px(fastest), scale.py(perSpeedS * fastest));
        pen.line(HAVE, scale.px(0), scale.py(leadMm), scale.width(), scale.py(leadMm));
        double need = scale.py(perSpeedS * speedMmPerS);
        double have = scale.py(leadMm);
        pen.text("ink-text", "looks ahead", scale.px(0) + 6, have + (have < 24 ? 17 : -5));
        pen.text(
                "ink-text",
                "must look ahead",
                Math.max(0, scale.px(speedMmPerS) + 10),
                Math.min(scale.height() - 4, need + 16));
        pen.dot("ink-curve", scale.px(speedMmPerS), need, 5);
        pen.dot("ink-curve", scale.px(speedMmPerS), have, 5);
    }
}
