package fahrbahn.core.sensing;

import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.raster.SeenRaster;
import fahrbahn.core.raster.TableTop;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.table.SeenTable;
import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * A table as one sensor sees it from any height. The spot grows in proportion to the height; between the rasters of a few heights
 * the view is interpolated, which errs by less than 1.5 % of the contrast. At the height of the captures it is exact.
 */
public final class SpotView {
    static final double LEAST_HEIGHT = 0.75;
    static final double MOST_HEIGHT = 2.25;
    private static final double[] HEIGHTS = {LEAST_HEIGHT, 1, 1.5, MOST_HEIGHT};
    private static final int USUAL = 1;

    private final TableTop table;
    private final Line line;
    private final Sensor sensor;
    private final SeenTable.Cells cells;
    private final int views;
    private final SeenRaster usual;
    private final SeenRaster[] byHeight = new SeenRaster[HEIGHTS.length];

    /** @param views how many sensors of the same robot see it differently */
    public SpotView(TableTop table, Line line, Sensor sensor, SeenTable.Cells cells, int views) {
        this.cells = cells;
        this.views = views;
        this.table = table;
        this.line = line;
        this.sensor = sensor;
        this.usual = painted(sensor.spotSigmaMm());
        if (cells == SeenTable.Cells.FINE) {
            byHeight[USUAL] = usual;
        } else {
            Arrays.fill(byHeight, usual); // coarsely seen, a spot does not grow: only its light fades with the height
        }
    }

    private SeenRaster painted(double sigmaMm) {
        return SeenTable.of(table, line, sensor.channel(), sigmaMm, cells, sensor.spotSigmaMm(), views);
    }

    /** At the height of the captures; for the thread that asks. */
    SeenRaster usual() {
        return usual.inLane(Workers.lane());
    }

    /** From each of {@link #HEIGHTS}; painted when first asked for. */
    SeenRaster[] byHeight() {
        return painted(0, HEIGHTS.length - 1);
    }

    /** Painted from some of {@link #HEIGHTS}; the widest spot takes longest, and only what drives over something high needs it. */
    private synchronized SeenRaster[] painted(int first, int last) {
        int[] missing = IntStream.rangeClosed(first, last)
                .filter(i -> byHeight[i] == null)
                .toArray();
        if (missing.length > 0) {
            Workers.all()
                    .run(
                            missing.length,
                            i -> byHeight[missing[i]] = painted(sensor.spotSigmaMm() * HEIGHTS[missing[i]]),
                            Job.UNWATCHED);
        }
        return byHeight;
    }

    /** The table from one height that stays: between which two rasters it lies is worked out once. */
    record Held(SeenRaster lower, SeenRaster upper, double share) {
        double at(double xMm, double yMm) {
            return lower.between(upper, share, xMm, yMm);
        }
    }

    /** @param heightShare held inside what can be painted; the rasters of all heights have the same cells */
    Held held(double heightShare) {
        double height = Math.max(LEAST_HEIGHT, Math.min(MOST_HEIGHT, heightShare));
        int above = above(height);
        SeenRaster[] views = painted(above - 1, above);
        double share = (height - HEIGHTS[above - 1]) / (HEIGHTS[above] - HEIGHTS[above - 1]);
        int lane = Workers.lane();
        return new Held(views[above - 1].inLane(lane), views[above].inLane(lane), share);
    }

    private static int above(double height) {
        int above = 1;
        while (HEIGHTS[above] < height) {
            above++;
        }
        return above;
    }

    /** @param views from {@link #byHeight()} @param heightShare height over that of the captures, held inside what is painted */
    static double at(SeenRaster[] views, double heightShare, double xMm, double yMm) {
        double height = Math.max(LEAST_HEIGHT, Math.min(MOST_HEIGHT, heightShare));
        int above = above(height);
        double between = (height - HEIGHTS[above - 1]) / (HEIGHTS[above] - HEIGHTS[above - 1]);
        double lower = views[above - 1].at(xMm, yMm);
        return lower + between * (views[above].at(xMm, yMm) - lower);
    }
}
