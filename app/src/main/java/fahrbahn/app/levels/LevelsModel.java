package fahrbahn.app.levels;

import fahrbahn.app.measure.MeasureModel;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.words.Words;
import fahrbahn.core.levels.Levels;
import fahrbahn.core.levels.SensorLevels;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Aspect;
import fahrbahn.core.setup.Cause;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.InvalidationListener;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/** Levels from the newest dark and light captures, and putting them on the robot. */
public final class LevelsModel extends StationModel {
    /** Above this a robot that decides a hundred times a second errs once in ten seconds. */
    private static final double MANY_MISREADS = 1e-3;

    private final MeasureModel measure;
    private final ObservableList<SensorLevels> sensors = FXCollections.observableArrayList();

    private final ObservableList<SensorLevels> shown = FXCollections.unmodifiableObservableList(sensors);

    /** The captures the levels come from. */
    private List<Capture> from = List.of();

    public LevelsModel(Season season, MeasureModel measure) {
        super(season);
        this.measure = measure;
        season.captures().addListener((InvalidationListener) o -> update());
        season.setupProperty().addListener(o -> update());
        update();
    }

    public ObservableList<SensorLevels> sensors() {
        return shown;
    }

    private void update() {
        Optional<Capture> dark = measure.latest(Capture.DARK);
        Optional<Capture> light = measure.latest(Capture.LIGHT);
        List<SensorLevels> found =
                dark.isPresent() && light.isPresent() ? SensorLevels.of(dark.get(), light.get()) : List.of();
        from = Stream.of(dark, light).flatMap(Optional::stream).toList();
        sensors.setAll(found);
        if (found.isEmpty()) {
            say(Verdict.open("Levels need light and dark. Go to Measure and capture both."));
        } else {
            say(verdict(found));
        }
    }

    private static Verdict verdict(List<SensorLevels> found) {
        SensorLevels worst = found.get(0);
        StringBuilder all = new StringBuilder();
        for (SensorLevels sensor : found) {
            all.append(all.isEmpty() ? "" : ", ")
                    .append(sensor.sensor())
                    .append(' ')
                    .append(Words.exact(sensor.roundedLevel()));
            worst = sensor.misread() > worst.misread() ? sensor : worst;
        }
        String misreads = Words.oneIn(worst.misread());
        if (!worst.levels().bandHolds()) {
            return Verdict.stop("Level " + all + ", but dark and light of " + worst.sensor() + " overlap: it misreads "
                    + misreads + ". Lower the sensor or shade it, then capture again.");
        }
        if (worst.misread() > MANY_MISREADS) {
            return Verdict.care("Level " + all + ": " + worst.sensor() + " misreads " + misreads
                    + ", too often for a single level. Use the band of two levels.");
        }
        double midpoint = worst.levels().midpoint();
        boolean midpointDoes = worst.levels().misread(midpoint) <= Math.max(1e-6, 10 * worst.misread());
        return Verdict.good("Level " + all + ": misreads " + misreads + ". The midpoint "
                + (midpointDoes
                        ? "does as well here."
                        : "would misread " + Words.oneIn(worst.levels().misread(midpoint)) + "."));
    }

    /** How the robot's numbers differ from those captured; empty when they do not. */
    public Optional<Cause> onRobot() {
        Optional<Setup> setup = season.setupProperty().get();
        if (setup.isEmpty()) {
            return Optional.empty();
        }
        for (int i = 0; i < setup.get().robot().sensors().size(); i++) {
            Sensor sensor = setup.get().robot().sensors().get(i);
            Optional<SensorLevels> measured = measured(sensor, i);
            if (measured.isPresent() && measured.get().differsFrom(sensor)) {
                Levels levels = measured.get().levels();
                return Optional.of(new Cause(
                        Aspect.CAPTURES,
                        "sensor " + sensor.name(),
                        surfaces(sensor.dark(), sensor.light()),
                        surfaces(levels.dark().mean(), levels.light().mean())));
            }
        }
        return Optional.empty();
    }

    private static String surfaces(double dark, double light) {
        return Words.number(dark) + " on dark, " + Words.number(light) + " on light";
    }

    /** By name, else by place from the left. */
    private Optional<SensorLevels> measured(Sensor sensor, int place) {
        Optional<SensorLevels> named =
                sensors.stream().filter(s -> s.sensor().equals(sensor.name())).findFirst();
        boolean noneNamed = named.isEmpty() && place < sensors.size();
        return noneNamed
                        && season.setupOrGuess().robot().sensors().stream()
                                .noneMatch(
                                        s -> s.name().equals(sensors.get(place).sensor()))
                ? Optional.of(sensors.get(place))
                : named;
    }

    /** True when there is something to put on the robot. */
    public boolean canUse() {
        return !sensors.isEmpty();
    }

    /** Writes dark, light, noise and, for a law in raw numbers, the level as target into the setup, as one step. */
    public void useOnRobot() {
        if (canUse()) {
            season.choices().useLevels(this::withMeasured, from);
        }
    }

    private Setup withMeasured(Setup setup) {
        Robot robot = setup.robot();
        for (int i = 0; i < robot.sensors().size(); i++) {
            Sensor sensor = robot.sensors().get(i);
            Optional<SensorLevels> measured = measured(sensor, i);
            if (measured.isPresent()) {
                robot = robot.withSensor(i, measured.get().on(sensor));
            }
        }
        Setup changed = setup.withRobot(robot);
        Optional<SensorLevels> first = measured(robot.sensors().get(0), 0);
        return setup.law().scale() == Scale.RAW && first.isPresent()
                ? changed.withLaw(setup.law().withTarget(first.get().roundedLevel()))
                : changed;
    }
}
