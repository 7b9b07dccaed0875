package fahrbahn.app.runs;

import fahrbahn.app.kit.Stopwatch;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.words.Words;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.setup.Aspect;
import fahrbahn.core.stopping.StopPlan;
import fahrbahn.core.table.Part;
import fahrbahn.core.table.PlaceOnCourse;
import fahrbahn.core.trials.Completion;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Pool;
import fahrbahn.core.trials.Run;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.ObservableList;

/** The log book, and how sure the runs with the settings of now are. */
public final class RunsModel extends StationModel {
    /** Ten out of ten is sure to three quarters; below half nobody should rely on it. */
    private static final double RELIABLE = 0.5;

    private final Supplier<Map<Constant, Double>> known;
    private final Stopwatch watch;
    private final ReadOnlyStringWrapper logged = new ReadOnlyStringWrapper("");
    private final ReadOnlyObjectWrapper<Stops> stops;
    private List<Run> counted = List.of();
    private String last = "";

    /** @param watch for runs and laps */
    public RunsModel(Season season, Supplier<Map<Constant, Double>> known, Stopwatch watch) {
        super(season);
        this.watch = watch;
        watch.count(Stopwatch.Counting.LAPS);
        this.known = known;
        this.stops = new ReadOnlyObjectWrapper<>(Stops.of(List.of(), windowMm()));
        season.choices().stopProperty().addListener(o -> stops.set(Stops.of(counted, windowMm())));
    }

    /** Where the runs that count together stopped. */
    ReadOnlyObjectProperty<Stops> stopsProperty() {
        return stops.getReadOnlyProperty();
    }

    private StopPlan plan() {
        return season.choices().stopProperty().get().orElse(StopPlan.USUAL);
    }

    private double windowMm() {
        return plan().windowMm();
    }

    /** @param mm to each side, in which the attachment works; above 0 */
    void changeWindow(double mm) {
        season.choices().planStop(new StopPlan(plan().sensing(), mm));
    }

    public Stopwatch watch() {
        return watch;
    }

    /** Oldest first. */
    public ObservableList<Run> runs() {
        return season.runs();
    }

    /** A run as it was typed; what nobody measured is empty. @param lostAt the number or the name of a part, or how far along */
    public record Typed(String time, String along, String across, String lostAt, String note) {}

    /** One of which only the time was taken, or not even that. @throws BadValueException when it is no time */
    public void logTyped(boolean completed, String time, String note) {
        logTyped(completed, new Typed(time, "", "", "", note));
    }

    /** Logs it. @throws BadValueException naming what is no number, no time or no place */
    public void logTyped(boolean completed, Typed typed) {
        double timeS = number("the time", typed.time(), "seconds above 0, or empty");
        if (timeS <= 0) {
            throw new BadValueException("the time", "'" + typed.time() + "'", "seconds above 0, or empty");
        }
        double along =
                number("the stop place along", typed.along(), "mm beyond its place, negative before it, or empty");
        double across =
                number("the stop place across", typed.across(), "mm to the left, negative to the right, or empty");
        Outcome outcome = Outcome.of(completed, timeS).withStop(along, across);
        if (!completed && !typed.lostAt().isBlank()) {
            outcome = outcome.withLostMm(lostMm(typed.lostAt()));
        }
        log(outcome, typed.note().strip());
    }

    private static double number(String what, String typed, String rule) {
        if (typed.isBlank()) {
            return Double.NaN;
        }
        return Words.parse(typed).orElseThrow(() -> new BadValueException(what, "'" + typed.strip() + "'", rule));
    }

    private double lostMm(String lostAt) {
        boolean mat = season.matProperty().get().isPresent();
        List<Part> parts = mat ? List.of() : season.laidCourse().draft().parts();
        return PlaceOnCourse.mm(parts, lostAt)
                .orElseThrow(() -> new BadValueException(
                        "where it was lost",
                        "'" + lostAt.strip() + "'",
                        parts.isEmpty()
                                ? "how far along, as in '1.2 m'"
                                : "the number of a part of the table, 1 to " + parts.size()
                                        + ", its name as in 'bend 2', or how far along as in '1.2 m'"));
    }

    /**
     * Logs a run of the robot on the table, made with the settings of now.
     *
     * @param timeS above 0, or NaN when nobody timed it
     */
    public void logTableRun(boolean completed, double timeS, String note) {
        log(Outcome.of(completed, timeS), note);
    }

    private void log(Outcome outcome, String note) {
        String id = UUID.randomUUID().toString();
        season.logRun(new Run(
                id,
                Run.Source.TABLE,
                season.handProperty().get().robot(),
                season.basisNow().withKnown(known.get()),
                outcome,
                note));
        last = id;
        logged.set("Logged: run " + season.runs().size() + ", " + (outcome.completed() ? "ran" : "lost")
                + (Double.isNaN(outcome.timeS()) ? "" : ", " + Words.hundredths(outcome.timeS()) + " s"));
    }

    /** What was logged last in this sitting, in words; empty when nothing was, or when it was taken back. */
    public ReadOnlyStringProperty loggedProperty() {
        return logged.getReadOnlyProperty();
    }

    /** Takes back what was logged last, if it is the newest run still. */
    public void takeBack() {
        int newest = season.runs().size() - 1;
        if (newest >= 0 && season.runs().get(newest).id().equals(last)) {
            season.takeBackRun(season.runs().get(newest));
        }
        last = "";
        logged.set("");
    }

    /**
     * Takes the runs that count together, as they were judged.
     *
     * @param source who made them
     */
    public void count(Run.Source source, Pool pool) {
        counted = pool.runs();
        stops.set(Stops.of(counted, windowMm()));
        say(
                season.runs().isEmpty()
                        ? Verdict.open(
                                "No runs yet. Keep one from Drive (6) with K, or after a run on the table press R (ran) or X"
                                        + " (lost).")
                        : verdict(source, pool));
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
