package fahrbahn.core.table;

import fahrbahn.core.path.Part;
import fahrbahn.core.path.Path;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import java.util.ArrayList;
import java.util.List;

/**
 * The border of one thing on a table, as a closed polygon for drawing; bends are cut into pieces of a few degrees.
 *
 * @param xMm table frame, one for each corner
 */
public record Outline(Kind kind, double[] xMm, double[] yMm) {
    private static final double STEP_RAD = 0.06;
    private static final double ROUND_STEP_RAD = 0.2;
    private static final double RAISED_HALF_MM = 60;

    /** What lies there; in the order of drawing. */
    public enum Kind {
        RAMP,
        BUMP,
        LINE,
        MARK,
        ENTRY,
        STOP,
        CREASE,
        OBSTACLE
    }

    public Outline {
        xMm = xMm.clone();
        yMm = yMm.clone();
    }

    /** The same of a course that is not finished. */
    public static List<Outline> of(Draft draft, double lineWidthMm) {
        return of(draft.path(), draft.palette(), lineWidthMm);
    }

    private static List<Outline> of(Path path, Palette palette, double lineWidthMm) {
        List<Outline> outlines = new ArrayList<>();
        for (Path.Stretch stretch : path.stretches()) {
            if (stretch.part() instanceof Part.Ramp) {
                outlines.add(of(Kind.RAMP, new Bands.Band(stretch, 2 * RAISED_HALF_MM, 0, 0)));
            } else if (stretch.part() instanceof Part.Bump) {
                outlines.add(of(Kind.BUMP, new Bands.Band(stretch, 2 * RAISED_HALF_MM, 0, 0)));
            }
        }
        Bands.line(path, lineWidthMm).forEach(band -> outlines.add(of(Kind.LINE, band)));
        Bands.patches(path, lineWidthMm, palette).forEach(patch -> outlines.add(of(patch.kind(), patch.band())));
        for (Path.Stretch stretch : path.stretches()) {
            if (stretch.part() instanceof Part.Obstacle obstacle) {
                outlines.add(round(stretch.at(stretch.lengthMm() / 2), obstacle.radiusMm()));
            }
        }
        return List.copyOf(outlines);
    }

    private static Outline round(Pose middle, double radiusMm) {
        int corners = (int) Math.ceil(2 * Math.PI / ROUND_STEP_RAD);
        double[] x = new double[corners];
        double[] y = new double[corners];
        for (int i = 0; i < corners; i++) {
            double angle = 2 * Math.PI * i / corners;
            x[i] = middle.xMm() + radiusMm * Math.cos(angle);
            y[i] = middle.yMm() + radiusMm * Math.sin(angle);
        }
        return new Outline(Kind.OBSTACLE, x, y);
    }

    private static Outline of(Kind kind, Bands.Band band) {
        Path.Stretch stretch = band.along();
        int pieces = 1 + (int) (Math.abs(stretch.curvaturePerMm()) * stretch.lengthMm() / STEP_RAD);
        double[] x = new double[2 * (pieces + 1)];
        double[] y = new double[x.length];
        double from = -band.beforeMm();
        double to = stretch.lengthMm() + band.afterMm();
        for (int i = 0; i <= pieces; i++) {
            Pose middle = stretch.at(from + (to - from) * i / pieces);
            Pose left = middle.offset(0, band.widthMm() / 2);
            Pose right = middle.offset(0, -band.widthMm() / 2);
            x[i] = left.xMm();
            y[i] = left.yMm();
            x[x.length - 1 - i] = right.xMm();
            y[y.length - 1 - i] = right.yMm();
        }
        return new Outline(kind, x, y);
    }
}
