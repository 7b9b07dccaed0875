package fahrbahn.core.raster;

import fahrbahn.core.check.Check;
import java.util.Arrays;

/**
 * The table in cells: 0 is ground, 1 is line, other surfaces lie where their reflectance puts them. The value of a cell belongs
 * to its middle; a look-up between the middles is bilinear, and beyond the table there is bare ground.
 */
public final class Raster {
    /** As large as a course's raster may be: a hundred megabytes. */
    private static final long MOST_FINER = 24_000_000L;

    private final int columns;
    private final int rows;
    private final double cellMm;
    private final double cellsPerMm;
    private final float[] cells;

    /** @param cells row by row, from the table's origin; kept, not copied: a table may be a hundred megabytes */
    public Raster(int columns, int rows, double cellMm, float[] cells) {
        this.columns = columns;
        this.rows = rows;
        this.cellMm = cellMm;
        this.cellsPerMm = 1 / cellMm;
        this.cells = cells;
    }

    /**
     * Cells of one's own.
     *
     * @param cellMm side of a cell, above 0
     * @param cells row by row, from the table's origin; kept, not copied
     */
    public static Raster of(int columns, int rows, double cellMm, float[] cells) {
        Check.positive("cellMm", cellMm);
        Check.require(cells.length == columns * rows, "cells", cells.length, "one for each column and row");
        return new Raster(columns, rows, cellMm, cells);
    }

    /**
     * The same in smaller cells, in between by bilinear look-up, so that a narrow spot can look at a coarse picture.
     *
     * @param times how many new cells side by side make an old one; 1 or more
     * @throws fahrbahn.core.check.BadValueException when that would be more cells than fit
     */
    public Raster finer(int times) {
        long finer = (long) columns * times * rows * times;
        Check.require(finer <= MOST_FINER, "cells", finer, "at most " + MOST_FINER + ": a wider spot or a smaller mat");
        int newColumns = columns * times;
        int newRows = rows * times;
        double newCellMm = cellMm / times;
        float[] between = new float[newColumns * newRows];
        for (int row = 0; row < newRows; row++) {
            for (int column = 0; column < newColumns; column++) {
                double x = Math.max(cellMm / 2, Math.min((columns - 0.501) * cellMm, (column + 0.5) * newCellMm));
                double y = Math.max(cellMm / 2, Math.min((rows - 0.501) * cellMm, (row + 0.5) * newCellMm));
                between[row * newColumns + column] = (float) at(x, y);
            }
        }
        return new Raster(newColumns, newRows, newCellMm, between);
    }

    public int columns() {
        return columns;
    }

    public int rows() {
        return rows;
    }

    public double cellMm() {
        return cellMm;
    }

    /** Value of one cell, counted row by row. */
    public float cell(int index) {
        return cells[index];
    }

    /** The largest amount of any cell. */
    double most() {
        float highest = 0;
        float lowest = 0;
        for (float cell : cells) {
            if (cell > highest) {
                highest = cell;
            } else if (cell < lowest) {
                lowest = cell;
            }
        }
        return Math.max(highest, -lowest);
    }

    /** Covered share at a place, mm. */
    public double at(double xMm, double yMm) {
        double gx = xMm * cellsPerMm - 0.5;
        double gy = yMm * cellsPerMm - 0.5;
        if (!(gx >= 0 && gy >= 0)) {
            return 0;
        }
        int column = (int) gx;
        int row = (int) gy;
        if (column >= columns - 1 || row >= rows - 1) {
            return 0;
        }
        // In floats, as the cells are: each conversion to a double would cost as much as the rest.
        float right = (float) (gx - column);
        float up = (float) (gy - row);
        int first = row * columns + column;
        return mixed(cells, first, columns, right, up);
    }

    private static float mixed(float[] cells, int first, int columns, float right, float up) {
        float lower = cells[first] + right * (cells[first + 1] - cells[first]);
        float upper = cells[first + columns] + right * (cells[first + columns + 1] - cells[first + columns]);
        return lower + up * (upper - lower);
    }

    /**
     * What a Gaussian spot sees at each place. Painting and reading blur a little too; the kernel leaves their part out.
     *
     * @param sigmaMm at least {@link #LEAST_BLUR_CELLS} cells, so that sampling the kernel does not change its width
     */
    public Raster blurred(double sigmaMm) {
        return blurred(sigmaMm, new float[cells.length]);
    }

    /** The same, made for being looked at very often. It uses this raster up, whose memory a large table needs again. */
    public SeenRaster seen(double sigmaMm) {
        return new SeenRaster(blurred(sigmaMm, cells));
    }

    /** @param both where the result goes: may be the cells themselves */
    private Raster blurred(double sigmaMm, float[] both) {
        Check.require(
                sigmaMm >= LEAST_BLUR_CELLS * cellMm,
                "spotSigmaMm",
                sigmaMm,
                "at least " + LEAST_BLUR_CELLS + " raster cells");
        double sigmaCells = Math.sqrt(sigmaMm * sigmaMm / (cellMm * cellMm) - PAINTED_AND_READ);
        float[] kernel = kernel(sigmaCells);
        float[] sideways = new float[cells.length];
        spreadSideways(cells, sideways, kernel);
        Arrays.fill(both, 0);
        spreadUpAndDown(sideways, both, kernel);
        return new Raster(columns, rows, cellMm, both);
    }

    /** At this the bilinear look-up errs by up to h*h*max|coverage''|/8 = 0.03*(h/sigma)^2 = 0.3 % of the contrast per axis. */
    public static final double LEAST_SIGMA_CELLS = 3;

    /** And at this by 0.48 %: as coarse as a narrow spot on a large table may have it. */
    public static final double COARSEST_SIGMA_CELLS = 2.5;

    /** Below this, sampling the kernel would change its width by more than a thousandth. */
    private static final double LEAST_BLUR_CELLS = 1;

    /**
     * Variance, in cells squared, that is there without the kernel: 1/12 of the average over a cell that painting takes, 1/6 of
     * the look-up, whose straight lines between the middles act, over all places, like a triangle of that variance. Without the
     * second part the slope of an edge came out 0.5 to 1.9 % low, by where it lies in its cell; with it, -0.5 to 0.9 %.
     */
    private static final double PAINTED_AND_READ = 1.0 / 12 + 1.0 / 6;

    private static float[] kernel(double sigmaCells) {
        int reach = (int) Math.ceil(4.5 * sigmaCells); // leaves out 7 parts in a million
        float[] kernel = new float[2 * reach + 1];
        double sum = 0;
        for (int i = -reach; i <= reach; i++) {
            sum += Math.exp(-0.5 * i * i / (sigmaCells * sigmaCells));
        }
        for (int i = -reach; i <= reach; i++) {
            kernel[i + reach] = (float) (Math.exp(-0.5 * i * i / (sigmaCells * sigmaCells)) / sum);
        }
        return kernel;
    }

    /**
     * Gives each cell's value to its neighbours in the row. Most of a table is bare ground with nothing to give, which makes this
     * several times faster than gathering for every cell.
     */
    private void spreadSideways(float[] from, float[] to, float[] kernel) {
        int reach = kernel.length / 2;
        for (int cell = 0; cell < from.length; cell++) {
            float value = from[cell];
            if (value != 0) {
                int column = cell % columns;
                int low = Math.max(-column, -reach);
                int high = Math.min(columns - 1 - column, reach);
                for (int j = low; j <= high; j++) {
                    to[cell + j] += kernel[j + reach] * value;
                }
            }
        }
    }

    /** The same across the rows, for runs of cells that have something to give, so that memory is walked in order. */
    private void spreadUpAndDown(float[] from, float[] to, float[] kernel) {
        int reach = kernel.length / 2;
        for (int row = 0; row < rows; row++) {
            int end = (row + 1) * columns;
            int first = row * columns;
            while (first < end) {
                if (from[first] == 0) {
                    first++;
                    continue;
                }
                int last = first;
                while (last < end && from[last] != 0) {
                    last++;
                }
                for (int j = Math.max(-row, -reach); j <= Math.min(rows - 1 - row, reach); j++) {
                    add(from, to, first, last, j * columns, kernel[j + reach]);
                }
                first = last;
            }
        }
    }

    private static void add(float[] from, float[] to, int first, int last, int shift, float weight) {
        for (int cell = first; cell < last; cell++) {
            to[cell + shift] += weight * from[cell];
        }
    }
}
