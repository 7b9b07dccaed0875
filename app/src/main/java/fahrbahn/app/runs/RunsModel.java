package fahrbahn.app.runs;

import fahrbahn.app.season.Freshness;
import fahrbahn.app.season.SeasonModel;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.words.Words;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.SetupDifference;
import fahrbahn.core.trials.Completion;
import fahrbahn.core.trials.RunRecord;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import javafx.beans.InvalidationListener;
import javafx.collections.ObservableList;

/** The log book, and how sure the runs with the settings of now are. */
public final class RunsModel extends StationModel {
    /** Ten out of ten is sure to three quarters; below half nobody should rely on it. */
    private static final double RELIABLE = 0.5;

    private final SeasonModel season;
    private final Clock clock;

    public RunsModel(SeasonModel season, Clock clock) {
        this.season = season;
        this.clock = clock;
        season.runs().addListener((InvalidationListener) o -> update());
        season.setupProperty().addListener(o -> update());
        update();
    }

    public SeasonModel season() {
        return season;
    }

    /** Oldest first. */
    public ObservableList<RunRecord> runs() {
        return season.runs();
    }

    /**
     * Logs a run of the robot on the table, made with the settings of now.
     *
     * @param timeS above 0, or NaN when nobody timed it
     */
    public void logTableRun(boolean completed, double timeS, String note) {
        season.logRun(new RunRecord(
                UUID.randomUUID().toString(),
                clock.instant(),
                RunRecord.Source.TABLE,
                "table",
                season.setupOrGuess(),
                new RunRecord.Outcome(completed, timeS, Double.NaN),
                note));
    }

    private void update() {
        List<RunRecord> all = season.runs();
        if (all.isEmpty()) {
            say(
                    Verdict.open(
                            "No runs yet. Keep one from Drive with K, or after a run on the table press R (ran) or X (lost)."),
                    Freshness.missing("no runs"));
            return;
        }
        Setup now = season.setupOrGuess();
        RunRecord last = all.get(all.size() - 1);
        List<RunRecord> same = all.stream()
                .filter(run -> run.source() == last.source())
                .filter(run -> SetupDifference.between(run.setup(), now).isEmpty())
                .toList();
        String who = last.source() == RunRecord.Source.TWIN ? "the twin" : "the robot";
        if (same.isEmpty()) {
            say(
                    Verdict.open("None of the " + Words.count(all.size(), "run", "runs") + " was made by " + who
                            + " with the settings of now. Run once more."),
                    Freshness.of(SetupDifference.between(last.setup(), now)));
            return;
        }
        int completed =
                (int) same.stream().filter(run -> run.outcome().completed()).count();
        Completion sure = Completion.of(completed, same.size());
        String sentence = "With the settings of now " + who + " completed " + completed + " of "
                + Words.count(same.size(), "run", "runs") + ": the chance is between " + Words.percent(sure.low())
                + " and "
                + Words.percent(sure.high()) + " (95 % sure)."
                + (last.source() == RunRecord.Source.TWIN
                        ? " These differ by sensor noise alone: the real robot's chance may well be lower."
                        : "");
        Verdict verdict = sure.low() >= RELIABLE
                ? Verdict.good(sentence)
                : completed == same.size()
                        ? Verdict.care(sentence + " Run " + moreRuns(same.size()) + " more to be sure of half.")
                        : Verdict.care(sentence);
        say(verdict, Freshness.FRESH);
    }

    /** Further completed runs until the lower end passes the mark. */
    private static int moreRuns(int sofar) {
        int more = 1;
        while (Completion.of(sofar + more, sofar + more).low() < RELIABLE) {
            more++;
        }
        return more;
    }
}
