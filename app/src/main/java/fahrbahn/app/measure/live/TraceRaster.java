package fahrbahn.app.measure.live;

import fahrbahn.app.live.LiveTrace;
import java.util.Arrays;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;

/**
 * Curves set pixel by pixel, a run from least to largest in each column. For sixteen traces as dense as the screen that costs a
 * fraction of stroking paths, which matters where there is no graphics card.
 */
final class TraceRaster {
    private static final int THICK_PX = 2;

    private int width;
    private int height;
    private int[] argb = {};
    private WritableImage image;

    /** Empty, and of this size. */
    void clear(int newWidth, int newHeight) {
        if (newWidth != width || newHeight != height) {
            width = newWidth;
            height = newHeight;
            argb = new int[width * height];
            image = new WritableImage(width, height);
        }
        Arrays.fill(argb, 0);
    }

    /**
     * One sensor, newest at the right border.
     *
     * @param dashes lengths on and off in turn, pixels; empty for a whole line
     * @param low value at the lower border
     * @param high value at the upper
     */
    void curve(LiveTrace trace, int sensor, Color colour, int[] dashes, double low, double high) {
        int ink = 0xff000000
                | (int) Math.round(colour.getRed() * 255) << 16
                | (int) Math.round(colour.getGreen() * 255) << 8
                | (int) Math.round(colour.getBlue() * 255);
        double perValue = height / (high - low);
        int lastTop = -1;
        int lastBottom = -1;
        for (int column = 0; column < width; column++) {
            int oldest = (int) ((long) (width - column) * LiveTrace.CAPACITY / width) - 1;
            int newest = (int) ((long) (width - column - 1) * LiveTrace.CAPACITY / width);
            if (newest >= trace.size()) {
                continue;
            }
            double least = Double.POSITIVE_INFINITY;
            double most = Double.NEGATIVE_INFINITY;
            for (int age = newest; age <= Math.min(Math.max(oldest, newest), trace.size() - 1); age++) {
                least = Math.min(least, trace.least(sensor, age));
                most = Math.max(most, trace.most(sensor, age));
            }
            int top = (int) ((high - most) * perValue);
            int bottom = (int) ((high - least) * perValue);
            // Joined to the column before, so that a steep flank is no gap.
            int from = lastTop < 0 ? top : Math.min(top, Math.max(lastBottom, lastTop));
            int to = lastTop < 0 ? bottom : Math.max(bottom, Math.min(lastTop, lastBottom));
            lastTop = top;
            lastBottom = bottom;
            if (on(column, dashes)) {
                fill(column, from, to + THICK_PX - 1, ink);
            }
        }
    }

    private static boolean on(int column, int[] dashes) {
        int cycle = Arrays.stream(dashes).sum();
        int at = cycle == 0 ? 0 : column % cycle;
        for (int i = 0; i < dashes.length; i++) {
            if (at < dashes[i]) {
                return i % 2 == 0;
            }
            at -= dashes[i];
        }
        return true;
    }

    private void fill(int column, int from, int to, int ink) {
        for (int row = Math.max(0, from); row <= Math.min(height - 1, to); row++) {
            argb[row * width + column] = ink;
        }
    }

    Image image() {
        image.getPixelWriter().setPixels(0, 0, width, height, PixelFormat.getIntArgbInstance(), argb, 0, width);
        return image;
    }
}
