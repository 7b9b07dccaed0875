package fahrbahn.core.table;

import fahrbahn.core.check.Check;
import fahrbahn.core.check.Text;
import fahrbahn.core.setup.Channel;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Polarity;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A table top as a spot sees it. Painting and blurring take up to a tenth of a second on a large table, so the tables used last are
 * kept: asked again for the same table, line, light and spot, all threads get one and the same raster.
 */
public final class SeenTable {
    /** Memory for the rasters kept, in cells of four bytes: 160 MB. One larger than that is kept alone. */
    private static final long MOST_CELLS = 40_000_000L;

    /** A row and a column more than its area says are painted. */
    private static final double FITTING_CELLS = 0.999 * Painter.MOST_CELLS;

    /** In the order of their last use. */
    private static final Map<Key, Raster> KEPT = new LinkedHashMap<>(16, 0.75f, true);

    private SeenTable() {}

    private record Key(
            TableTop table, double lineWidthMm, Polarity polarity, Channel channel, double cellMm, double sigmaMm) {}

    /**
     * @param sigmaMm spot of the sensor that looks, above 0
     * @param cellsForSigmaMm spot that sets the size of the cells; above 0
     */
    public static Raster of(TableTop table, Line line, Channel channel, double sigmaMm, double cellsForSigmaMm) {
        Check.positive("spotSigmaMm", sigmaMm);
        double cellMm = cellMm(table, cellsForSigmaMm);
        Key key = new Key(table, line.widthMm(), line.polarity(), channel, cellMm, sigmaMm);
        // One at a time: two threads that ask for the same table would only paint it twice.
        synchronized (KEPT) {
            Raster raster = KEPT.get(key);
            if (raster == null) {
                raster = table.painted(line, channel, cellMm).blurred(sigmaMm);
                KEPT.put(key, raster);
                dropOldest();
            }
            return raster;
        }
    }

    /** Fine enough for the spot, where so many cells fit; on a large table and for a narrow spot as fine as fit, which has to do. */
    private static double cellMm(TableTop table, double sigmaMm) {
        double fine = Math.min(1, sigmaMm / Raster.LEAST_SIGMA_CELLS);
        double finest = Math.sqrt(table.widthMm() * table.heightMm() / FITTING_CELLS);
        double cellMm = Math.max(fine, finest);
        double least = finest * Raster.COARSEST_SIGMA_CELLS;
        Check.require(
                cellMm == fine || sigmaMm >= least,
                "spotSigmaMm",
                sigmaMm,
                Text.of("at least %.2f mm on a table as large as this, or a smaller table", least));
        return cellMm;
    }

    /** The same with cells for this one spot. */
    public static Raster of(TableTop table, Line line, Channel channel, double sigmaMm) {
        return of(table, line, channel, sigmaMm, sigmaMm);
    }

    private static void dropOldest() {
        long cells = KEPT.values().stream().mapToLong(Raster::cells).sum();
        for (Iterator<Raster> oldest = KEPT.values().iterator(); cells > MOST_CELLS && KEPT.size() > 1; ) {
            cells -= oldest.next().cells();
            oldest.remove();
        }
    }
}
