package fahrbahn.app.runs.report;

import fahrbahn.core.statistics.Completion;
import fahrbahn.core.trials.Stretch;
import fahrbahn.words.CauseWords;
import fahrbahn.words.RunWords;
import fahrbahn.words.Words;
import java.util.List;
import java.util.function.UnaryOperator;

/** The season of a robot in words. */
public final class SeasonWords {
    private SeasonWords() {}

    public static String verdict(List<Stretch> all) {
        if (all.isEmpty()) {
            return "No runs on a table yet.";
        }
        long better =
                all.stream().filter(s -> s.since() == Stretch.Change.BETTER).count();
        long worse = all.stream().filter(s -> s.since() == Stretch.Change.WORSE).count();
        int runs = all.stream().mapToInt(s -> s.runs().size()).sum();
        String sentence = Words.count(runs, "run", "runs") + " in " + Words.count(all.size(), "stretch", "stretches")
                + " with the same settings. ";
        if (better + worse == 0) {
            return sentence + "No change made a clear difference.";
        }
        return sentence + times(all, Stretch.Change.BETTER, better) + " " + times(all, Stretch.Change.WORSE, worse);
    }

    private static String times(List<Stretch> all, Stretch.Change change, long times) {
        String how = change == Stretch.Change.BETTER ? "better" : "worse";
        if (times == 0) {
            return "It never got " + how + ".";
        }
        Stretch last = all.stream()
                .filter(s -> s.since() == change)
                .reduce((before, after) -> after)
                .orElseThrow();
        return "It got " + how + " " + Words.count(times, "time", "times") + ", last on "
                + RunWords.when(last.runs().get(0)) + ".";
    }

    public static String stretch(int number, Stretch stretch, UnaryOperator<String> venueName) {
        Completion sure = stretch.completion();
        String changed = stretch.changed().isEmpty()
                ? (stretch.since() == Stretch.Change.FIRST ? "the first runs" : "another sitting")
                : CauseWords.label(stretch.changed(), venueName);
        String time = stretch.timeS().n() == 0
                ? ""
                : ", " + Words.seconds(stretch.timeS().mean()) + " on average";
        return number + ". " + RunWords.when(stretch.runs().get(0)) + ", " + changed + ": finished " + sure.completed()
                + " of " + sure.runs() + time + since(stretch.since());
    }

    /** How sure the chance of a stretch is. */
    static String sure(Stretch stretch) {
        Completion sure = stretch.completion();
        return "Its chance is " + Words.percent(sure.low()) + " to " + Words.percent(sure.high()) + " (likely range).";
    }

    private static String since(Stretch.Change since) {
        return switch (since) {
            case FIRST -> ".";
            case BETTER -> ": better.";
            case WORSE -> ": worse.";
            case NOT_SHOWN -> "; no clear difference.";
            case ELSEWHERE -> "; another table, not comparable.";
        };
    }
}
