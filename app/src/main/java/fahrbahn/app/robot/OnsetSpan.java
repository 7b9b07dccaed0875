package fahrbahn.app.robot;

import fahrbahn.app.chart.CanvasRegion;
import fahrbahn.core.knowledge.GuessCost;
import fahrbahn.pen.Pen;

/** From which to which Kp the robot may begin to wiggle, as a bar on a scale that all rows of a table share. */
final class OnsetSpan extends CanvasRegion {
    private static final Pen.Stroke ALL = new Pen.Stroke("ink-zero", 1.5);
    private static final Pen.Stroke NOW = new Pen.Stroke("ink-text", 1.5);
    private static final double HALF_PX = 5;

    private final GuessCost cost;
    private final double mostKp;

    /** @param mostKp where the scale ends */
    OnsetSpan(GuessCost cost, double mostKp, String words) {
        super(words, 16);
        this.cost = cost;
        this.mostKp = mostKp;
        setPrefHeight(16);
        setMinWidth(50);
    }

    @Override
    protected void paint(Pen pen) {
        double middle = getHeight() / 2;
        pen.line(ALL, 0, middle, getWidth(), middle);
        double perKp = getWidth() / mostKp;
        double low = cost.lowKp() * perKp;
        double high = Math.min(mostKp, cost.highKp()) * perKp;
        pen.box("ink-curve", low, middle - HALF_PX, Math.max(2, high - low), 2 * HALF_PX);
        double now = cost.nowKp() * perKp;
        pen.line(NOW, now, 0, now, getHeight());
    }
}
