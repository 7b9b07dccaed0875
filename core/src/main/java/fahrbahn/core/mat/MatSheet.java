package fahrbahn.core.mat;

import fahrbahn.core.check.Check;
import java.util.Optional;

/**
 * A mat as the season keeps it: which picture, how large it is, and what has been pointed at.
 *
 * @param picture identifier of the picture it is printed from
 * @param columns pixels of that picture
 * @param rows likewise
 * @param widthMm of the whole mat
 * @param sized whether the file or the coach said the size
 * @param lineRgb colour of the line, once pointed at
 * @param groundRgb colour of the ground, likewise
 * @param traced the line, once followed
 */
public record MatSheet(
        String name,
        String picture,
        int columns,
        int rows,
        double widthMm,
        boolean sized,
        Optional<Integer> lineRgb,
        Optional<Integer> groundRgb,
        Optional<Traced> traced) {
    public MatSheet {
        Check.text("name", name, "the mat's name");
        Check.require(columns > 0 && rows > 0, "picture", (double) columns * rows, "at least one pixel");
        Mat.checkWidth(widthMm);
    }

    public double heightMm() {
        return widthMm * rows / columns;
    }

    /** Side of a pixel. */
    public double pixelMm() {
        return widthMm / columns;
    }

    public MatSheet withName(String newName) {
        return new MatSheet(newName, picture, columns, rows, widthMm, sized, lineRgb, groundRgb, traced);
    }

    /** Another size: the line has to be followed anew. */
    public MatSheet withWidthMm(double newWidthMm) {
        return new MatSheet(name, picture, columns, rows, newWidthMm, true, lineRgb, groundRgb, Optional.empty());
    }

    public MatSheet withLineRgb(int rgb) {
        return new MatSheet(
                name, picture, columns, rows, widthMm, sized, Optional.of(rgb), groundRgb, Optional.empty());
    }

    public MatSheet withGroundRgb(int rgb) {
        return new MatSheet(name, picture, columns, rows, widthMm, sized, lineRgb, Optional.of(rgb), Optional.empty());
    }

    public MatSheet withTraced(Traced line) {
        return new MatSheet(name, picture, columns, rows, widthMm, sized, lineRgb, groundRgb, Optional.of(line));
    }
}
