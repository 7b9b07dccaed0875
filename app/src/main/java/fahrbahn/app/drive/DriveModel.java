package fahrbahn.app.drive;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.core.job.Workers;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Ground;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Run;
import fahrbahn.core.twin.Ensemble;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Trace;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import fahrbahn.store.TablePrints;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The twin on the table in hand, or another course: one run with its trace, or many with the odds. */
public final class DriveModel extends StationModel {
    /** Runs of which the odds are told: enough for an interval of some 7 % to each side. */
    private static final int MANY = 200;

    private final Supplier<Optional<Ground>> tableInHand;
    private final Supplier<Map<Constant, Double>> known;
    private final Errand<Drive> oneErrand;
    private final Errand<Odds> manyErrand;
    private final BooleanBinding running;
    private final ReadOnlyObjectWrapper<Optional<Laid>> laid = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Odds>> odds = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Drive>> drive = new ReadOnlyObjectWrapper<>(Optional.empty());
    private String lastTable = "";
    private long nextSeed = 1;

    /**
     * @param tableInHand what the twin can ride of it; empty while it is not ready
     * @param known how well constants are known
     */
    public DriveModel(
            Season season,
            Errands errands,
            Supplier<Optional<Ground>> tableInHand,
            Supplier<Map<Constant, Double>> known) {
        super(season);
        this.tableInHand = tableInHand;
        this.known = known;
        this.oneErrand = errands.errand("The run");
        this.manyErrand = errands.errand("The runs");
        this.running = Bindings.or(oneErrand.runningProperty(), manyErrand.runningProperty());
        season.setupProperty().addListener(o -> judge());
        takeTable();
        judge();
    }

    /** Courses to choose from: the table in hand first, the club's others, then one of each kind. */
    public List<Laid> courses() {
        List<Laid> all = new ArrayList<>();
        inHand().ifPresent(all::add);
        season.club().courses().forEach((id, draft) -> {
            if (draft.problem().isEmpty()
                    && all.stream().noneMatch(l -> l.print().id().equals(id))) {
                all.add(new Laid(TablePrints.of(id, draft), draft.course()));
            }
        });
        DemoCourses.all().stream()
                .filter(c -> all.stream().noneMatch(mine -> mine.name().equals(c.name())))
                .forEach(c -> all.add(new Laid(TablePrints.of("", Draft.of(c)), c)));
        return List.copyOf(all);
    }

    private Optional<Laid> inHand() {
        return tableInHand.get().map(ground -> new Laid(season.tableNow(), ground));
    }

    /** What the twin drives; empty while the table in hand is not ready and no other was chosen. */
    public ReadOnlyObjectProperty<Optional<Laid>> laidProperty() {
        return laid.getReadOnlyProperty();
    }

    /** Lays the table in hand, as it is now. */
    public void takeTable() {
        lay(inHand());
    }

    /** Lays another course; what was driven on the one before is put away. */
    public void choose(Laid other) {
        lay(Optional.of(other));
    }

    private void lay(Optional<Laid> other) {
        if (other.map(Laid::print).equals(laid.get().map(Laid::print))) {
            return;
        }
        // A table that is not finished just now keeps what was driven on it; that is stale, not gone.
        String table = other.map(l -> l.print().id()).orElse(lastTable);
        if (!table.equals(lastTable) || table.isEmpty()) {
            cancel();
            drive.set(Optional.empty());
            odds.set(Optional.empty());
        }
        lastTable = table;
        laid.set(other);
        judge();
    }

    /** What the latest result rests on: of this sitting, else the latest run of the twin that was kept; empty without one. */
    public Optional<Basis> basis() {
        return odds.get()
                .map(Odds::basis)
                .or(() -> drive.get().map(Drive::basis))
                .or(this::kept);
    }

    private Optional<Basis> kept() {
        String table = laid.get().map(l -> l.print().id()).orElse(lastTable);
        List<Run> runs = season.runs();
        for (int i = runs.size() - 1; i >= 0; i--) {
            Run run = runs.get(i);
            if (run.source() == Run.Source.TWIN && run.basis().table().id().equals(table)) {
                return Optional.of(run.basis());
            }
        }
        return Optional.empty();
    }

    /** The odds of the latest many runs. */
    public ReadOnlyObjectProperty<Optional<Odds>> oddsProperty() {
        return odds.getReadOnlyProperty();
    }

    /** How far the work at hand is, 0 to 1. */
    public double progress() {
        return manyErrand.progress();
    }

    /** The latest run. */
    public ReadOnlyObjectProperty<Optional<Drive>> driveProperty() {
        return drive.getReadOnlyProperty();
    }

    public BooleanBinding runningProperty() {
        return running;
    }

    private Basis basisOn(Laid on) {
        return season.basisNow().withTable(on.print()).withKnown(known.get());
    }

    /** One run with the setup as it is; each has noise of its own. */
    public void run() {
        laid.get().ifPresent(on -> {
            Basis basis = basisOn(on);
            long seed = nextSeed++;
            oneErrand.runToEnd(
                    job -> {
                        Trace trace = new Trace();
                        Track track = Track.of(on.ground(), basis.setup().orElseThrow());
                        RunResult result = Twin.run(track, Start.noisy(0, seed), trace);
                        return new Drive(basis, on.ground(), seed, result, trace);
                    },
                    ending -> {
                        if (ending instanceof Ending.Done<Drive> done) {
                            odds.set(Optional.empty());
                            drive.set(Optional.of(done.result()));
                        }
                        tell(ending);
                    });
        });
    }

    /** Many runs, which differ as runs of a table evening do. */
    public void runMany() {
        laid.get().ifPresent(on -> {
            Basis basis = basisOn(on);
            long seed = nextSeed++;
            manyErrand.runToEnd(
                    job -> {
                        Track track = Track.of(on.ground(), basis.setup().orElseThrow());
                        return new Odds(
                                basis,
                                on.ground(),
                                Ensemble.drive(track, Spread.TYPICAL, 0, MANY, seed, Workers.all(), job));
                    },
                    ending -> {
                        if (ending instanceof Ending.Done<Odds> done) {
                            odds.set(Optional.of(done.result()));
                        }
                        tell(ending);
                    });
        });
    }

    /** Stops the work at hand; its result, if any, is not shown. */
    public void cancel() {
        oneErrand.stop();
        manyErrand.stop();
    }

    private void tell(Ending<?> ending) {
        String problem = Ending.words(ending);
        if (problem.isEmpty()) {
            judge();
        } else {
            say(Verdict.stop(problem));
        }
    }

    private void judge() {
        if (laid.get().isEmpty()) {
            say(Verdict.open(
                    "The table in hand is not ready to be driven. Finish it in Table (2), or choose another course."));
        } else if (odds.get().isPresent()) {
            say(DriveWords.odds(odds.get().get()));
        } else if (drive.get().isPresent()) {
            say(DriveWords.verdict(drive.get().get()));
        } else {
            say(Verdict.open(
                    "Press Space: the twin drives the " + laid.get().get().name()
                            + " once with the gains as set. M drives it " + MANY + " times for the odds."));
        }
    }

    /** True when there is a run to keep. */
    public boolean canKeep() {
        return drive.get().isPresent();
    }

    /** Puts the latest run into the log book. */
    public void keep() {
        drive.get().ifPresent(last -> {
            RunResult result = last.result();
            Outcome outcome = Outcome.of(result.completed(), result.timeS()).withRmsMm(result.rmsMm());
            season.logRun(new Run(
                    UUID.randomUUID().toString(),
                    Run.Source.TWIN,
                    season.handProperty().get().robot(),
                    last.basis().withAt(season.now()),
                    result.completed() ? outcome : outcome.withLostMm(Math.max(0, result.sMm())),
                    DriveWords.lostNote(result)));
        });
    }
}
