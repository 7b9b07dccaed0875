package fahrbahn.app.levels;

import fahrbahn.app.chart.Ink;
import fahrbahn.app.chart.Plot;
import fahrbahn.app.words.Words;
import fahrbahn.core.levels.Levels;
import java.util.Arrays;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;

/** How often each reading came up on dark and on light, and the levels between. */
public final class LevelsPlot extends Plot {
    private static final int BINS = 64;

    private final Ink dark = ink("ink-dark");
    private final Ink light = ink("ink-light");
    private final Ink band = ink("ink-band");
    private final Ink best = ink("ink-best");
    private final Ink midpoint = ink("ink-text");
    private SensorLevels shown;
    private double low;
    private double width;
    private int[] darkCounts = new int[0];
    private int[] lightCounts = new int[0];

    public LevelsPlot() {
        super("reading", "times seen");
        setMinHeight(150);
    }

    public void show(SensorLevels sensor) {
        shown = sensor;
        setAccessibleText("Readings of sensor " + sensor.sensor() + " on dark and light");
        getXAxis().setLabel("reading of sensor " + sensor.sensor());
        double least = Math.min(
                Arrays.stream(sensor.darkReadings()).min().orElse(0),
                Arrays.stream(sensor.lightReadings()).min().orElse(0));
        double most = Math.max(
                Arrays.stream(sensor.darkReadings()).max().orElse(1),
                Arrays.stream(sensor.lightReadings()).max().orElse(1));
        double pad = Math.max(0.08 * (most - least), sensor.step());
        low = least - pad;
        width = (most - least + 2 * pad) / BINS;
        darkCounts = counts(sensor.darkReadings());
        lightCounts = counts(sensor.lightReadings());
        int tallest = Math.max(
                Arrays.stream(darkCounts).max().orElse(1),
                Arrays.stream(lightCounts).max().orElse(1));
        range(low, low + BINS * width, 0, tallest * 1.3);
    }

    private int[] counts(double[] readings) {
        int[] counts = new int[BINS];
        for (double reading : readings) {
            counts[(int) Math.max(0, Math.min(BINS - 1, (reading - low) / width))]++;
        }
        return counts;
    }

    @Override
    protected void paint(GraphicsContext g) {
        if (shown == null) {
            return;
        }
        Levels levels = shown.levels();
        if (levels.bandHolds()) {
            double from = px(Math.min(levels.bandDark(), levels.bandLight()));
            double to = px(Math.max(levels.bandDark(), levels.bandLight()));
            g.setFill(band.paint());
            g.fillRect(from, 0, to - from, plotHeight());
        }
        bars(g, darkCounts, true);
        bars(g, lightCounts, false);
        double bestX = px(shown.roundedLevel());
        double middleX = px(levels.midpoint());
        line(g, midpoint.paint(), 1.5, new double[] {5, 5}, c -> vertical(c, middleX));
        line(g, best.paint(), 3, new double[] {}, c -> vertical(c, bestX));
        g.setFill(best.paint());
        boolean bestLeft = bestX <= middleX;
        label(g, "level " + Words.exact(shown.roundedLevel()), bestX, 14, bestLeft);
        g.setFill(midpoint.paint());
        label(g, "midpoint " + Words.number(levels.midpoint(), 4), middleX, 32, !bestLeft);
        caption(g, "dark", levels.dark().mean());
        caption(g, "light", levels.light().mean());
    }

    /** Dark bars are filled, light ones are outlined: told apart without colour. */
    private void bars(GraphicsContext g, int[] counts, boolean filled) {
        for (int i = 0; i < BINS; i++) {
            double x = px(low + i * width);
            double w = px(low + (i + 1) * width) - x - 1;
            double y = py(counts[i]);
            if (counts[i] > 0 && filled) {
                g.setFill(dark.paint());
                g.fillRect(x, y, w, plotHeight() - y);
            } else if (counts[i] > 0) {
                g.setStroke(light.paint());
                g.setLineWidth(1.5);
                g.strokeRect(x + 0.75, y, Math.max(1, w - 1.5), plotHeight() - y);
            }
        }
    }

    private void caption(GraphicsContext g, String words, double reading) {
        label(g, words, px(reading), 50, px(reading) > plotWidth() / 2);
    }

    private static void label(GraphicsContext g, String words, double x, double y, boolean leftOf) {
        g.setTextAlign(leftOf ? TextAlignment.RIGHT : TextAlignment.LEFT);
        g.fillText(words, x + (leftOf ? -6 : 6), y);
        g.setTextAlign(TextAlignment.LEFT);
    }

    private void vertical(GraphicsContext g, double x) {
        g.moveTo(x, 0);
        g.lineTo(x, plotHeight());
    }
}
