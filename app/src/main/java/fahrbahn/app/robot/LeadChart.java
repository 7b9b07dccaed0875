package fahrbahn.app.robot;

import fahrbahn.pen.Chart;
import fahrbahn.pen.Labels;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Pen.Stroke;
import fahrbahn.pen.Scale;
import fahrbahn.words.Words;

/**
 * How far ahead the sensors must look at each speed, and how far they do.
 *
 * @param perSpeedS least lead over speed
 */
record LeadChart(double perSpeedS, double leadMm, double speedMmPerS, double fullSpeedMmPerS) implements Chart {
    private static final Stroke NEED = new Stroke("ink-right", 2, 7, 5);
    private static final double DOT_PX = 5;
    private static final double LOW = 0.15;
    private static final double HIGH = 0.7;
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
        return "Distance ahead needed against speed, and the distance there is";
    }

    @Override
    public String says() {
        return "At " + Words.number(speedMmPerS) + " mm/s the sensors need "
                + Words.millimetres(perSpeedS * speedMmPerS) + " ahead, and they are " + Words.millimetres(leadMm)
                + ".";
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
        double x = scale.px(speedMmPerS);
        pen.dot("ink-curve", x, need, DOT_PX);
        pen.dot("ink-curve", x, have, DOT_PX);
        Labels labels = new Labels(pen, scale.width(), scale.height())
                .free(scale.px(0), scale.py(0), scale.px(fastest), scale.py(perSpeedS * fastest))
                .free(scale.px(0), have, scale.width(), have)
                .free(x, need, DOT_PX)
                .free(x, have, DOT_PX);
        // Each where its line has room: the two are furthest apart at low speed and steepest at high.
        labels.put("ink-text", "sensors ahead", LOW * scale.width(), have);
        labels.put("ink-text", "needed ahead", HIGH * scale.width(), scale.py(perSpeedS * fastest * HIGH));
    }
}
