package fahrbahn.app.runs;

import fahrbahn.app.errand.Errands;
import fahrbahn.app.kit.Stopwatch;
import fahrbahn.app.live.LiveModel;
import fahrbahn.app.runs.compare.CompareModel;
import fahrbahn.app.runs.plan.PlanModel;
import fahrbahn.app.runs.stops.StopsModel;
import fahrbahn.app.season.Club;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.state.State;
import fahrbahn.core.difference.Aspect;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.table.Ground;
import fahrbahn.core.trials.Pool;
import fahrbahn.core.trials.Run;
import fahrbahn.words.Words;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.collections.ObservableList;

/** How sure the runs with the settings of now are; the models of the log book's pages. */
public final class RunsModel extends StationModel {
    /** Ten out of ten is sure to three quarters; below half nobody should rely on it. */
    private static final double RELIABLE = 0.5;

    private final QuickLog log;
    private final StopsModel stops;
    private final BookModel book;
    private final CompareModel compare;
    private final PlanModel plan;
    private Optional<Counting> counting = Optional.empty();

    /** Runs that count together, and who made them. */
    private record Counting(Run.Source source, Pool pool) {}

    /** @param watch for runs and laps */
    public RunsModel(
            Season season,
            Supplier<Map<Constant, Double>> known,
            Supplier<Optional<Ground>> tableInHand,
            Supplier<Optional<String>> nextTrial,
            Stopwatch watch,
            LiveModel live,
            State state) {
        super(season);
        Errands errands = state.errands();
        this.log = new QuickLog(season, known, tableInHand, watch, live, errands);
        this.stops = new StopsModel(season, state);
        this.book = new BookModel(season, log, state);
        this.compare = new CompareModel(season, state);
        this.plan = new PlanModel(season, nextTrial, errands);
        headline(this::verdict);
    }

    /** Logging at the table. */
    public QuickLog log() {
        return log;
    }

    StopsModel stops() {
        return stops;
    }

    public BookModel book() {
        return book;
    }

    public CompareModel compare() {
        return compare;
    }

    public PlanModel plan() {
        return plan;
    }

    Club club() {
        return season.club();
    }

    /** Oldest first. */
    public ObservableList<Run> runs() {
        return season.runs();
    }

    /**
     * Takes the runs that count together, as they were judged.
     *
     * @param source who made them
     */
    public void count(Run.Source source, Pool pool) {
        counting = Optional.of(new Counting(source, pool));
        stops.count(pool.runs());
    }

    private Verdict verdict() {
        if (season.runs().isEmpty()) {
            return Verdict.open(
                    "No runs yet. Keep one from Drive (6) with K, or after a run on the table press R (ran) or X (lost).");
        }
        return counting.map(now -> verdict(now.source(), now.pool())).orElseGet(() -> Verdict.open(""));
    }

    private Verdict verdict(Run.Source source, Pool pool) {
        String who = source == Run.Source.TWIN ? "the twin" : "the robot";
        if (pool.runs().isEmpty()) {
            return Verdict.open("None of the "
                    + Words.count(season.runs().size(), "run", "runs") + " was made by " + who
                    + " as things stand now" + apart(pool) + ". Run once more and press R (ran) or X (lost).");
        }
        Completion sure = pool.completion();
        String sentence = "As things stand now " + who + " completed " + sure.completed() + " of "
                + Words.count(sure.runs(), "run", "runs") + ": the chance is between " + Words.percent(sure.low())
                + " and " + Words.percent(sure.high()) + " (95 % sure)" + apart(pool) + "."
                + (source == Run.Source.TWIN
                        ? " These differ by sensor noise alone: the real robot's chance may well be lower."
                        : "");
        if (sure.low() >= RELIABLE) {
            return Verdict.good(sentence + " R or X logs the next.");
        }
        return sure.completed() == sure.runs()
                ? Verdict.care(
                        sentence + " Run " + sure.moreForLow(RELIABLE) + " more to be sure of half: R logs each.")
                : Verdict.care(sentence + " R or X logs the next.");
    }

    /** What sets the other runs apart, the commonest first. */
    private static String apart(Pool pool) {
        if (pool.leftOut().isEmpty()) {
            return "";
        }
        return "; left out for another "
                + pool.leftOut().entrySet().stream()
                        .sorted(Map.Entry.<Aspect, Integer>comparingByValue().reversed())
                        .limit(3)
                        .map(e -> e.getKey().word() + " " + e.getValue())
                        .collect(Collectors.joining(", "));
    }
}
