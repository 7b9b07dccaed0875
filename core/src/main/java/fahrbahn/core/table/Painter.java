package fahrbahn.core.table;

import fahrbahn.core.check.Check;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.path.Path;
import fahrbahn.core.path.Pose;
import fahrbahn.core.path.StretchFrame;
import fahrbahn.core.raster.Raster;
import fahrbahn.core.setup.Line;

/** Paints a course into a {@link Raster}: each cell holds how much line it shows, exactly by the area that is covered. */
final class Painter {
    private Painter() {}

    /** More cells than this would not fit a small laptop's memory beside their blurred copies. */
    static final long MOST_CELLS = 27_000_000L;

    /**
     * The course, sharp, in units of contrast: 0 the ground, 1 the line, other surfaces where their reflectance puts them.
     *
     * @param cellMm above 0
     */
    static Raster painted(Course course, Line line, Channel channel, double cellMm) {
        int columns = (int) Math.ceil(course.widthMm() / cellMm) + 1;
        int rows = (int) Math.ceil(course.heightMm() / cellMm) + 1;
        Check.require(
                (long) columns * rows <= MOST_CELLS,
                "cells",
                (double) columns * rows,
                "at most " + MOST_CELLS + ": a smaller table or a larger spot");
        Canvas canvas = new Canvas(columns, rows, cellMm, new float[columns * rows]);
        Path path = course.path();
        // Shares of the line add up, so that neighbouring stretches leave no seam in the cells at their joint.
        for (Bands.Band band : Bands.line(path, line.widthMm())) {
            canvas.paint(band, (cell, share) -> canvas.cells[cell] = (float) Math.min(1, canvas.cells[cell] + share));
        }
        for (Bands.Patch patch : Bands.patches(path, line.widthMm(), course.palette())) {
            double value = course.palette().contrast(patch.surface(), line.polarity(), channel);
            canvas.paint(
                    patch.band(),
                    (cell, share) ->
                            canvas.cells[cell] = (float) (canvas.cells[cell] + share * (value - canvas.cells[cell])));
        }
        return new Raster(columns, rows, cellMm, canvas.cells);
    }

    private interface Brush {
        void touch(int cell, double share);
    }

    private record Canvas(int columns, int rows, double cellMm, float[] cells) {
        /** Sideways and lengthways shares multiply. */
        void paint(Bands.Band band, Brush brush) {
            Path.Stretch stretch = band.along();
            double half = band.widthMm() / 2;
            Bounds bounds = Bounds.of(stretch, Math.hypot(half, Math.max(band.beforeMm(), band.afterMm())) + cellMm);
            int firstRow = Math.max(0, (int) Math.floor(bounds.lowY() / cellMm));
            int lastRow = Math.min(rows - 1, (int) Math.ceil(bounds.highY() / cellMm));
            int firstColumn = Math.max(0, (int) Math.floor(bounds.lowX() / cellMm));
            int lastColumn = Math.min(columns - 1, (int) Math.ceil(bounds.highX() / cellMm));
            StretchFrame frame = new StretchFrame(stretch);
            double end = stretch.lengthMm() + band.afterMm();
            for (int row = firstRow; row <= lastRow; row++) {
                for (int column = firstColumn; column <= lastColumn; column++) {
                    double x = (column + 0.5) * cellMm;
                    double y = (row + 0.5) * cellMm;
                    frame.follow(x, y);
                    double inside = half - Math.abs(frame.leftMm());
                    if (inside < -cellMm) {
                        continue; // most of the box round a bend; its place along need not be worked out
                    }
                    frame.locate(x, y);
                    double along = frame.alongMm();
                    if (along < -band.beforeMm() - cellMm || along > end + cellMm) {
                        continue;
                    }
                    double across = Math.abs(frame.normalX());
                    double up = Math.abs(frame.normalY());
                    double sideways = share(inside / cellMm, across, up);
                    double lengthways = share((along + band.beforeMm()) / cellMm, up, across)
                            - share((along - end) / cellMm, up, across);
                    if (sideways > 0 && lengthways > 0) {
                        brush.touch(row * columns + column, sideways * lengthways);
                    }
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
