package fahrbahn.core.raster;

import java.util.Arrays;
import java.util.Objects;

/**
 * A blurred {@link Raster} made for being looked at millions of times: cells of two bytes, so that what lies about a path stays in the
 * processor's own memory, and bilinear look-ups in whole numbers, whose only conversions are of the two coordinates and of the result.
 *
 * <p>A cell is a whole number of {@link #MOST}ths of the raster's largest value, so what is read errs by at most half of one, 0.0015 % of the
 * contrast on a table of ground and line; a place is rounded down to 1/32768 of a cell, which adds as much at the steepest edge. Bare ground stays
 * exactly 0. Immutable.
 */
public final class SeenRaster {
    private static final int MOST = Short.MAX_VALUE;
    private static final int PLACE_BITS = 15;
    private static final int PLACES = 1 << PLACE_BITS;
    private static final int MOST_LANES = 4;

    /** Eight megabytes: a table of 2.4 by 1.2 m under a usual spot has six. */
    private static final int MOST_COPIED = 4_000_000;

    private final int columns;
    private final int rows;
    private final double placesPerMm;
    private final double perUnit;
    private final short[] cells;

    /** By lane, made when first asked for. */
    private final SeenRaster[] copies = new SeenRaster[MOST_LANES];

    public SeenRaster(Raster raster) {
        columns = raster.columns();
        rows = raster.rows();
        placesPerMm = PLACES / raster.cellMm();
        double most = raster.most();
        double scale = most > 0 ? MOST / most : 0;
        perUnit = most / MOST / PLACES / PLACES;
        cells = new short[columns * rows];
        for (int i = 0; i < cells.length; i++) {
            float value = raster.cell(i);
            if (value != 0) {
                // To the nearest: all are above -1 - MOST, and what is cut off is below 1.
                cells[i] = (short) ((int) (value * scale + (1.5 + MOST)) - 1 - MOST);
            }
        }
    }

    private SeenRaster(SeenRaster other) {
        columns = other.columns;
        rows = other.rows;
        placesPerMm = other.placesPerMm;
        perUnit = other.perUnit;
        cells = other.cells.clone();
    }

    /**
     * The same for one of several threads that look all the time: a copy of its own, where few threads and a table of usual size allow. Though
     * nobody writes to it, two cores that read the same memory take 4 to 5 % longer than two that read each their own (docs/performance.md).
     *
     * @param lane of {@link fahrbahn.core.job.Workers#lane()}
     */
    public SeenRaster inLane(int lane) {
        if (lane == 0 || lane >= MOST_LANES || cells.length > MOST_COPIED) {
            return this;
        }
        synchronized (copies) {
            if (copies[lane] == null) {
                copies[lane] = new SeenRaster(this);
            }
            return copies[lane];
        }
    }

    /** Number of cells, those of copies counted too. */
    public long cells() {
        synchronized (copies) {
            return cells.length
                    * (1 + Arrays.stream(copies).filter(Objects::nonNull).count());
        }
    }

    /** Covered share at a place, mm; 0 beyond the table. */
    public double at(double xMm, double yMm) {
        long x = (long) (xMm * placesPerMm - PLACES / 2.0);
        long y = (long) (yMm * placesPerMm - PLACES / 2.0);
        if ((x | y) < 0) {
            return 0;
        }
        int column = (int) (x >> PLACE_BITS);
        int row = (int) (y >> PLACE_BITS);
        if (column >= columns - 1 || row >= rows - 1) {
            return 0;
        }
        return perUnit * mixed(row * columns + column, (int) x & PLACES - 1, (int) y & PLACES - 1);
    }

    /** Between this raster and another of the same cells: 0 this one, 1 the other. One look-up of a place instead of two. */
    public double between(SeenRaster other, double share, double xMm, double yMm) {
        long x = (long) (xMm * placesPerMm - PLACES / 2.0);
        long y = (long) (yMm * placesPerMm - PLACES / 2.0);
        if ((x | y) < 0) {
            return 0;
        }
        int column = (int) (x >> PLACE_BITS);
        int row = (int) (y >> PLACE_BITS);
        if (column >= columns - 1 || row >= rows - 1) {
            return 0;
        }
        int first = row * columns + column;
        int right = (int) x & PLACES - 1;
        int up = (int) y & PLACES - 1;
        double here = perUnit * mixed(first, right, up);
        return here + share * (other.perUnit * other.mixed(first, right, up) - here);
    }

    /** In units of a cell's over {@link #PLACES} squared. What passes the range of an int on the way comes back into it with the sum. */
    private long mixed(int first, int right, int up) {
        int lower = (cells[first] << PLACE_BITS) + (cells[first + 1] - cells[first]) * right;
        int upper =
                (cells[first + columns] << PLACE_BITS) + (cells[first + columns + 1] - cells[first + columns]) * right;
        return ((long) lower << PLACE_BITS) + ((long) upper - lower) * up;
    }
}
