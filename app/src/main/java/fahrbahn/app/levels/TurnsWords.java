package fahrbahn.app.levels;

import fahrbahn.core.check.Rounding;
import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.path.Part;
import fahrbahn.core.response.Spacing;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.tuning.MarkTrial;
import fahrbahn.words.Words;
import java.util.Arrays;
import java.util.stream.Collectors;

/** Turn marks in sentences. */
final class TurnsWords {
    static final String OFF = "It does not look for marks. Choose 'turns by marks'.";

    private TurnsWords() {}

    static String place(TurnMarks.Place place) {
        return place == TurnMarks.Place.BEFORE ? "before the crossing" : "behind the crossing";
    }

    /** What is to be turned to, by where marks stand. */
    static String meaning(Part.Turn way) {
        return switch (way) {
            case LEFT -> "on the left";
            case RIGHT -> "on the right";
            case STRAIGHT -> "where it is ignored";
            case ROUND -> "on both sides";
        };
    }

    static String verdict(MarkTrial trial) {
        int runs = trial.met().stream().mapToInt(MarkTrial.Met::runs).sum();
        int right = trial.met().stream().mapToInt(MarkTrial.Met::right).sum();
        int through = trial.met().stream().mapToInt(MarkTrial.Met::through).sum();
        Completion chance = Completion.of(right, runs);
        String decides = "Simulated, it decides right at " + right + " of " + runs + " crossings ("
                + Words.percent(chance.low()) + " to " + Words.percent(chance.high()) + ")";
        return through == right
                ? decides + " and finds the line again each time."
                : decides + "; at " + (right - through)
                        + " of them it loses the line: change how far ahead, or the quarter turn.";
    }

    /** A length of time in all three units. */
    static String inAll(String name, Extent extent, Setup setup) {
        return name + " "
                + Arrays.stream(Extent.Unit.values())
                        .map(u -> Words.number(extent.in(u, setup).amount(), 3) + " " + u.word())
                        .collect(Collectors.joining(" = "));
    }

    /** As a coach would write it down. */
    static Extent rounded(Extent extent) {
        return new Extent(Rounding.significant(extent.amount(), 3), extent.unit());
    }

    static String extents(TurnMarks marks, Setup setup) {
        return inAll("Look back", marks.lookBack(), setup) + ". " + inAll("Blanking", marks.blank(), setup) + ", at "
                + Words.number(setup.speedMmPerS()) + " mm/s and a loop of "
                + Words.number(1000 * setup.robot().loop().periodS(), 3) + " ms.";
    }

    /** Where its eyes pass, and what colours they know. */
    static String eyes(TurnMarks marks, Setup setup) {
        Spacing spacing = Spacing.of(setup);
        double best = (spacing.markInnerMm() + spacing.markOuterMm()) / 2;
        String passes = setup.markSensors().stream()
                .map(s -> Words.millimetres(Math.abs(s.leftMm())))
                .distinct()
                .collect(Collectors.joining(" and "));
        boolean off = setup.markSensors().stream()
                .anyMatch(s -> Math.abs(s.leftMm()) < spacing.markInnerMm() + s.spotSigmaMm()
                        || Math.abs(s.leftMm()) > spacing.markOuterMm() - s.spotSigmaMm());
        return "Its mark sensors pass " + passes + " beside the robot's middle; marks of the usual size stand from "
                + Words.millimetres(spacing.markInnerMm()) + " to " + Words.millimetres(spacing.markOuterMm())
                + " beside the line's" + (off ? ": move them to " + Words.millimetres(best) + " (Robot, 1). " : ". ")
                + "It knows "
                + marks.colours().known().stream()
                        .map(ColourRule.Known::surface)
                        .collect(Collectors.joining(", "))
                + "; '" + marks.mark() + "' is the turn mark.";
    }
}
