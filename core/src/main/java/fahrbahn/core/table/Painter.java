package fahrbahn.core.table;

import fahrbahn.core.check.Check;

/** Paints a course into a {@link Raster}, cell edges softened by how much of the cell the line covers. */
public final class Painter {
    private Painter() {}

    /** More cells than this would not fit a small laptop's memory beside their blurred copies. */
    private static final long MOST_CELLS = 24_000_000L;

    /**
     * The course as the sharp line and as the spot sees it.
     *
     * @param lineWidthMm above 0
     * @param sigmaMm spot of the sensor that will look, above 0; sets the size of the cells
     */
    public static Raster seen(Course course, double lineWidthMm, double sigmaMm) {
        Check.positive("spotSigmaMm", sigmaMm);
        double cellMm = Math.min(1, sigmaMm / Raster.LEAST_SIGMA_CELLS);
        return painted(course, lineWidthMm, cellMm).blurred(sigmaMm);
    }

    static Raster painted(Course course, double lineWidthMm, double cellMm) {
        Check.positive("widthMm", lineWidthMm);
        int columns = (int) Math.ceil(course.widthMm() / cellMm) + 1;
        int rows = (int) Math.ceil(course.heightMm() / cellMm) + 1;
        Check.require(
                (long) columns * rows <= MOST_CELLS,
                "cells",
                (double) columns * rows,
                "at most " + MOST_CELLS + ": a smaller table or a larger spot");
        float[] cells = new float[columns * rows];
        for (Path.Stretch stretch : course.path().stretches()) {
            if (stretch.painted()) {
                paint(stretch, lineWidthMm, cellMm, columns, rows, cells);
            }
        }
        return new Raster(columns, rows, cellMm, cells);
    }

    /** Sideways and lengthways shares multiply; neighbouring stretches share the cells at their joint and add up to one. */
    private static void paint(
            Path.Stretch stretch, double lineWidthMm, double cellMm, int columns, int rows, float[] cells) {
        double reach = lineWidthMm / 2 + cellMm;
        Bounds bounds = Bounds.of(stretch, reach);
        int firstRow = Math.max(0, (int) Math.floor(bounds.lowY() / cellMm));
        int lastRow = Math.min(rows - 1, (int) Math.ceil(bounds.highY() / cellMm));
        int firstColumn = Math.max(0, (int) Math.floor(bounds.lowX() / cellMm));
        int lastColumn = Math.min(columns - 1, (int) Math.ceil(bounds.highX() / cellMm));
        StretchFrame frame = new StretchFrame(stretch);
        for (int row = firstRow; row <= lastRow; row++) {
            for (int column = firstColumn; column <= lastColumn; column++) {
                frame.locate((column + 0.5) * cellMm, (row + 0.5) * cellMm);
                double across = Math.abs(frame.normalX());
                double up = Math.abs(frame.normalY());
                double sideways = share((lineWidthMm / 2 - Math.abs(frame.leftMm())) / cellMm, across, up);
                if (sideways > 0) {
                    double lengthways = share(frame.alongMm() / cellMm, up, across)
                            - share((frame.alongMm() - stretch.lengthMm()) / cellMm, up, across);
                    int cell = row * columns + column;
                    cells[cell] = (float) Math.min(1, cells[cell] + sideways * Math.max(0, lengthways));
                }
            }
        }
    }

    /** A border this nearly along the cells counts as along them. */
    private static final double ALONG = 1e-6;

    /**
     * Covered share of a cell whose middle lies this many cells inside a straight border: the exact area, which keeps a slanted
     * line where it is; a plain ramp would shift it by up to 0.04 cells.
     *
     * @param normalX size of the x part of the border's unit normal
     */
    static double share(double cellsInside, double normalX, double normalY) {
        double wide = Math.max(normalX, normalY);
        double narrow = Math.min(normalX, normalY);
        if (narrow < ALONG) {
            return Math.max(0, Math.min(1, cellsInside + 0.5));
        }
        // The cell projected on the normal is a box of each width, one smeared by the other.
        double sum = (wide + narrow) / 2;
        double difference = (wide - narrow) / 2;
        double area = halfSquare(cellsInside + sum)
                - halfSquare(cellsInside + difference)
                - halfSquare(cellsInside - difference)
                + halfSquare(cellsInside - sum);
        return Math.max(0, Math.min(1, area / (wide * narrow)));
    }

    private static double halfSquare(double x) {
        return x > 0 ? x * x / 2 : 0;
    }

    private record Bounds(double lowX, double lowY, double highX, double highY) {
        static Bounds of(Path.Stretch stretch, double reach) {
            double lowX = Double.POSITIVE_INFINITY;
            double lowY = Double.POSITIVE_INFINITY;
            double highX = Double.NEGATIVE_INFINITY;
            double highY = Double.NEGATIVE_INFINITY;
            // Between two of these points a bend strays from the chord by less than its radius/200.
            int points = 64;
            double sagMm = stretch.curvaturePerMm() == 0 ? 0 : 1 / Math.abs(stretch.curvaturePerMm()) / 200;
            for (int i = 0; i <= points; i++) {
                Pose at = stretch.at(stretch.lengthMm() * i / points);
                lowX = Math.min(lowX, at.xMm());
                lowY = Math.min(lowY, at.yMm());
                highX = Math.max(highX, at.xMm());
                highY = Math.max(highY, at.yMm());
            }
            double out = reach + sagMm;
            return new Bounds(lowX - out, lowY - out, highX + out, highY + out);
        }
    }
}
