package fahrbahn.app.shell;

import fahrbahn.app.drive.DriveModel;
import fahrbahn.app.gains.GainsModel;
import fahrbahn.app.levels.LevelsModel;
import fahrbahn.app.live.LiveModel;
import fahrbahn.app.measure.MeasureModel;
import fahrbahn.app.robot.BenchModel;
import fahrbahn.app.robot.RobotModel;
import fahrbahn.app.runs.RunsModel;
import fahrbahn.app.season.Background;
import fahrbahn.app.season.SeasonModel;
import fahrbahn.app.season.Station;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.table.TableModel;
import fahrbahn.store.BadFileException;
import fahrbahn.store.SeasonFile;
import java.time.Clock;
import java.util.EnumMap;
import java.util.Map;
import java.util.concurrent.Executor;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** Everything the window works on: one season, one robot link, one model per station, and the notice line. */
public final class Workshop {
    private final ReadOnlyStringWrapper notice = new ReadOnlyStringWrapper("");
    private final SeasonModel season;
    private final LiveModel live;
    private final RobotModel robot;
    private final TableModel table;
    private final MeasureModel measure;
    private final LevelsModel levels;
    private final GainsModel gains;
    private final DriveModel drive;
    private final RunsModel runs;
    private final Map<Station, StationModel> stations = new EnumMap<>(Station.class);

    /**
     * @param writer runs one task after the other, for the season file
     * @param worker for computations
     * @param interfaceThread where results are shown
     * @throws BadFileException when a document of the season cannot be read
     */
    public Workshop(SeasonFile file, Executor writer, Executor worker, Executor interfaceThread, Clock clock)
            throws BadFileException {
        Background background = new Background(worker, interfaceThread, this::tell);
        season = new SeasonModel(file, writer, interfaceThread, this::tell);
        live = new LiveModel(System::nanoTime, this::tell);
        measure = new MeasureModel(season, live, clock, background, this::tell);
        robot = new RobotModel(season, background, new BenchModel(season, measure, clock, this::tell), this::tell);
        table = new TableModel(season, background, this::tell);
        levels = new LevelsModel(season, measure);
        gains = new GainsModel(season, background);
        drive = new DriveModel(season, gains, background, clock);
        runs = new RunsModel(season, clock);
        stations.put(Station.ROBOT, robot);
        stations.put(Station.TABLE, table);
        stations.put(Station.MEASURE, measure);
        stations.put(Station.LEVELS, levels);
        stations.put(Station.GAINS, gains);
        stations.put(Station.DRIVE, drive);
        stations.put(Station.RUNS, runs);
    }

    /** What went wrong last and what to do about it; empty when the coach has put it away. */
    public ReadOnlyStringProperty noticeProperty() {
        return notice.getReadOnlyProperty();
    }

    public void tell(String words) {
        notice.set(words);
    }

    public StationModel station(Station station) {
        return stations.get(station);
    }

    public SeasonModel season() {
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

    public void close() {
        live.disconnect();
        season.close();
    }
}
