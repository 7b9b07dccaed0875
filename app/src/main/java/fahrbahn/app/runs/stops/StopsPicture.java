package fahrbahn.app.runs.stops;

import fahrbahn.app.chart.CanvasRegion;
import fahrbahn.core.statistics.StopEllipse;
import fahrbahn.core.trials.Outcome.Stop;
import fahrbahn.core.trials.Run;
import fahrbahn.pen.Labels;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Pen.Anchor;
import fahrbahn.pen.Pen.Stroke;
import fahrbahn.words.Words;
import java.util.function.BiConsumer;

/** Stop places from above, to scale: along to the right, across upwards, the mark in the middle, the window about it. */
public final class StopsPicture extends CanvasRegion {
    private static final int PIECES = 72;
    private static final double DOT_PX = 5;
    private static final double EDGE_PX = 26;
    private static final double LEAST_MM = 5;

    private Stops stops;
    private double pointedAlongMm = Double.NaN;
    private double pointedAcrossMm = Double.NaN;

    public StopsPicture() {
        super("Where runs stopped, from above", 170);
    }

    /** Where the run that is to be logged stopped; NaN for none. */
    public void mark(double alongMm, double acrossMm) {
        pointedAlongMm = alongMm;
        pointedAcrossMm = acrossMm;
        requestLayout();
    }

    /** @param pointed takes a place along and across, mm, where the mouse is pressed */
    public void clicked(BiConsumer<Double, Double> pointed) {
        setOnMouseClicked(e -> {
            if (stops != null) {
                double perMm = pxPerMm();
                pointed.accept((e.getX() - getWidth() / 2) / perMm, (getHeight() / 2 - e.getY()) / perMm);
            }
        });
    }

    private double pxPerMm() {
        double reach = Math.max(LEAST_MM, 1.3 * stops.windowMm());
        for (Run run : stops.runs()) {
            Stop stop = run.outcome().stop();
            reach = Math.max(reach, 1.1 * Math.max(Math.abs(stop.alongMm()), Math.abs(acrossMm(stop))));
        }
        reach = Math.max(
                reach,
                stops.ellipse().map(e -> e.longMm() + Math.abs(e.meanAlongMm())).orElse(0.0));
        return (Math.min(getWidth(), getHeight()) - 2 * EDGE_PX) / (2 * reach);
    }

    public void show(Stops newStops) {
        stops = newStops;
        requestLayout();
    }

    @Override
    protected String says() {
        return stops == null ? "No stop places yet" : StopsWords.verdict(stops);
    }

    @Override
    protected void paint(Pen pen) {
        if (stops == null) {
            return;
        }
        double perMm = pxPerMm();
        double x0 = getWidth() / 2;
        double y0 = getHeight() / 2;
        double window = stops.windowMm() * perMm;
        pen.box("ink-band", x0 - window, EDGE_PX, 2 * window, getHeight() - 2 * EDGE_PX);
        Stroke edge = new Stroke("ink-best", 2, 6, 4);
        for (double side : new double[] {-window, window}) {
            pen.line(edge, x0 + side, EDGE_PX, x0 + side, getHeight() - EDGE_PX);
        }
        pen.text("ink-text", "-" + Words.number(stops.windowMm(), 3) + " mm", x0 - window, EDGE_PX - 8, Anchor.RIGHT);
        pen.text("ink-text", "+" + Words.number(stops.windowMm(), 3) + " mm", x0 + window, EDGE_PX - 8, Anchor.LEFT);
        Stroke cross = new Stroke("ink-zero", 1);
        pen.line(cross, 0, y0, getWidth(), y0);
        pen.line(cross, x0, EDGE_PX, x0, getHeight() - EDGE_PX);
        stops.ellipse().ifPresent(e -> ellipse(pen, e, x0, y0, perMm));
        Labels labels = new Labels(pen, getWidth(), getHeight())
                .free(x0 - window, EDGE_PX, x0 - window, getHeight() - EDGE_PX)
                .free(x0 + window, EDGE_PX, x0 + window, getHeight() - EDGE_PX);
        for (int i = 0; i < stops.runs().size(); i++) {
            Stop stop = stops.runs().get(i).outcome().stop();
            double x = x0 + stop.alongMm() * perMm;
            double y = y0 - acrossMm(stop) * perMm;
            labels.free(x, y, 2 * DOT_PX);
            if (i == 0) {
                pen.ring(new Stroke("ink-curve", 2.5), x, y, DOT_PX + 2);
            } else {
                pen.dot("ink-left", x, y, DOT_PX);
            }
        }
        stops.runs().stream()
                .findFirst()
                .map(run -> run.outcome().stop())
                .ifPresent(first ->
                        labels.put("ink-curve", "first", x0 + first.alongMm() * perMm, y0 - acrossMm(first) * perMm));
        if (!Double.isNaN(pointedAlongMm)) {
            double across = Double.isNaN(pointedAcrossMm) ? 0 : pointedAcrossMm;
            pen.ring(new Stroke("ink-stop", 3), x0 + pointedAlongMm * perMm, y0 - across * perMm, DOT_PX + 3);
        }
        pen.text("ink-text", "it drives to the right", getWidth() - 4, getHeight() - 6, Anchor.RIGHT);
    }

    /** On the line where nobody measured across. */
    private static double acrossMm(Stop stop) {
        return Double.isNaN(stop.acrossMm()) ? 0 : stop.acrossMm();
    }

    private static void ellipse(Pen pen, StopEllipse e, double x0, double y0, double perMm) {
        double[] x = new double[PIECES + 1];
        double[] y = new double[PIECES + 1];
        for (int i = 0; i <= PIECES; i++) {
            double angle = 2 * Math.PI * i / PIECES;
            double along = e.longMm() * Math.cos(angle);
            double across = e.shortMm() * Math.sin(angle);
            x[i] = x0 + perMm * (e.meanAlongMm() + along * Math.cos(e.turnRad()) - across * Math.sin(e.turnRad()));
            y[i] = y0 - perMm * (e.meanAcrossMm() + along * Math.sin(e.turnRad()) + across * Math.cos(e.turnRad()));
        }
        pen.line(new Stroke("ink-left", 2), x, y);
    }
}
