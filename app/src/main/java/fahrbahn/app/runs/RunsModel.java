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

    private static final String NEXT = " R or X logs the next.";

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
            return Verdict.open("No runs yet. After a run press R (finished) or X (lost).");
        }
        return counting.map(now -> verdict(now.source(), now.pool())).orElseGet(() -> Verdict.open(""));
    }

    private Verdict verdict(Run.Source source, Pool pool) {
        String who = source == Run.Source.TWIN ? "the simulation" : "the robot";
        if (pool.runs().isEmpty()) {
            return Verdict.open("No runs yet with these settings" + apart(pool) + ". Run, then press R or X.");
        }
        Completion sure = pool.completion();
        String sentence = "With these settings " + who + " finished " + sure.completed() + " of "
                + Words.count(sure.runs(), "run", "runs") + ": likely " + Words.percent(sure.low())
                + " to " + Words.percent(sure.high()) + apart(pool) + "."
                + (source == Run.Source.TWIN ? " Only sensor noise differs: the real chance may be lower." : "");
        if (sure.low() >= RELIABLE) {
            return Verdict.good(sentence + NEXT);
        }
        return sure.completed() == sure.runs()
                ? Verdict.care(
                        sentence + " Run " + sure.moreForLow(RELIABLE) + " more to be sure of half: R logs each.")
                : Verdict.care(sentence + NEXT);
    }

    /** What sets the other runs apart, the commonest first. */
    private static String apart(Pool pool) {
        if (pool.leftOut().isEmpty()) {
            return "";
        }
        return "; older runs: other "
                + pool.leftOut().entrySet().stream()
                        .sorted(Map.Entry.<Aspect, Integer>comparingByValue().reversed())
                        .limit(3)
                        .map(e -> e.getKey().word() + " " + e.getValue())
                        .collect(Collectors.joining(", "));
    }
}
