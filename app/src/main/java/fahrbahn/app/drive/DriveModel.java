package fahrbahn.app.drive;

import fahrbahn.app.drive.detour.DetourModel;
import fahrbahn.app.drive.log.LogModel;
import fahrbahn.app.drive.run.Drive;
import fahrbahn.app.drive.run.DriveFiles;
import fahrbahn.app.drive.run.DriveTable;
import fahrbahn.app.drive.run.DriveWords;
import fahrbahn.app.drive.run.Laid;
import fahrbahn.app.drive.run.Odds;
import fahrbahn.app.drive.stopping.StopModel;
import fahrbahn.app.live.LiveModel;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.State;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.sensing.SensorFault;
import fahrbahn.core.table.Ground;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.beans.property.ReadOnlyObjectProperty;

/** The twin on the table in hand, or another course: one run to look at, many with the odds, or two robots from the same starts. */
public final class DriveModel extends StationModel {
    /** Titles of the pages. */
    static final String REPLAY = "Replay";

    static final String MANY = "Many runs";

    private final DriveTable table;
    private final Supplier<Map<Constant, Double>> known;
    private final Parameter<Optional<Supplier<Drive>>> asked;
    private final Derived<Drive> one;
    private final BooleanBinding running;
    private final Parameter<Optional<SensorFault>> fault;
    private final ManyModel many;
    private final TwoModel two;
    private final LogModel log;
    private final StopModel stops;
    private final DetourModel detours;
    private final DriveFiles files;
    private long nextSeed = 1;

    /** What is said of that which ended last; nothing once that is gone. */
    private Supplier<Optional<Verdict>> latest = Optional::empty;

    /** Of the newest run, or the newest many. */
    private final Parameter<Optional<Basis>> newest;

    /**
     * @param tableInHand what the twin can ride of it; empty while it is not ready
     * @param known how well constants are known
     * @param live for a log that comes over the link
     */
    public DriveModel(
            Season season,
            State state,
            Supplier<Optional<Ground>> tableInHand,
            Supplier<Map<Constant, Double>> known,
            LiveModel live) {
        super(season);
        this.fault = state.press();
        this.newest = state.press();
        this.asked = state.press();
        this.table = new DriveTable(season, state, tableInHand);
        this.known = known;
        this.one = state.derive("The run", () -> State.asked(asked), (run, job) -> run.get());
        this.many = new ManyModel(state, run -> asked.set(Optional.of(run)));
        this.files = new DriveFiles(state.errands().errand("The file"));
        this.two = new TwoModel(season, state, this::ground);
        this.stops = new StopModel(season, state);
        this.detours = new DetourModel(season, state, tableInHand);
        this.log = new LogModel(season, state, this::ground, live);
        this.running = Bindings.or(
                Bindings.or(one.computingProperty(), many.odds().computingProperty()),
                two.compared().computingProperty());
        follow(one, DriveWords::verdict, drive -> basis(drive.basis(), drive.track()));
        follow(
                many.odds(),
                DriveWords::odds,
                odds -> basis(odds.basis(), odds.many().track()));
        follow(two.compared(), TwoModel::verdict, compared -> Optional.empty());
        follow(log.shown(), LogModel::verdict, shown -> Optional.empty());
        one.eagerly();
        takeTable();
        headline(this::verdict);
    }

    /** The robot's own log of a run. */
    public LogModel log() {
        return log;
    }

    /** Ways to decide that it is there. */
    StopModel stops() {
        return stops;
    }

    /** Ways round an obstacle. */
    DetourModel detours() {
        return detours;
    }

    /** Two robots or settings from the same starts. */
    TwoModel two() {
        return two;
    }

    private Optional<Ground> ground() {
        return table.laid().get().map(Laid::ground);
    }

    /** The verdict is about what ended last; of what is gone it says nothing. */
    private <V> void follow(Derived<V> derived, Function<V, Verdict> words, Function<V, Optional<Basis>> basis) {
        derived.valueProperty().addListener((o, was, is) -> {
            if (is.ready().isPresent() || !is.refusal().isEmpty()) {
                latest = () -> derived.valueProperty().get().refusal().isEmpty()
                        ? derived.lastProperty().get().map(words)
                        : Optional.of(Verdict.stop(derived.valueProperty().get().refusal()));
                is.ready().flatMap(basis).ifPresent(b -> newest.set(Optional.of(b)));
            }
        });
    }

    /** With a sensor that fails the twin says nothing of the robot as it is. */
    private static Optional<Basis> basis(Basis basis, Track track) {
        return track.fault().isEmpty() ? Optional.of(basis) : Optional.empty();
    }

    /** Courses to choose from: the table in hand first, the club's others, then one of each kind. */
    public List<Laid> courses() {
        return table.courses();
    }

    /** What the twin drives; empty while the table in hand is not ready and no other was chosen. */
    public ReadOnlyObjectProperty<Optional<Laid>> laidProperty() {
        return table.laid().property();
    }

    /** Lays the table in hand, as it is now. */
    public void takeTable() {
        lay(table.inHand());
    }

    /** Lays another course; what was driven on the one before is put away. */
    public void choose(Laid other) {
        lay(Optional.of(other));
    }

    /** What the twin drove is of one table; one that is not finished just now keeps it: that is stale, not gone. */
    private void lay(Optional<Laid> other) {
        if (table.isAnother(other)) {
            newest.reset();
            asked.reset();
            many.putAway();
        }
        table.lay(other);
    }

    /** What the latest result of this sitting rests on; empty without one. */
    public Optional<Basis> shownBasis() {
        return newest.get();
    }

    /** The odds of the latest many runs. */
    public ReadOnlyObjectProperty<Optional<Odds>> oddsProperty() {
        return many.odds().lastProperty();
    }

    /** How far the work at hand is, 0 to 1. */
    public double progress() {
        return two.compared().computingProperty().get()
                ? two.compared().progress()
                : many.odds().progress();
    }

    /** The latest run. */
    public ReadOnlyObjectProperty<Optional<Drive>> driveProperty() {
        return one.lastProperty();
    }

    public BooleanBinding runningProperty() {
        return running;
    }

    private Basis basisOn(Laid on) {
        return season.basisNow().withTable(on.print()).withKnown(known.get());
    }

    /** One run with the setup as it is; each has noise of its own. */
    public void run() {
        table.laid().get().ifPresent(on -> {
            Basis basis = basisOn(on);
            Start start = Start.noisy(0, nextSeed++);
            Optional<SensorFault> failed = fault.get();
            asked.set(Optional.of(() -> Drive.of(basis, track(on.ground(), basis, failed), 0, start)));
        });
    }

    static Track track(Ground ground, Basis basis, Optional<SensorFault> failed) {
        Track track = Track.of(ground, basis.setup().orElseThrow());
        return failed.map(track::with).orElse(track);
    }

    /** A sensor that is to fail in the runs to come; none with the next robot. */
    ReadOnlyObjectProperty<Optional<SensorFault>> faultProperty() {
        return fault.property();
    }

    public void fail(Optional<SensorFault> sensor) {
        fault.set(sensor);
    }

    /** Many runs, which differ as runs of a table evening do. */
    public void runMany() {
        table.laid().get().ifPresent(on -> many.run(basisOn(on), on.ground(), fault.get()));
    }

    ManyModel many() {
        return many;
    }

    /** What can be saved of all this. */
    DriveFiles files() {
        return files;
    }

    /** Opens a lost one of the many runs in the replay. */
    void seeLost() {
        if (many.anyLost()) {
            showPage(REPLAY);
            many.seeLost();
        }
    }

    /** Ends the work at hand: runs that are done are kept. */
    public void cancel() {
        one.stop();
        many.odds().endEarly();
        two.compared().endEarly();
    }

    private Verdict verdict() {
        Optional<Laid> on = table.laid().get();
        if (on.isEmpty()) {
            return Verdict.open("The selected table is not ready. Finish it in Table (2).");
        }
        return latest.get()
                .orElseGet(() -> Verdict.open(
                        "Space simulates one run on " + on.get().name() + "; M simulates " + many.count() + "."));
    }

    /** True when there is a run to keep. */
    public boolean canKeep() {
        return driveProperty().get().map(d -> d.track().fault().isEmpty()).orElse(false);
    }

    /** Puts the latest run into the log book. */
    public void keep() {
        driveProperty().get().filter(last -> canKeep()).ifPresent(last -> {
            Basis basis = last.basis().withAt(season.now());
            season.logBook().log(last.kept(season.selection().get().robot(), basis));
        });
    }
}
