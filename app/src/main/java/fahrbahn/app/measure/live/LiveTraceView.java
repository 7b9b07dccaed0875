package fahrbahn.app.measure.live;

import fahrbahn.app.chart.CanvasRegion;
import fahrbahn.app.live.LiveModel;
import fahrbahn.app.live.LiveTrace;
import fahrbahn.pen.Pen;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.paint.Color;

/** The last readings of every sensor as curves, newest on the right; sensors differ by dash as well as colour. */
public final class LiveTraceView extends CanvasRegion {
    private static final int[][] DASHES = {{}, {9, 5}, {3, 4}, {14, 4, 3, 4}};
    private static final long PAINTED_EVERY_NS = 50_000_000;

    private static final String[] INKS = {"ink-left", "ink-right", "ink-best", "ink-curve"};
    private static final String TEXT = "ink-text";
    private static final double MARGIN = 46;

    /** Names nearer to each other could not be read. */
    private static final double LABEL_PX = 13;

    private final LiveModel live;
    private final TraceRaster raster = new TraceRaster();
    private long paintedNs;
    private double low;
    private double high;
    private final List<Double> named = new ArrayList<>();

    public LiveTraceView(LiveModel live) {
        super("Last readings of every sensor", 120);
        this.live = live;
    }

    @Override
    protected String says() {
        LiveTrace trace = live.trace();
        return trace.size() == 0
                ? "No readings yet: connect a robot in the strip below."
                : live.lines().stream()
                                .map(i -> live.sensors().get(i) + " " + Words.number(trace.most(i, 0)))
                                .collect(Collectors.joining(", "))
                        + "; shown from " + Words.number(low) + " to "
                        + Words.number(high) + ".";
    }

    /** Called once a frame; paints twenty times a second, for eyes see no more. */
    public void refresh(long nowNs) {
        if (nowNs - paintedNs >= PAINTED_EVERY_NS) {
            paintedNs = nowNs;
            requestLayout();
        }
    }

    /** Curves as pixels: for as many as sixteen, dense as the screen, lines would cost most of a processor. */
    @Override
    protected Optional<Backdrop> backdrop() {
        LiveTrace trace = live.trace();
        if (trace.size() < 2) {
            return Optional.empty();
        }
        low = Double.POSITIVE_INFINITY;
        high = Double.NEGATIVE_INFINITY;
        for (int sensor : live.lines()) {
            for (int age = 0; age < trace.size(); age++) {
                low = Math.min(low, trace.least(sensor, age));
                high = Math.max(high, trace.most(sensor, age));
            }
        }
        double pad = Math.max(1e-9, 0.08 * (high - low));
        low -= pad;
        high += pad;
        int width = (int) Math.max(1, getWidth() - 2 * MARGIN);
        int height = (int) Math.max(1, getHeight());
        raster.clear(width, height);
        for (int sensor : live.lines()) {
            // Each of sixteen has a pair of colour and dash of its own, and neighbours differ in both.
            int[] dashes = DASHES[(sensor + sensor / INKS.length) % DASHES.length];
            raster.curve(trace, sensor, (Color) paint(INKS[sensor % INKS.length]), dashes, low, high);
        }
        return Optional.of(new Backdrop(raster.image(), MARGIN, 0, width, height));
    }

    @Override
    protected void paint(Pen pen) {
        LiveTrace trace = live.trace();
        if (trace.size() < 2) {
            pen.text(TEXT, "No readings. Connect a robot in the strip below.", 12, 24);
            return;
        }
        pen.text(TEXT, Words.number(high), 2, 12);
        pen.text(TEXT, Words.number(low), 2, getHeight() - 4);
        named.clear();
        for (int sensor : live.lines()) {
            name(pen, sensor, getHeight() * (high - trace.most(sensor, 0)) / (high - low) + 4);
        }
    }

    private void name(Pen pen, int sensor, double wantedY) {
        double y = Math.max(12, Math.min(getHeight() - 4, wantedY));
        if (named.stream().allMatch(other -> Math.abs(other - y) >= LABEL_PX)) {
            named.add(y);
            pen.text(INKS[sensor % INKS.length], live.sensors().get(sensor), getWidth() - MARGIN + 4, y);
        }
    }
}
