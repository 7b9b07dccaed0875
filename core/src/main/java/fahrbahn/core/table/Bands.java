package fahrbahn.core.table;

import fahrbahn.core.path.Part;
import fahrbahn.core.path.Path;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.raster.Surface;
import fahrbahn.core.response.Spacing;
import java.util.ArrayList;
import java.util.List;

/** What of a course is painted: the line, and what lies beside and across it. */
final class Bands {
    /** A strip reaches this far to each side of the line. */
    private static final double STRIP_HALF_MM = 150;

    private Bands() {}

    /** A band of even width along a stretch, which may begin and end a little outside it. */
    record Band(Path.Stretch along, double widthMm, double beforeMm, double afterMm) {}

    /** The line itself, arms of crossings included. */
    static List<Band> line(Path path, double lineWidthMm) {
        List<Band> bands = new ArrayList<>();
        double half = lineWidthMm / 2;
        for (Path.Stretch stretch : path.stretches()) {
            if (!stretch.leg().painted()) {
                continue;
            }
            // A corner is filled by running both of its legs on to the outer edge.
            double before = stretch.cornerBeforeRad() != 0 ? half : 0;
            double after = stretch.leg().cornerRad() != 0 ? half : 0;
            bands.add(new Band(stretch, lineWidthMm, before, after));
            if (stretch.part() instanceof Part.Crossing crossing && stretch.legOfPart() == 0) {
                Pose middle = stretch.at(stretch.lengthMm());
                double arm = crossing.armMm();
                bands.add(bar(middle.turned(Math.PI / 2).ahead(-arm), 2 * arm, lineWidthMm));
                if (crossing.way().sign() != 0) {
                    bands.add(bar(middle, arm, lineWidthMm));
                }
            }
        }
        return bands;
    }

    /** What is not line, in the order of painting. */
    record Patch(Outline.Kind kind, Surface surface, Band band) {}

    static List<Patch> patches(Path path, double lineWidthMm, Palette palette) {
        List<Patch> patches = new ArrayList<>();
        for (Path.Stretch stretch : path.stretches()) {
            Part part = stretch.part();
            if (part instanceof Part.EntryStrip) {
                patches.add(new Patch(Outline.Kind.ENTRY, palette.entry(), across(stretch)));
            } else if (part instanceof Part.StopStrip) {
                patches.add(new Patch(Outline.Kind.STOP, palette.stop(), across(stretch)));
            } else if (part instanceof Part.Crease) {
                patches.add(new Patch(Outline.Kind.CREASE, palette.crease(), across(stretch)));
            } else if (part instanceof Part.Crossing crossing && stretch.legOfPart() == 0) {
                addMarks(patches, stretch, crossing.marks(), lineWidthMm, palette.mark());
            }
        }
        return patches;
    }

    /** Squares in the corners. */
    private static void addMarks(
            List<Patch> patches, Path.Stretch stretch, Part.Marks marks, double lineWidthMm, Surface mark) {
        double size = Spacing.MARK_WIDTHS * lineWidthMm;
        Pose middle = stretch.at(stretch.lengthMm());
        for (int side = -1; side <= 1; side += 2) {
            double left = side * (lineWidthMm + size) / 2;
            if (marks.before().has(side > 0)) {
                Pose start = middle.offset(-lineWidthMm / 2 - size, left);
                patches.add(new Patch(Outline.Kind.MARK, mark, bar(start, size, size)));
            }
            if (marks.behind().has(side > 0)) {
                patches.add(new Patch(Outline.Kind.MARK, mark, bar(middle.offset(lineWidthMm / 2, left), size, size)));
            }
        }
    }

    private static Band across(Path.Stretch stretch) {
        return new Band(stretch, 2 * STRIP_HALF_MM, 0, 0);
    }

    private static Band bar(Pose start, double lengthMm, double widthMm) {
        Part straight = new Part.Straight(lengthMm);
        return new Band(new Path.Stretch(start, 0, straight, 0, straight.legs().get(0), 0), widthMm, 0, 0);
    }
}
