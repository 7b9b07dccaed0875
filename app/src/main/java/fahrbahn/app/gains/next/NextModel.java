package fahrbahn.app.gains.next;

import fahrbahn.app.errand.RefusedException;
import fahrbahn.app.gains.choice.GainChoice;
import fahrbahn.app.kit.Stopwatch;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Document;
import fahrbahn.app.state.State;
import fahrbahn.core.belief.Candidate;
import fahrbahn.core.belief.Learnt;
import fahrbahn.core.belief.Prior;
import fahrbahn.core.belief.Story;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.belief.Wish;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.measuring.Taps;
import fahrbahn.core.next.NextTrial;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.trials.Run;
import fahrbahn.core.tuning.race.Goal;
import fahrbahn.store.document.Kinds;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/**
 * The ladder so far and the next trial. Trials are runs of the log book: those of this robot as it is, gains and speed aside, on the table in hand,
 * of which was said what was seen, of the last day. While practising, a hidden robot makes them, and nothing goes into the log book.
 */
public final class NextModel {
    /** The same story gets the same answer. */
    private static final long SEED = 1;

    private static final Duration EVENING = Duration.ofHours(24);

    private final Season season;
    private final Document<Wish> wish;
    private final Supplier<Optional<Ground>> tableInHand;
    private final Supplier<Map<Constant, Double>> known;
    private final GainChoice gains;
    private final Stopwatch watch;
    private final Derived<Answer> answer;
    private final Practice practice;
    private final Consumer<String> tell;
    private double alongMm = Double.NaN;

    private record Evening(Setup setup, Prior prior, Ground ground, Goal goal, int left, List<Trial> trials) {
        Answer next(Job job) {
            Story story = new Story(setup, prior, ground, goal, left, trials);
            NextTrial next = NextTrial.of(story, SEED, Workers.all(), job);
            Story before = new Story(setup, prior, ground, goal, left, List.of());
            return new Answer(story, next, trials.isEmpty() ? next : NextTrial.of(before, SEED, Workers.all(), job));
        }
    }

    /** What is tried next after a story, and what the belief was before any of it. */
    public record Answer(Story story, NextTrial next, NextTrial first) {}

    public NextModel(
            Season season,
            Supplier<Optional<Ground>> tableInHand,
            Supplier<Map<Constant, Double>> known,
            GainChoice gains,
            Stopwatch watch,
            State state) {
        this.season = season;
        this.wish = season.state().document(Kinds.WISH, () -> Wish.USUAL);
        this.tableInHand = tableInHand;
        this.known = known;
        this.gains = gains;
        this.watch = watch;
        this.tell = state.errands().tell();
        this.practice = new Practice(season, tableInHand, state);
        this.answer = state.derive(
                "The next trial",
                () -> new Evening(setup(), prior(), table(), goal(), left(), trials()),
                Evening::next);
    }

    /** What is next for the robot in hand on the table in hand, after all its trials. */
    public Derived<Answer> answer() {
        return answer;
    }

    private Ground table() {
        return tableInHand.get().orElseThrow(() -> new RefusedException(NextTrialWords.NO_TABLE));
    }

    Stopwatch watch() {
        return watch;
    }

    private Wish wish() {
        return wish.get();
    }

    Goal goal() {
        return wish().goal();
    }

    /** Trials since it was said have taken from them. */
    int left() {
        if (practice.robot().isPresent()) {
            return Math.max(
                    0, Wish.USUAL.trialsLeft() - practice.robot().get().trials().size());
        }
        long since = season.runs().stream()
                .filter(run -> run.at().isAfter(wish().since()) && isTrial(run))
                .count();
        return (int) Math.max(0, wish().trialsLeft() - since);
    }

    void want(Goal newGoal) {
        want(newGoal, left());
    }

    void leave(double trials) {
        want(goal(), (int) Math.rint(trials));
    }

    private void want(Goal newGoal, int trialsLeft) {
        wish.set("what the trials of " + season.robotName() + " are for", new Wish(newGoal, trialsLeft, season.now()));
    }

    /** Where the run that is to be told stopped, beyond its mark; NaN when nobody measured. */
    double alongMm() {
        return alongMm;
    }

    void stopped(double newAlongMm) {
        alongMm = newAlongMm;
    }

    /** Laps or wiggles, by turns. */
    void countOther() {
        boolean laps = watch.countingProperty().get() == Stopwatch.Counting.TIME;
        watch.count(laps ? Stopwatch.Counting.WIGGLES : Stopwatch.Counting.TIME);
    }

    private Setup setup() {
        return practice.robot().map(Practice.HiddenRobot::believed).orElseGet(season::setupOrGuess);
    }

    /** As well as the bench has measured it; the hidden robot is known by its looks only. */
    private Prior prior() {
        return practice.robot().isPresent()
                ? Prior.GUESSED
                : Prior.of(season.setupOrGuess(), season.facts().values());
    }

    /** Constants that trials tell better than they were known; none of a hidden robot. */
    Map<Constant, Measured> learnt() {
        return practice.robot().isPresent()
                ? Map.of()
                : answer.get()
                        .map(a -> Learnt.of(
                                a.next().belief(),
                                a.first().belief(),
                                a.story().trials().size()))
                        .orElse(Map.of());
    }

    /** Puts them on the robot, as a bench card does. The ladder begins anew with what is known then. */
    void takeLearnt() {
        List<Fact> facts = new ArrayList<>();
        learnt().forEach((constant, measured) ->
                facts.add(new Fact(constant, measured, List.of(NextTrialWords.BY_TRIALS), season.basisNow())));
        if (!facts.isEmpty()) {
            season.changes().measured(facts, UnaryOperator.identity());
        } else if (answer.get().isEmpty()) {
            tell.accept(NextTrialWords.NOT_YET);
        }
    }

    /** Trials of the robot as it is now, oldest first. */
    public List<Trial> trials() {
        if (practice.robot().isPresent()) {
            return practice.robot().get().trials();
        }
        // Asked at every frame: what costs little leaves out the most first.
        TablePrint table = season.tableNow();
        Setup now = withoutWhatIsTuned(season.setupOrGuess());
        return season.runs().stream()
                .filter(run -> isTrial(run) && run.basis().table().equals(table))
                .filter(run -> withoutWhatIsTuned(run.setting().setup()).equals(now))
                .flatMap(run -> Trial.of(run).stream())
                .toList();
    }

    /** On an edge the target is tuned too. */
    private static Setup withoutWhatIsTuned(Setup setup) {
        Setup rest = GainChoice.withoutGainsAndSpeed(setup);
        return rest.law().signal().tracksEdge() ? rest.withLaw(rest.law().withTarget(0)) : rest;
    }

    /** Of the robot in hand, told what was seen of it, of the last day. */
    private boolean isTrial(Run run) {
        return run.at().isAfter(season.now().minus(EVENING))
                && run.source() == Run.Source.TABLE
                && run.outcome().seen().isPresent()
                && run.robot().equals(season.selection().get().robot());
    }

    /** Logs a run with the gains as set, with what the watch has counted; or tells what the hidden robot did. */
    public void see(Seen seen, boolean completed) {
        if (practice.robot().isPresent()) {
            practice.see(seen);
            return;
        }
        Taps taps = watch.tapsProperty().get();
        boolean laps = watch.countingProperty().get() == Stopwatch.Counting.TIME;
        double timeS = laps && taps.count() > 0 && completed ? taps.totalS() : Double.NaN;
        Outcome outcome = Outcome.of(completed, timeS).withSeen(seen);
        if (!laps && taps.count() > 0) {
            outcome = outcome.withWiggles(new Outcome.Wiggles(taps.count(), taps.totalS()));
        }
        if (!Double.isNaN(alongMm)) {
            outcome = outcome.withStop(alongMm, Double.NaN);
        }
        watch.clear();
        alongMm = Double.NaN;
        season.logBook()
                .log(new Run(
                        UUID.randomUUID().toString(),
                        Run.Source.TABLE,
                        season.selection().get().robot(),
                        season.basisNow().withKnown(known.get()),
                        outcome,
                        ""));
    }

    /** Puts the next setting on the robot: gains, base command, and the target where it rides beside its edge. */
    public void use() {
        if (practice.robot().isPresent()) {
            return;
        }
        answer.get().ifPresentOrElse(this::use, () -> tell.accept(NextTrialWords.NOT_YET));
    }

    private void use(Answer there) {
        Candidate next = there.next().next().orElse(there.next().best());
        double target =
                there.next().aside().target().orElse(season.setupOrGuess().law().target());
        gains.chooseWithSpeed(next.kp(), next.kd(), next.baseCommand(), target);
    }

    public Practice practice() {
        return practice;
    }

    /** The hidden robot drives what is next. */
    void driveHidden() {
        answer.get().map(a -> a.next().next().orElse(a.next().best())).ifPresent(practice::drive);
    }
}
