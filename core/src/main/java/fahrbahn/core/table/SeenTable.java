package fahrbahn.core.table;

import fahrbahn.core.check.Check;
import fahrbahn.core.check.Text;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.job.CancelledException;
import fahrbahn.core.raster.Raster;
import fahrbahn.core.raster.SeenRaster;
import fahrbahn.core.raster.TableTop;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Polarity;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.function.Supplier;

/**
 * A table top as a spot sees it. Painting and blurring take up to a tenth of a second on a large table, so the tables used last are
 * kept: asked again for the same table, line, light and spot, all threads get one and the same raster.
 */
public final class SeenTable {
    /** Memory for the rasters kept, in cells of two bytes: 80 MB. One larger than that is kept alone. */
    private static final long MOST_CELLS = 40_000_000L;

    /** A row and a column more than its area says are painted. */
    private static final double FITTING_CELLS = 0.999 * Painter.MOST_CELLS;

    /** Cells of all the views that one robot has of a table; each is kept from up to four heights, which makes 400 MB. */
    private static final double FITTING_TOGETHER = 50_000_000;

    /** From so many cells on, tables are painted one after the other: each takes 10 bytes a cell meanwhile. */
    private static final long LARGE_CELLS = 8_000_000;

    private static final Object LARGE = new Object();

    /** In the order of their last use. */
    private static final Map<Key, FutureTask<SeenRaster>> KEPT = new LinkedHashMap<>(16, 0.75f, true);

    private SeenTable() {}

    private record Key(
            TableTop table, double lineWidthMm, Polarity polarity, Channel channel, double cellMm, double sigmaMm) {}

    /** How fine the cells are. */
    public enum Cells {
        /** To 0.5 % of the contrast. */
        FINE(Raster.LEAST_SIGMA_CELLS, 1),
        /** To 3 % of the contrast, some six times as soon: for robots of which nobody knows how they are to that. */
        COARSE(1.15, 2.5);

        private final double perSigma;
        private final double mostMm;

        Cells(double perSigma, double mostMm) {
            this.perSigma = perSigma;
            this.mostMm = mostMm;
        }

        private double mm(double sigmaMm) {
            return Math.min(mostMm, sigmaMm / perSigma);
        }
    }

    /**
     * @param sigmaMm spot of the sensor that looks, above 0
     * @param cellsForSigmaMm spot that sets the size of the cells, above 0: the same from every height
     * @param views how many different spots and channels are kept beside each other, 1 or more: on a large table all of them have to fit
     * @throws fahrbahn.core.check.BadValueException when cells that are fine enough do not fit
     */
    public static SeenRaster of(
            TableTop table,
            Line line,
            Channel channel,
            double sigmaMm,
            Cells cells,
            double cellsForSigmaMm,
            int views) {
        Check.positive("spotSigmaMm", sigmaMm);
        double cellMm = cellMm(table, cellsForSigmaMm, cells, views);
        Key key = new Key(table, line.widthMm(), line.polarity(), channel, cellMm, sigmaMm);
        FutureTask<SeenRaster> painting = new FutureTask<>(() ->
                paintedAlone(table, () -> table.painted(line, channel, cellMm).seen(sigmaMm), cellMm));
        FutureTask<SeenRaster> its;
        synchronized (KEPT) {
            its = KEPT.get(key);
            if (its == null) {
                its = painting;
                KEPT.put(key, its);
            }
        }
        its.run(); // does nothing when it has been painted; who comes meanwhile waits for it
        return painted(key, its);
    }

    private static SeenRaster paintedAlone(TableTop table, Supplier<SeenRaster> painting, double cellMm) {
        if (table.widthMm() * table.heightMm() < LARGE_CELLS * cellMm * cellMm) {
            return painting.get();
        }
        synchronized (LARGE) {
            return painting.get();
        }
    }

    private static SeenRaster painted(Key key, FutureTask<SeenRaster> its) {
        try {
            SeenRaster raster = its.get();
            synchronized (KEPT) {
                dropOldest();
            }
            return raster;
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new CancelledException();
        } catch (ExecutionException broken) {
            synchronized (KEPT) {
                KEPT.remove(key, its);
            }
            if (broken.getCause() instanceof RuntimeException why) {
                throw why;
            }
            if (broken.getCause() instanceof Error why) {
                throw why;
            }
            throw new IllegalStateException(broken.getCause());
        }
    }

    /** Fine enough for the spot, where so many cells fit; on a large table and for a narrow spot as fine as fit, which has to do. */
    private static double cellMm(TableTop table, double sigmaMm, Cells cells, int views) {
        double fine = cells.mm(sigmaMm);
        double fitting = Math.min(FITTING_CELLS, FITTING_TOGETHER / views);
        double finest = Math.sqrt(table.widthMm() * table.heightMm() / fitting);
        double cellMm = Math.max(fine, finest);
        double least = finest * Raster.COARSEST_SIGMA_CELLS;
        Check.require(
                cellMm == fine || sigmaMm >= least,
                "spotSigmaMm",
                sigmaMm,
                Text.of("at least %.2f mm on a table as large as this, or a smaller table", least)
                        + (views > 1 ? ", or the same spot for more of the sensors" : ""));
        return cellMm;
    }

    /** The same with cells for this one spot. */
    public static SeenRaster of(TableTop table, Line line, Channel channel, double sigmaMm) {
        return of(table, line, channel, sigmaMm, Cells.FINE, sigmaMm, 1);
    }

    /** Those that are still being painted count for nothing yet, and stay. */
    private static void dropOldest() {
        long cells = KEPT.values().stream().mapToLong(SeenTable::cells).sum();
        Iterator<FutureTask<SeenRaster>> oldest = KEPT.values().iterator();
        while (cells > MOST_CELLS && oldest.hasNext() && KEPT.size() > 1) {
            FutureTask<SeenRaster> next = oldest.next();
            if (next.isDone()) {
                cells -= cells(next);
                oldest.remove();
            }
        }
    }

    private static long cells(FutureTask<SeenRaster> task) {
        try {
            return task.isDone() ? task.get().cells() : 0;
        } catch (InterruptedException | ExecutionException neverPainted) {
            return 0;
        }
    }
}
