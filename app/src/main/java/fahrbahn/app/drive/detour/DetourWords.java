package fahrbahn.app.drive.detour;

import fahrbahn.app.drive.detour.DetourModel.Answer;
import fahrbahn.core.detour.Detour;
import fahrbahn.core.detour.DetourChoice;
import fahrbahn.core.detour.DetourTrial;
import fahrbahn.core.detour.DetourTrial.End;
import fahrbahn.core.setup.ObstacleMove;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.table.Standing;
import fahrbahn.words.Words;
import java.util.Optional;

/** Ways round an obstacle, in words. */
final class DetourWords {
    static final String DRIVING = "Simulating detours found by touch and by distance.";

    private DetourWords() {}

    static String verdict(Answer answer) {
        Optional<DetourTrial> touch = answer.touch().best();
        Optional<DetourTrial> distance = answer.distance().best();
        if (touch.isEmpty() && distance.isEmpty()) {
            return tooNear(answer);
        }
        if (touch.isEmpty() || distance.isEmpty()) {
            boolean byTouch = touch.isPresent();
            return way(answer.setup(), answer.of(byTouch)) + " " + tooNear(answer, !byTouch);
        }
        Completion a = touch.get().kept();
        Completion b = distance.get().kept();
        boolean touchWins = a.completed() > b.completed();
        boolean told = touchWins ? a.low() > b.high() : b.low() > a.high();
        String other = touchWins ? "by distance " + chance(b) : "by touch " + chance(a);
        String sentence = way(answer.setup(), answer.of(touchWins)) + " " + capital(other)
                + (told ? "." : ": no difference in " + a.runs() + " runs.");
        return sentence + cannotTurn(answer, true) + cannotTurn(answer, false);
    }

    /** Where its corners touch as it turns, though there would be an arc; nothing where they pass. */
    private static String cannotTurn(Answer answer, boolean byTouch) {
        double offMm = answer.approach(byTouch).usualStandOffMm(answer.setup());
        return offMm < answer.task().turnsFromMm() - answer.task().clearanceMm() ? " " + tooNear(answer, byTouch) : "";
    }

    private static String tooNear(Answer answer) {
        return "No arc keeps clear from there. " + tooNear(answer, true);
    }

    private static String tooNear(Answer answer, boolean byTouch) {
        String least = Words.number(answer.task().turnsFromMm(), 2) + " mm";
        return byTouch
                ? "After touch, back off further: its corners clear from " + least + " on."
                : "By distance, stop sooner: its corners clear from " + least + " on.";
    }

    private static String way(Setup setup, DetourChoice choice) {
        DetourTrial best = choice.best().orElseThrow();
        double[] commands = Detour.commands(setup, best.radiusMm());
        return "Found by " + choice.approach().word() + ": turn " + degrees(best.turnRad())
                + " to one side, then drive " + Words.number(commands[0], 3) + " outside and "
                + Words.number(commands[1], 3) + " inside until a sensor meets the line, "
                + Words.number(best.onMm(), 2) + " mm on and "
                + degrees(best.backRad()) + " back. It is on the line again in "
                + best.kept().completed() + " of " + best.kept().runs() + " runs round it (" + chance(best.kept())
                + ").";
    }

    static String chance(Completion kept) {
        return Words.percent(kept.low()) + " to " + Words.percent(kept.high());
    }

    static String degrees(double rad) {
        return Words.number(Math.toDegrees(rad), 2) + " degrees";
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** Where the obstacle comes from. */
    static String where(Optional<Standing> standing) {
        return standing.map(s -> "Obstacle on this table, " + Words.number(s.atMm() / 1000, 3) + " m along the line.")
                .orElse("No obstacle on this table; using the one typed here.");
    }

    /** Whether the program has a way round, and whether it is this one. */
    static String inProgram(Optional<ObstacleMove> has, Optional<ObstacleMove> shown) {
        if (has.isEmpty()) {
            return shown.isEmpty() ? "The program has no detour." : "The program has no detour. U: use this one.";
        }
        return has.equals(shown)
                ? "The program has this detour. X: remove it."
                : "The program has another detour. U: use this one, X: remove it.";
    }

    static String meets(DetourTrial trial) {
        if (trial.alongMm().n() == 0) {
            return "never";
        }
        return Words.number(trial.alongMm().mean(), 3) + " mm behind, ± "
                + Words.number(trial.alongMm().sd(), 2);
    }

    static String count(DetourTrial trial, End end) {
        return trial.count(end) + " of " + trial.runs();
    }

    static String end(End end) {
        return switch (end) {
            case RAN_INTO_IT -> "ran into it";
            case TOUCHED_IT -> "touched it on the way";
            case MISSED_THE_LINE -> "missed the line";
            case LOST_THE_LINE -> "met it, lost it";
            case KEPT_THE_LINE -> "on the line again";
        };
    }
}
