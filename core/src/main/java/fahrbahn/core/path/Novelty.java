package fahrbahn.core.path;

import java.util.ArrayList;
import java.util.List;

/** Up to where a path brings anything new: bends as tight and as long, gaps as long, corners and the rest the same have come before. */
public final class Novelty {
    /** A bend this much tighter, or a gap this much longer, is new. */
    private static final double HARDER = 1.15;

    /** One this much shorter shows as much. */
    private static final double SHORTER = 0.7;

    private Novelty() {}

    /** Place along the path, mm, after which all has been met before; its whole length when the last part is new. */
    public static double untilMm(Path path) {
        List<Path.Stretch> met = new ArrayList<>();
        double until = 0;
        for (Path.Stretch stretch : path.stretches()) {
            if (met.stream().noneMatch(earlier -> shows(earlier, stretch))) {
                until = stretch.startMm() + stretch.lengthMm();
            }
            met.add(stretch);
        }
        return until;
    }

    private static boolean shows(Path.Stretch earlier, Path.Stretch later) {
        if (later.curvaturePerMm() != 0) {
            return earlier.curvaturePerMm() * later.curvaturePerMm() > 0
                    && HARDER * Math.abs(earlier.curvaturePerMm()) >= Math.abs(later.curvaturePerMm())
                    && angle(earlier) >= SHORTER * angle(later);
        }
        if (later.part() instanceof Part.Straight) {
            return earlier.part() instanceof Part.Straight;
        }
        if (later.part() instanceof Part.Gap gap) {
            return earlier.part() instanceof Part.Gap before && HARDER * before.lengthMm() >= gap.lengthMm();
        }
        return earlier.part().equals(later.part()) && earlier.legOfPart() == later.legOfPart();
    }

    private static double angle(Path.Stretch stretch) {
        return Math.abs(stretch.curvaturePerMm()) * stretch.lengthMm();
    }
}
