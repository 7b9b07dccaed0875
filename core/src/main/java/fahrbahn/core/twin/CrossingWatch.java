package fahrbahn.core.twin;

import fahrbahn.core.law.MarkTurns;
import fahrbahn.core.path.CrossingPlace;
import fahrbahn.core.path.Part;
import fahrbahn.core.setup.TurnMarks;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Compares what a program decides at crossings with what the course has there. Does something at a decision only. */
final class CrossingWatch {
    private final List<CrossingPlace> places;
    private final TurnMarks.Place looks;
    private final MarkTurns turns;
    private final CrossingPass[] passes;
    private final List<CrossingPass> elsewhere = new ArrayList<>();
    private int known;
    private boolean roundEnds;

    CrossingWatch(List<CrossingPlace> places, TurnMarks.Place looks, MarkTurns turns) {
        this.places = places;
        this.looks = looks;
        this.turns = turns;
        passes = new CrossingPass[places.size()];
    }

    boolean undecided() {
        return turns.decisions() != known;
    }

    /** Takes down the latest decision. @param sMm where the law's point was */
    void takeDown(double sMm) {
        known = turns.decisions();
        Part.Turn decided = sides().meaning();
        for (int i = 0; i < places.size(); i++) {
            CrossingPlace place = places.get(i);
            if (Math.abs(sMm - place.middleMm()) <= place.crossing().armMm()) {
                if (passes[i] == null) {
                    passes[i] = judged(i + 1, place, decided);
                    roundEnds |= decided == Part.Turn.ROUND && place.crossing().way() == Part.Turn.ROUND;
                }
                return;
            }
        }
        elsewhere.add(pass(0, sMm, Part.Turn.STRAIGHT, decided, CrossingPass.Cause.IMAGINED, turns.counted(true)));
    }

    /** Whether the robot is to turn round where the course ends with that. */
    boolean turnsRoundAtEnd() {
        return roundEnds && !turns.turning();
    }

    private Part.Sides sides() {
        boolean left = turns.counted(true);
        boolean right = turns.counted(false);
        return left && right ? Part.Sides.BOTH : left ? Part.Sides.LEFT : right ? Part.Sides.RIGHT : Part.Sides.NONE;
    }

    private CrossingPass judged(int number, CrossingPlace place, Part.Turn decided) {
        Part.Crossing crossing = place.crossing();
        double s = place.middleMm();
        if (decided == crossing.way()) {
            return pass(number, s, crossing.way(), decided, CrossingPass.Cause.NONE, true);
        }
        Part.Sides there = looks == TurnMarks.Place.BEFORE
                ? crossing.marks().before()
                : crossing.marks().behind();
        for (boolean onLeft : new boolean[] {true, false}) {
            if (turns.counted(onLeft) && !there.has(onLeft)) {
                return pass(number, s, crossing.way(), decided, CrossingPass.Cause.IMAGINED, onLeft);
            }
        }
        if (there.meaning() != crossing.way()) {
            return pass(number, s, crossing.way(), decided, CrossingPass.Cause.NO_MARK, true);
        }
        boolean onLeft = there.has(true) && !turns.counted(true);
        return pass(number, s, crossing.way(), decided, missed(onLeft), onLeft);
    }

    private CrossingPass.Cause missed(boolean onLeft) {
        if (turns.since(onLeft) < Double.POSITIVE_INFINITY) {
            return CrossingPass.Cause.TOO_LONG_AGO;
        }
        if (turns.longestRun(onLeft) > 0) {
            return CrossingPass.Cause.TOO_FEW_READS;
        }
        return turns.passedWhileBlind() ? CrossingPass.Cause.BLIND : CrossingPass.Cause.NEVER_READ;
    }

    private CrossingPass pass(
            int number, double sMm, Part.Turn way, Part.Turn decided, CrossingPass.Cause cause, boolean onLeft) {
        return new CrossingPass(
                number, sMm, way, Optional.of(decided), cause, onLeft, turns.longestRun(onLeft), turns.since(onLeft));
    }

    /** @param reachedMm how far the law's point came */
    List<CrossingPass> passes(double reachedMm) {
        List<CrossingPass> all = new ArrayList<>();
        for (int i = 0; i < passes.length; i++) {
            CrossingPlace place = places.get(i);
            if (passes[i] != null) {
                all.add(passes[i]);
            } else if (reachedMm > place.middleMm()) {
                all.add(new CrossingPass(
                        i + 1,
                        place.middleMm(),
                        place.crossing().way(),
                        Optional.empty(),
                        CrossingPass.Cause.CROSSING_UNNOTICED,
                        true,
                        0,
                        Double.POSITIVE_INFINITY));
            }
        }
        all.addAll(elsewhere);
        return List.copyOf(all);
    }
}
