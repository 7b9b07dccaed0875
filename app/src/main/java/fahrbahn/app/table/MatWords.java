package fahrbahn.app.table;

import fahrbahn.app.season.Verdict;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.mat.Traced;
import fahrbahn.words.Words;

/** What a mat amounts to, and what to do with it next. */
final class MatWords {
    private MatWords() {}

    /** What was found, in one sentence. */
    static String of(Traced line) {
        return (line.closed() ? "A closed" : "An open") + " line of " + Words.number(line.lengthMm() / 1000) + " m, "
                + Words.millimetres(line.widthMm()) + " wide, "
                + (Double.isInfinite(line.tightestRadiusMm())
                        ? "without a bend"
                        : "tightest bend " + Words.millimetres(Math.rint(line.tightestRadiusMm())))
                + (line.gapsMm().isEmpty()
                        ? ""
                        : ", " + Words.count(line.gapsMm().size(), "gap", "gaps"))
                + (line.corners().isEmpty()
                        ? ""
                        : ", " + Words.count(line.corners().size(), "corner", "corners"))
                + (line.crossings() == 0 ? "" : ", " + Words.count(line.crossings(), "crossing", "crossings"))
                + ".";
    }

    static String hint(MatSheet mat) {
        if (mat.lineRgb().isEmpty()) {
            return "Pick the line on the picture.";
        }
        return mat.groundRgb().isEmpty() ? "Pick the background beside the line." : "Pick where the line starts.";
    }

    /** @param lineWidthMm what the robot is set up for */
    static Verdict verdict(MatSheet mat, double lineWidthMm) {
        String size =
                mat.name() + ", " + Words.number(mat.widthMm()) + " x " + Words.millimetres(mat.heightMm()) + ". ";
        if (mat.traced().isEmpty()) {
            return Verdict.open(size + hint(mat) + " Arrows move the cross-hair, Enter picks.");
        }
        Traced line = mat.traced().get();
        String found = mat.name() + ": " + of(line);
        if (!mat.sized()) {
            return Verdict.care(found + " Picture has no size. Type the mat's width (F5).");
        }
        return Math.abs(line.widthMm() - lineWidthMm) > 0.15 * lineWidthMm
                ? Verdict.care(found + " The robot is set up for a line of " + Words.millimetres(lineWidthMm)
                        + ": change its line width in Robot (1).")
                : Verdict.good(found + " N: Measure.");
    }
}
