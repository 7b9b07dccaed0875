package fahrbahn.app.measure;

import fahrbahn.app.chart.Ink;
import fahrbahn.app.kit.CanvasRegion;
import fahrbahn.app.live.LiveModel;
import fahrbahn.app.live.LiveTrace;
import fahrbahn.app.words.Words;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

/** The last readings of every sensor as curves, newest on the right; sensors differ by dash as well as colour. */
final class LiveTraceView extends CanvasRegion {
    private static final int[][] DASHES = {{}, {9, 5}, {3, 4}, {14, 4, 3, 4}};
    private static final long PAINTED_EVERY_NS = 50_000_000;

    private static final double MARGIN = 46;

    /** Names nearer to each other could not be read. */
    private static final double LABEL_PX = 13;

    private final LiveModel live;
    private final Ink[] inks = {ink("ink-left"), ink("ink-right"), ink("ink-best"), ink("ink-curve")};
    private final Ink text = ink("ink-text");
    private final TraceRaster raster = new TraceRaster();
    private long paintedNs;
    private final List<Double> named = new ArrayList<>();

    LiveTraceView(LiveModel live) {
        super("The last readings of every sensor", 120);
        this.live = live;
    }

    /** Called once a frame; paints twenty times a second, for eyes see no more. */
    void refresh() {
        long now = System.nanoTime();
        if (now - paintedNs >= PAINTED_EVERY_NS) {
            paintedNs = now;
            requestLayout();
        }
    }

    @Override
    protected void paint(GraphicsContext g) {
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
        int width = (int) Math.max(1, getWidth() - 2 * MARGIN);
        raster.clear(width, (int) Math.max(1, getHeight()));
        for (int sensor = 0; sensor < live.sensors().size(); sensor++) {
            // Each of sixteen has a pair of colour and dash of its own, and neighbours differ in both.
            int[] dashes = DASHES[(sensor + sensor / inks.length) % DASHES.length];
            raster.curve(trace, sensor, (Color) inks[sensor % inks.length].paint(), dashes, low, high);
        }
        g.drawImage(raster.image(), MARGIN, 0);
        named.clear();
        for (int sensor = 0; sensor < live.sensors().size(); sensor++) {
            name(g, sensor, getHeight() * (high - trace.most(sensor, 0)) / (high - low) + 4);
        }
    }

    private void name(GraphicsContext g, int sensor, double wantedY) {
        double y = Math.max(12, Math.min(getHeight() - 4, wantedY));
        if (named.stream().allMatch(other -> Math.abs(other - y) >= LABEL_PX)) {
            named.add(y);
            g.setFill(inks[sensor % inks.length].paint());
            g.fillText(live.sensors().get(sensor), getWidth() - MARGIN + 4, y);
        }
    }
}
