package fahrbahn.app.shell;

import fahrbahn.app.club.ClubModel;
import fahrbahn.app.drive.DriveModel;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.freshness.FreshnessService;
import fahrbahn.app.freshness.Judgement;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.gains.GainsModel;
import fahrbahn.app.handover.HandoverModel;
import fahrbahn.app.kit.Clocks;
import fahrbahn.app.kit.Stopwatch;
import fahrbahn.app.levels.LevelsModel;
import fahrbahn.app.live.LiveModel;
import fahrbahn.app.measure.MeasureModel;
import fahrbahn.app.robot.RobotModel;
import fahrbahn.app.robot.bench.BenchModel;
import fahrbahn.app.runs.RunsModel;
import fahrbahn.app.season.OpenSeason;
import fahrbahn.app.season.Saving;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.state.State;
import fahrbahn.app.table.TableModel;
import fahrbahn.core.setup.Setup;
import fahrbahn.link.LinkTimes;
import fahrbahn.link.bench.BenchRig;
import fahrbahn.words.Words;
import java.nio.file.Path;
import java.time.Clock;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Executor;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** Everything the window works on: one season, one robot link, one model per station, and the notice line. */
public final class Workshop {
    private final Notices notices;
    private final ReadOnlyBooleanProperty busy;
    private final Errand<String> saveKeys;
    private final ReadOnlyStringWrapper turned = new ReadOnlyStringWrapper("");
    private final Season season;
    private final Saving saving;
    private final LiveModel live;
    private final RobotModel robot;
    private final TableModel table;
    private final MeasureModel measure;
    private final LevelsModel levels;
    private final GainsModel gains;
    private final DriveModel drive;
    private final RunsModel runs;
    private final HandoverModel handover;
    private final ClubModel club;
    private final FreshnessService freshness;
    private final Map<Station, StationModel> stations = new EnumMap<>(Station.class);

    /**
     * @param worker for computations
     * @param interfaceThread where results are shown
     */
    public Workshop(OpenSeason open, Executor worker, Executor interfaceThread, Clocks clocks) {
        Clock clock = open.ledger().clock();
        notices = new Notices(clock);
        Errands errands = new Errands(worker, interfaceThread, this::tell);
        busy = errands.busy();
        saveKeys = errands.errand("Saving the keys");
        saving = open.saving();
        open.ledger()
                .listen(kinds ->
                        notices.over()); // the next success ends what was told, before anybody tells what it did
        State state = new State(errands, open.ledger());
        season = new Season(state, open.path());
        live = new LiveModel(clocks.handsNs(), LinkTimes.of(clocks.linksNs()), this::tell);
        measure = new MeasureModel(season, live, clock, errands, this::tell);
        robot = new RobotModel(season, state, new BenchModel(season, measure, clocks.handsNs(), errands));
        table = new TableModel(season, state, live);
        levels = new LevelsModel(season, measure, table::ground, state);
        gains = new GainsModel(season, state, table::ground, robot::known, new Stopwatch(clocks.handsNs()));
        drive = new DriveModel(season, state, table::ground, robot::known, live);
        runs = new RunsModel(
                season, robot::known, table::ground, gains::nextTrial, new Stopwatch(clocks.handsNs()), live, state);
        handover = new HandoverModel(
                season,
                table::ground,
                measure,
                levels,
                runs.log(),
                station -> stations.get(station).freshnessProperty().get(),
                state);
        club = new ClubModel(season, errands);
        stations.put(Station.ROBOT, robot);
        stations.put(Station.TABLE, table);
        stations.put(Station.MEASURE, measure);
        stations.put(Station.LEVELS, levels);
        stations.put(Station.GAINS, gains);
        stations.put(Station.DRIVE, drive);
        stations.put(Station.RUNS, runs);
        stations.put(Station.HANDOVER, handover);
        freshness = new FreshnessService(state, new FreshnessNow(this)::at, new ShortestRepairs(this), this::stands);
        watch();
        tellWhatWasLeftOut(open.ledger().leftOut());
    }

    /** The bench robot is the robot in hand, on the table and in the venue in hand; a pair of no robot in particular where nothing was guessed. */
    private void buildBenchRobot() {
        Setup setup = season.setupOrGuess();
        boolean pair = !season.begun() && season.sensorNames().equals(BenchRig.PAIR.names());
        String hall = season.conditionsProperty().get().venue();
        Setup begunAs = season.begun() ? season.begunAs() : setup;
        BenchRig rig = pair ? BenchRig.PAIR.laidOutAs(setup) : BenchRig.of(setup, begunAs, hall);
        live.buildBenchRobot(rig, table.top().map(top -> rig.on(top, setup, begunAs)));
    }

    private void watch() {
        buildBenchRobot();
        season.ledger().listen(kinds -> takeTable());
        table.mat().picture().valueProperty().addListener(o -> takeTable());
        saving.stateProperty().addListener(o -> tellSaving());
    }

    private void takeTable() {
        drive.takeTable();
        buildBenchRobot();
    }

    private void tellSaving() {
        Saving.State state = saving.stateProperty().get();
        if (state.fine()) {
            tell("Everything is saved again.");
        } else if (state.unsaved() == 0) {
            tell(state.trouble() + ".");
        } else {
            tell(Words.count(state.unsaved(), "change is", "changes are") + " not saved: " + state.trouble()
                    + ". Trying again every few seconds.");
        }
    }

    private void tellWhatWasLeftOut(List<String> leftOut) {
        if (!leftOut.isEmpty()) {
            tell("Skipped, because this version cannot read it: " + leftOut.get(0)
                    + (leftOut.size() > 1 ? ", and " + (leftOut.size() - 1) + " more" : "")
                    + ". It stays in the file unchanged.");
        }
    }

    private void stands(Judgement found) {
        found.stations().forEach((station, freshness) -> stations.get(station).stands(freshness));
        runs.count(found.source(), found.pool());
    }

    /** Once a minute: results age. */
    public void minute() {
        freshness.minute(season.now());
    }

    /** Every few seconds: is the file still there, and can be saved what could not? */
    public void watchFile() {
        season.ledger().retry();
    }

    /** How saving stands. */
    public ReadOnlyObjectProperty<Saving.State> savingProperty() {
        return saving.stateProperty();
    }

    /** Saves the season under another name: a copy, or, when it cannot be saved where it is, to go on there. */
    public void saveAs(Path target) {
        if (saving.stateProperty().get().fine()) {
            season.saveCopy(target, why -> tell(why.map(w -> w + ".").orElse("A copy is saved as " + target + ".")));
        } else {
            season.saveElsewhere(
                    target,
                    why -> tell(why.map(w -> w + ".")
                            .orElse("Everything is saved as " + target + ". You go on in that file.")));
        }
    }

    /** What was told, the newest on the notice line. */
    public Notices notices() {
        return notices;
    }

    public void tell(String words) {
        notices.tell(words);
    }

    /** Puts the keys of a station on paper. */
    void saveKeys(List<KeySheet.Group> groups, Path file) {
        saveKeys.run(
                job -> {
                    KeySheet.write(groups, file);
                    return "Saved as " + file.getFileName() + ".";
                },
                this::tell);
    }

    /** True while something that is shown is not yet of the newest numbers. */
    public ReadOnlyBooleanProperty busyProperty() {
        return busy;
    }

    /** Which step was undone or redone last; empty at first. */
    public ReadOnlyStringProperty turnedProperty() {
        return turned.getReadOnlyProperty();
    }

    /** Takes back the latest step and says which. */
    public void undo() {
        turned.set(season.undo().map(label -> "Undone: " + label).orElse("Nothing to undo"));
    }

    /** Makes the step last taken back again and says which. */
    public void redo() {
        turned.set(season.redo().map(label -> "Done again: " + label).orElse("Nothing to do again"));
    }

    public StationModel station(Station station) {
        return stations.get(station);
    }

    public Season season() {
        return season;
    }

    public LiveModel live() {
        return live;
    }

    public RobotModel robot() {
        return robot;
    }

    public TableModel table() {
        return table;
    }

    public MeasureModel measure() {
        return measure;
    }

    public LevelsModel levels() {
        return levels;
    }

    public GainsModel gains() {
        return gains;
    }

    public DriveModel drive() {
        return drive;
    }

    public RunsModel runs() {
        return runs;
    }

    public HandoverModel handover() {
        return handover;
    }

    public ClubModel club() {
        return club;
    }

    public void close() {
        live.disconnect();
        season.close();
    }
}
