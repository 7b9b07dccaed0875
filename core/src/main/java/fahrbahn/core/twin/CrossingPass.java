package fahrbahn.core.twin;

import fahrbahn.core.path.Part;
import java.util.Optional;

/**
 * What a program that looks for turn marks made of one crossing of a run.
 *
 * @param number which crossing of the course, from 1; 0 where there is none and it took something for one
 * @param sMm where on the course: its middle, or where it decided
 * @param way the way the course goes there
 * @param decided what the program decided; empty when it noticed no crossing
 * @param cause why that was wrong
 * @param onLeft on which side the mark was missed or imagined
 * @param reads most reads in a row that showed a mark there
 * @param since how long before the crossing it was last believed, in the unit of the program's look back; infinite when never
 */
public record CrossingPass(
        int number,
        double sMm,
        Part.Turn way,
        Optional<Part.Turn> decided,
        Cause cause,
        boolean onLeft,
        int reads,
        double since) {
    /** Why a decision was wrong. */
    public enum Cause {
        /** It was not. */
        NONE,
        /** The two sensors were never over the line at once. */
        CROSSING_UNNOTICED,
        /** No mark tells the way where the program looks. */
        NO_MARK,
        /** Not one read showed the mark. */
        NEVER_READ,
        /** Not enough reads in a row. */
        TOO_FEW_READS,
        /** It was believed, but longer ago than the program looks back. */
        TOO_LONG_AGO,
        /** It was passed while nothing counted. */
        BLIND,
        /** A mark was believed where none counts. */
        IMAGINED
    }

    public boolean right() {
        return cause == Cause.NONE;
    }
}
