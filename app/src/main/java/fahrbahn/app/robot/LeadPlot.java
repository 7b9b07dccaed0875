package fahrbahn.app.robot;

import fahrbahn.app.chart.Ink;
import fahrbahn.app.chart.Plot;
import javafx.scene.canvas.GraphicsContext;

/** How far ahead the sensors must look at each speed, and how far they do. */
public final class LeadPlot extends Plot {
    private final Ink need = ink("ink-right");
    private final Ink have = ink("ink-best");
    private final Ink dot = ink("ink-curve");
    private final Ink text = ink("ink-text");
    private double perSpeedS = Double.NaN;
    private double leadMm;
    private double speedMmPerS;

    public LeadPlot() {
        super("speed, mm/s", "mm");
        setAccessibleText("Least lead against speed, and the lead there is");
    }

    /** @param newPerSpeedS least lead over speed; NaN when not known */
    public void show(double newPerSpeedS, double newLeadMm, double newSpeedMmPerS, double fullSpeedMmPerS) {
        perSpeedS = newPerSpeedS;
        leadMm = newLeadMm;
        speedMmPerS = newSpeedMmPerS;
        double most = Math.max(leadMm, Double.isNaN(perSpeedS) ? 0 : perSpeedS * fullSpeedMmPerS);
        range(0, fullSpeedMmPerS, Math.min(0, leadMm), 1.15 * Math.max(1, most));
    }

    @Override
    protected void paint(GraphicsContext g) {
        if (Double.isNaN(perSpeedS)) {
            return;
        }
        double end = plotWidth();
        line(g, need.paint(), 2, new double[] {7, 5}, c -> {
            c.moveTo(px(0), py(0));
            c.lineTo(end, py(0) + (py(perSpeedS * 1000) - py(0)) * (end - px(0)) / (px(1000) - px(0)));
        });
        line(g, have.paint(), 2, new double[] {}, c -> {
            c.moveTo(px(0), py(leadMm));
            c.lineTo(end, py(leadMm));
        });
        g.setFill(text.paint());
        g.fillText("looks ahead", px(0) + 6, py(leadMm) + (py(leadMm) < 24 ? 17 : -5));
        g.fillText(
                "must look ahead",
                Math.max(0, px(speedMmPerS) + 10),
                Math.min(plotHeight() - 4, py(perSpeedS * speedMmPerS) + 16));
        g.setFill(dot.paint());
        g.fillOval(px(speedMmPerS) - 5, py(perSpeedS * speedMmPerS) - 5, 10, 10);
        g.fillOval(px(speedMmPerS) - 5, py(leadMm) - 5, 10, 10);
    }
}
