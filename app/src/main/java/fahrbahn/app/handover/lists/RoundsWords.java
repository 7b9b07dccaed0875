package fahrbahn.app.handover.lists;

import fahrbahn.core.statistics.Completion;
import fahrbahn.core.trials.Run;
import fahrbahn.words.RunWords;
import fahrbahn.words.Words;
import java.util.List;

/** What is said round by round. */
final class RoundsWords {
    private RoundsWords() {}

    static String next(int number, boolean quiet) {
        return quiet
                ? "Round " + number + " comes. Nothing to do until then."
                : "Round " + number + ": R finished, X lost.";
    }

    static String soFar(List<Run> rounds) {
        if (rounds.isEmpty()) {
            return "No round yet today.";
        }
        int ran = (int) rounds.stream().filter(r -> r.outcome().completed()).count();
        Completion sure = Completion.of(ran, rounds.size());
        return ran + " of " + Words.count(rounds.size(), "round", "rounds") + " finished: too few to be sure, "
                + Words.percent(sure.low()) + " to " + Words.percent(sure.high()) + ".";
    }

    static String line(Run run) {
        String words = run.note();
        return "Round " + RoundsModel.number(run) + ", " + RunWords.when(run) + ": " + RunWords.outcome(run)
                + (words.isEmpty() ? "" : ", " + words);
    }
}
