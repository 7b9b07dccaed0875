package fahrbahn.app.drive;

import fahrbahn.app.drive.detour.DetourModel;
import fahrbahn.app.drive.log.LogModel;
import fahrbahn.app.drive.run.Courses;
import fahrbahn.app.drive.run.Drive;
import fahrbahn.app.drive.run.DriveFiles;
import fahrbahn.app.drive.run.DriveWords;
import fahrbahn.app.drive.run.Laid;
import fahrbahn.app.drive.run.Odds;
import fahrbahn.app.drive.run.SensorState;
import fahrbahn.app.drive.stopping.StopModel;
import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.live.LiveModel;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.State;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.sensing.SensorFault;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Run;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The twin on the table in hand, or another course: one run to look at, many with the odds, or two robots from the same starts. */
public final class DriveModel extends StationModel {
    /** Titles of the pages. */
    static final String REPLAY = "Replay";

    static final String MANY = "Many runs";

    private final Courses courses;
    private final Supplier<Map<Constant, Double>> known;
    private final Errand<Drive> oneErrand;
    private final BooleanBinding running;
    private final Parameter<Optional<Laid>> laid;
    private final ReadOnlyObjectWrapper<Optional<Drive>> drive = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<SensorFault>> fault = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ManyModel many;
    private final TwoModel two;
    private final LogModel log;
    private final StopModel stops;
    private final DetourModel detours;
    private final DriveFiles files;
    private String lastTable = "";
    private long nextSeed = 1;
    private Latest latest = Latest.NOTHING;

    /** Of the newest run, or the newest many. */
    private Optional<Basis> newest = Optional.empty();

    /** What the verdict is about. */
    private enum Latest {
        NOTHING,
        ONE,
        MANY,
        TWO,
        LOG
    }

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
        this.laid = state.parameter(Optional.empty());
        Errands errands = state.errands();
        this.courses = new Courses(season, tableInHand);
        this.known = known;
        this.oneErrand = errands.errand("The run");
        this.many = new ManyModel(errands.errand("The runs"), this::tell, this::see);
        // First of all who listen: they ask what the odds rest on.
        many.oddsProperty().addListener(o -> many.oddsProperty().get().ifPresent(this::counted));
        this.files = new DriveFiles(errands.errand("The file"));
        this.two = new TwoModel(season, state, this::ground);
        two.compared().valueProperty().addListener(o -> compared());
        this.stops = new StopModel(season, state);
        this.detours = new DetourModel(season, state, tableInHand);
        this.log = new LogModel(season, errands, this::ground, live, this::logged);
        this.running = Bindings.or(
                Bindings.or(oneErrand.runningProperty(), many.runningProperty()),
                two.compared().computingProperty());
        season.selection().property().addListener((o, was, is) -> {
            if (!was.robot().equals(is.robot())) {
                otherRobot();
            }
        });
        season.setup().keptProperty().addListener(o -> judge());
        takeTable();
        judge();
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

    private void logged(String problem) {
        latest = log.shownProperty().get().isPresent() && problem.isEmpty() ? Latest.LOG : latest;
        tell(problem);
    }

    /** Two robots or settings from the same starts. */
    TwoModel two() {
        return two;
    }

    private Optional<Ground> ground() {
        return laid.get().map(Laid::ground);
    }

    private void compared() {
        boolean there = two.compared().get().isPresent();
        latest = there ? Latest.TWO : latest == Latest.TWO ? Latest.NOTHING : latest;
        tell(two.compared().value().refusal());
    }

    /** Courses to choose from: the table in hand first, the club's others, then one of each kind. */
    public List<Laid> courses() {
        return courses.all();
    }

    /** What the twin drives; empty while the table in hand is not ready and no other was chosen. */
    public ReadOnlyObjectProperty<Optional<Laid>> laidProperty() {
        return laid.property();
    }

    /** Lays the table in hand, as it is now. */
    public void takeTable() {
        lay(courses.inHand());
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
            putAway();
        }
        lastTable = table;
        laid.set(other);
        judge();
    }

    /** What the twin drove is of one robot on one table. */
    private void putAway() {
        newest = Optional.empty();
        latest = Latest.NOTHING;
        oneErrand.stop();
        many.putAway();
        drive.set(Optional.empty());
    }

    /** A run or a log of the robot before must not be kept as one of the robot in hand. */
    private void otherRobot() {
        putAway();
        fault.set(Optional.empty());
        log.putAway();
        judge();
    }

    /** What the latest result rests on: of this sitting, else the latest run of the twin that was kept; empty without one. */
    public Optional<Basis> basis() {
        return newest.or(this::kept);
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
        return many.oddsProperty();
    }

    /** How far the work at hand is, 0 to 1. */
    public double progress() {
        return two.compared().computingProperty().get() ? two.compared().progress() : many.progress();
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
            Start start = Start.noisy(0, nextSeed++);
            Optional<SensorFault> failed = fault.get();
            see(() -> Drive.of(basis, track(on.ground(), basis, failed), 0, start));
        });
    }

    static Track track(Ground ground, Basis basis, Optional<SensorFault> failed) {
        Track track = Track.of(ground, basis.setup().orElseThrow());
        return failed.map(track::with).orElse(track);
    }

    /** A sensor that is to fail in the runs to come; none with the next robot. */
    ReadOnlyObjectProperty<Optional<SensorFault>> faultProperty() {
        return fault.getReadOnlyProperty();
    }

    public void fail(Optional<SensorFault> sensor) {
        fault.set(sensor);
    }

    /** No sensor fails, and each that the program reads in every way. */
    public List<SensorState> sensorStates() {
        Setup setup = season.setupOrGuess();
        List<SensorState> all = new ArrayList<>(List.of(SensorState.ALL_WORK));
        Stream.concat(setup.lawSensors().stream(), setup.outerSensors().stream())
                .flatMap(s -> Arrays.stream(SensorFault.Kind.values()).map(kind -> new SensorFault(s.name(), kind)))
                .forEach(f -> all.add(new SensorState(Optional.of(f))));
        return List.copyOf(all);
    }

    private void see(Supplier<Drive> driven) {
        oneErrand.runToEnd(job -> driven.get(), ending -> {
            if (ending instanceof Ending.Done<Drive> done) {
                latest = Latest.ONE;
                if (done.result().track().fault().isEmpty()) {
                    newest = Optional.of(done.result().basis());
                }
                drive.set(Optional.of(done.result()));
            }
            tell(Ending.words(ending));
        });
    }

    /** Many runs, which differ as runs of a table evening do. */
    public void runMany() {
        laid.get().ifPresent(on -> many.run(basisOn(on), on.ground(), fault.get()));
    }

    /** Of which the odds are told. */
    ManyModel many() {
        return many;
    }

    /** What can be saved of all this. */
    DriveFiles files() {
        return files;
    }

    private void counted(Odds odds) {
        latest = Latest.MANY;
        if (odds.many().track().fault().isEmpty()) {
            newest = Optional.of(odds.basis());
        }
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
        oneErrand.stop();
        many.cancel();
        two.compared().endEarly();
    }

    private void tell(String problem) {
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
            return;
        }
        switch (latest) {
            case ONE -> say(DriveWords.verdict(drive.get().orElseThrow()));
            case MANY -> say(DriveWords.odds(many.oddsProperty().get().orElseThrow()));
            case TWO -> two.verdict().ifPresent(this::say);
            case LOG -> say(log.verdict());
            case NOTHING ->
                say(Verdict.open(
                        "Press Space: the twin drives the " + laid.get().get().name()
                                + " once with the gains as set. M drives it " + many.count() + " times for the odds."));
        }
    }

    /** True when there is a run to keep. */
    public boolean canKeep() {
        return drive.get().map(d -> d.track().fault().isEmpty()).orElse(false);
    }

    /** Puts the latest run into the log book. */
    public void keep() {
        drive.get().filter(last -> canKeep()).ifPresent(last -> {
            RunResult result = last.result();
            Outcome outcome = Outcome.of(result.completed(), result.timeS()).withRmsMm(result.rmsMm());
            season.logBook()
                    .log(new Run(
                            UUID.randomUUID().toString(),
                            Run.Source.TWIN,
                            season.selection().get().robot(),
                            last.basis().withAt(season.now()),
                            result.completed() ? outcome : outcome.withLostMm(Math.max(0, result.sMm())),
                            DriveWords.lostNote(result)));
        });
    }
}
