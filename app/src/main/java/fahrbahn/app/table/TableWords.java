package fahrbahn.app.table;

import fahrbahn.app.season.Verdict;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.path.Part;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.raster.Surface;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.table.CourseFigures;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.LaidCourse;
import fahrbahn.words.Words;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** What a course amounts to, in words. */
final class TableWords {
    private TableWords() {}

    static final String NO_COLOURS =
            "No colour sensor captured. In Measure (3) capture dark, light, then mark, shiny or stop by name (G).";

    static String taken(String sensor, List<String> known) {
        return known.isEmpty()
                ? sensor + " has no capture named mark, shiny or stop. Capture them in Measure (3)."
                : "As " + sensor + " captured: " + String.join(", ", known) + ".";
    }

    static String painted(Palette.Painted painted) {
        return switch (painted) {
            case MARK -> "turn marks";
            case ENTRY -> "shiny strip";
            case STOP -> "stop strip";
        };
    }

    /** What a sensor makes of a colour, in shares of the way from ground to line. */
    static String seenAs(Palette palette, Surface surface, Polarity polarity) {
        return Arrays.stream(Channel.values())
                .map(c -> c.word() + " " + Words.percent(palette.contrast(surface, polarity, c)))
                .collect(Collectors.joining(", ", "looks like line to the sensor: ", "."));
    }

    static String crossing(Part.Crossing crossing) {
        String way = crossing.way() == Part.Turn.ROUND
                ? "turned around at"
                : "going " + crossing.way().word();
        Part.Marks marks = crossing.marks();
        String before = marks.before() == Part.Sides.NONE
                ? ""
                : ", marked " + marks.before().word() + " before";
        String behind = marks.behind() == Part.Sides.NONE
                ? ""
                : ", marked " + marks.behind().word() + " behind";
        return "crossing, " + way + before + behind;
    }

    static Verdict verdict(LaidCourse laid) {
        CourseFigures f = laid.figures();
        Draft on = laid.draft();
        Optional<String> problem = laid.problem();
        if (on.parts().isEmpty()) {
            return Verdict.open("An empty table of " + Words.number(on.widthMm()) + " x " + Words.number(on.heightMm())
                    + " mm. S adds a straight, B a bend.");
        }
        String amounts = on.name() + ": " + Words.number(f.lengthMm() / 1000) + " m long, "
                + Words.number(f.tapeMm() / 1000) + " m of tape, "
                + (Double.isInfinite(f.tightestRadiusMm())
                        ? "no bend"
                        : "tightest bend " + Words.millimetres(f.tightestRadiusMm()))
                + (f.gaps() == 0
                        ? ""
                        : ", " + Words.count(f.gaps(), "gap", "gaps") + " of up to "
                                + Words.millimetres(f.longestGapMm()))
                + (f.corners() == 0 ? "" : ", " + Words.count(f.corners(), "corner", "corners")) + ".";
        if (problem.isPresent()) {
            return Verdict.care(amounts + " " + problem.get() + ". Arrow keys select and change a piece.");
        } else {
            return Verdict.good(amounts + " N: Measure.");
        }
    }
}
