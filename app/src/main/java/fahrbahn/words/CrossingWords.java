package fahrbahn.words;

import fahrbahn.core.path.Part;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.twin.CrossingPass;
import java.util.List;

/** What a program made of crossings, in words. */
public final class CrossingWords {
    private CrossingWords() {}

    public static String way(Part.Turn way) {
        return switch (way) {
            case LEFT -> "left";
            case RIGHT -> "right";
            case STRAIGHT -> "straight on";
            case ROUND -> "round";
        };
    }

    /** What went wrong at the crossings of a run; empty when nothing did. */
    public static String wrong(List<CrossingPass> passes, TurnMarks marks) {
        return passes.stream()
                .filter(p -> !p.right())
                .findFirst()
                .map(p -> (p.number() == 0 ? "Away from any crossing" : "At crossing " + p.number()) + " it "
                        + p.decided().map(d -> "went " + way(d)).orElse("noticed nothing")
                        + (p.number() == 0 ? "" : " instead of " + way(p.way())) + ": " + cause(p, marks) + ".")
                .orElse("");
    }

    /** Why, and what to do. */
    public static String cause(CrossingPass pass, TurnMarks marks) {
        String side = pass.onLeft() ? "left" : "right";
        return switch (pass.cause()) {
            case NONE -> "right";
            case CROSSING_UNNOTICED ->
                "its two mark sensors were never over the line at once: too far apart, or ignored";
            case NO_MARK ->
                "no mark " + (marks.place() == TurnMarks.Place.BEFORE ? "before" : "behind")
                        + " it, where the program looks";
            case NEVER_READ ->
                "the " + side + " sensor never read the mark: it passes beside it, or misreads its colour";
            case TOO_FEW_READS ->
                "only " + Words.count(pass.reads(), "read", "reads") + " in a row of the " + marks.reads()
                        + " it asks for showed the mark on the " + side + ": drive slower, or ask for fewer readings";
            case TOO_LONG_AGO ->
                "the mark on the " + side + " was last seen " + Words.number(pass.since(), 3) + " "
                        + marks.lookBack().unit().word() + " before it, and the look back is "
                        + Words.number(marks.lookBack().amount(), 3);
            case BLIND -> "the mark on the " + side + " was passed while marks are ignored: shorten that time";
            case IMAGINED ->
                "it took a mark on the " + side + " where none counts: capture the edge, or ask for more readings";
        };
    }
}
