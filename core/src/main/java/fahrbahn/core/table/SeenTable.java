package fahrbahn.core.table;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fahrbahn.core.check.Check;
import fahrbahn.core.setup.Channel;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Polarity;

/**
 * A course as a spot sees it. Painting and blurring take a tenth of a second on a large table, so the latest are kept: tables of
 * the same course, line, light and spot are one and the same raster, for all threads.
 */
public final class SeenTable {
    /** Memory for rasters of both kinds, in cells of four bytes: 240 MB. */
    private static final long MOST_CELLS = 60_000_000L;

    private static final Cache<Object, Raster> MADE = Caffeine.newBuilder()
            .maximumWeight(MOST_CELLS)
            .weigher((Object key, Raster raster) -> raster.columns() * raster.rows())
            .build();

    private SeenTable() {}

    private record Sharp(Course course, double lineWidthMm, Polarity polarity, Channel channel, double cellMm) {}

    private record Blurred(Sharp sharp, double sigmaMm) {}

    /**
     * @param sigmaMm spot of the sensor that looks, above 0
     * @param finestSigmaMm smallest spot that will look at this table, which sets the size of the cells; at most {@code sigmaMm}
     */
    public static Raster of(Course course, Line line, Channel channel, double sigmaMm, double finestSigmaMm) {
        Check.positive("spotSigmaMm", sigmaMm);
        double cellMm = Math.min(1, finestSigmaMm / Raster.LEAST_SIGMA_CELLS);
        Sharp sharp = new Sharp(course, line.widthMm(), line.polarity(), channel, cellMm);
        return MADE.get(
                new Blurred(sharp, sigmaMm),
                key -> Painter.painted(course, line, channel, cellMm).blurred(sigmaMm));
    }

    /** The same with cells for this one spot. */
    public static Raster of(Course course, Line line, Channel channel, double sigmaMm) {
        return of(course, line, channel, sigmaMm, sigmaMm);
    }
}
