package fahrbahn.app.view;

import fahrbahn.app.chart.Ink;
import fahrbahn.app.model.LiveModel;
import fahrbahn.app.model.LiveTrace;
import fahrbahn.app.model.Words;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.canvas.GraphicsContext;

/** The last readings of every sensor as curves, newest on the right; sensors differ by dash as well as colour. */
final class LiveTraceView extends CanvasRegion {
    private static final double[][] DASHES = {{}, {8, 5}, {2, 4}, {12, 4, 2, 4}};
    private static final double MARGIN = 46;

    /** Names nearer to each other could not be read. */
    private static final double LABEL_PX = 13;

    private final LiveModel live;
    private final Ink[] inks = {ink("ink-left"), ink("ink-right"), ink("ink-best"), ink("ink-advice")};
    private final Ink text = ink("ink-text");
    private final List<Double> named = new ArrayList<>();

    LiveTraceView(LiveModel live) {
        super("The last readings of every sensor", 120);
        this.live = live;
    }

    void refresh() {
        requestLayout();
    }

    @Override
    void paint(GraphicsContext g) {
        LiveTrace trace = live.trace();
        g.setFill(text.paint());
        if (trace.size() < 2) {
            g.fillText("No readings. Connect a robot in the strip below.", 12, 24);
            return;
        }
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (int sensor = 0; sensor < live.sensors().size(); sensor++) {
            for (int age = 0; age < trace.size(); age++) {
                low = Math.min(low, trace.least(sensor, age));
                high = Math.max(high, trace.most(sensor, age));
            }
        }
        double pad = Math.max(1e-9, 0.08 * (high - low));
        low -= pad;
        high += pad;
        g.fillText(Words.number(high), 2, 12);
        g.fillText(Words.number(low), 2, getHeight() - 4);
        named.clear();
        for (int sensor = 0; sensor < live.sensors().size(); sensor++) {
            paint(g, trace, sensor, low, high);
        }
    }

    private void paint(GraphicsContext g, LiveTrace trace, int sensor, double low, double high) {
        double height = getHeight();
        double width = getWidth() - 2 * MARGIN;
        g.setStroke(inks[sensor % inks.length].paint());
        // Each of sixteen has a pair of colour and dash of its own, and neighbours differ in both.
        g.setLineDashes(DASHES[(sensor + sensor / inks.length) % DASHES.length]);
        g.setLineWidth(2);
        g.beginPath();
        // The ring has about as many moments as the panel has pixels: each is one stroke from its least to its largest
        // reading.
        for (int age = trace.size() - 1; age >= 0; age--) {
            double x = MARGIN + width * (1 - (double) age / LiveTrace.CAPACITY);
            g.lineTo(x, height * (high - trace.least(sensor, age)) / (high - low));
            if (trace.most(sensor, age) > trace.least(sensor, age)) {
                g.lineTo(x, height * (high - trace.most(sensor, age)) / (high - low));
            }
        }
        g.stroke();
        g.setLineDashes();
        double y = Math.max(12, Math.min(height - 4, height * (high - trace.most(sensor, 0)) / (high - low) + 4));
        if (named.stream().allMatch(other -> Math.abs(other - y) >= LABEL_PX)) {
            named.add(y);
            g.setFill(inks[sensor % inks.length].paint());
            g.fillText(live.sensors().get(sensor), getWidth() - MARGIN + 4, y);
        }
    }
}
