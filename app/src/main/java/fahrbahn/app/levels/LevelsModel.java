package fahrbahn.app.levels;

import fahrbahn.app.measure.FindingWords;
import fahrbahn.app.measure.MeasureModel;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.words.MisreadWords;
import fahrbahn.app.words.Words;
import fahrbahn.core.levels.Levels;
import fahrbahn.core.levels.SensorLevels;
import fahrbahn.core.quality.Finding;
import fahrbahn.core.quality.Survey;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Aspect;
import fahrbahn.core.setup.Cause;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/** Levels from the newest dark and light captures, and putting them on the robot. */
public final class LevelsModel extends StationModel {
    private final MeasureModel measure;
    private final ObservableList<SensorLevels> sensors = FXCollections.observableArrayList();

    private final ObservableList<SensorLevels> shown = FXCollections.unmodifiableObservableList(sensors);

    /** The captures the levels come from. */
    private List<Capture> from = List.of();

    public LevelsModel(Season season, MeasureModel measure) {
        super(season);
        this.measure = measure;
        measure.surveyProperty().addListener(o -> update());
        season.setupProperty().addListener(o -> update());
        update();
    }

    public ObservableList<SensorLevels> sensors() {
        return shown;
    }

    /** Levels of the robot's sensors, each from its own newest captures; what was found to forbid one is told instead. */
    private void update() {
        List<Capture> dark = measure.counting(Capture.DARK);
        List<Capture> light = measure.counting(Capture.LIGHT);
        List<Capture> all = Stream.concat(dark.stream(), light.stream()).toList();
        Survey survey = measure.surveyProperty().get();
        if (!survey.judged(all)) {
            return; // what is shown stands until they are
        }
        List<SensorLevels> found = new ArrayList<>();
        List<Finding> forbidden = new ArrayList<>();
        for (String sensor : survey.pairs().keySet()) {
            Optional<Finding> stop = survey.stop(sensor);
            stop.filter(f -> !forbidden.contains(f)).ifPresent(forbidden::add);
            if (stop.isEmpty() && season.sensorNames().contains(sensor)) {
                SensorLevels.of(all, sensor).ifPresent(found::add);
            }
        }
        from = all;
        sensors.setAll(found);
        if (!forbidden.isEmpty()) {
            say(Verdict.stop(
                    FindingWords.of(forbidden.get(0)) + " Until then it has no level: Measure (3) captures it again."));
        } else if (found.isEmpty()) {
            say(Verdict.open("Levels need light and dark. Go to Measure (3) and capture both."));
        } else {
            say(verdict(found));
        }
    }

    private Verdict verdict(List<SensorLevels> found) {
        SensorLevels worst = found.get(0);
        StringBuilder all = new StringBuilder();
        for (SensorLevels sensor : found) {
            all.append(all.isEmpty() ? "" : ", ")
                    .append(sensor.sensor())
                    .append(' ')
                    .append(Words.exact(sensor.roundedLevel()));
            worst = sensor.misread() > worst.misread() ? sensor : worst;
        }
        String misreads = MisreadWords.of(worst.misreads(worst.roundedLevel()));
        String known = found.stream()
                .filter(f -> f.plusMinus() > f.step())
                .max(Comparator.comparingDouble(SensorLevels::plusMinus))
                .map(f -> " " + f.sensor() + " is known to \u00b1 " + Words.number(f.plusMinus(), 2)
                        + " only: capture more readings.")
                .orElse("");
        double midpoint = worst.levels().midpoint();
        boolean midpointDoes = worst.levels().misread(midpoint) <= Math.max(1e-6, 10 * worst.misread());
        return Verdict.good("Level " + all + ": misreads " + misreads + ". The midpoint "
                + (midpointDoes
                        ? "does as well here."
                        : "would misread " + MisreadWords.by(worst.levels(), midpoint) + ".")
                + known
                + (used() ? " N goes on to Gains." : " U puts them on the robot."));
    }

    private boolean used() {
        return season.choices().levelsProperty().get().isPresent() && onRobot().isEmpty();
    }

    /** How the robot's numbers differ from those captured; empty when they do not. */
    public Optional<Cause> onRobot() {
        Optional<Setup> setup = season.setupProperty().get();
        if (setup.isEmpty()) {
            return Optional.empty();
        }
        for (Sensor sensor : setup.get().robot().sensors()) {
            Optional<SensorLevels> measured = measured(sensor);
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

    private Optional<SensorLevels> measured(Sensor sensor) {
        return sensors.stream().filter(s -> s.sensor().equals(sensor.name())).findFirst();
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
            Optional<SensorLevels> measured = measured(sensor);
            if (measured.isPresent()) {
                robot = robot.withSensor(i, measured.get().on(sensor));
            }
        }
        Setup changed = setup.withRobot(robot);
        Optional<SensorLevels> first = measured(robot.sensors().get(0));
        return setup.law().scale() == Scale.RAW && first.isPresent()
                ? changed.withLaw(setup.law().withTarget(first.get().roundedLevel()))
                : changed;
    }
}
