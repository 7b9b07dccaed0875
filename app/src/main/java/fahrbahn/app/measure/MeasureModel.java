package fahrbahn.app.measure;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.live.LiveModel;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.core.quality.Survey;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColumnMap;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.link.SerialLink;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import javafx.beans.InvalidationListener;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;

/** Captures of surfaces, live, from a file or pasted, and whether they can be trusted. */
public final class MeasureModel extends StationModel {
    private final Season season;
    private final LiveModel live;
    private final Clock clock;
    private final Errand<Survey> surveyErrand;
    private final Errand<List<Capture>> importErrand;
    private final Errand<List<String>> portsErrand;
    private final Consumer<String> told;
    private final Capturer capturer = new Capturer(this::keep);
    private final ReadOnlyObjectWrapper<Survey> survey = new ReadOnlyObjectWrapper<>(Survey.EMPTY);

    public MeasureModel(Season season, LiveModel live, Clock clock, Errands errands, Consumer<String> told) {
        this.season = season;
        this.live = live;
        this.clock = clock;
        this.surveyErrand = errands.errand("Judging the captures");
        this.importErrand = errands.errand("Reading the file");
        this.portsErrand = errands.errand("Looking for serial ports");
        this.told = told;
        live.addHearer(capturer::hear);
        live.statusProperty().addListener(o -> {
            if (live.statusProperty().get().phase() == LiveModel.Phase.NONE) {
                capturer.stop();
            }
        });
        season.captures().addListener((InvalidationListener) o -> survey());
        season.setupProperty().addListener(o -> survey());
        season.columnsProperty().addListener(o -> mapColumns());
        mapColumns();
        survey();
    }

    public Season season() {
        return season;
    }

    public LiveModel live() {
        return live;
    }

    /** Puts words on the notice line. */
    public void tell(String words) {
        told.accept(words);
    }

    /** What the captures say; empty until there are some. */
    public ReadOnlyObjectProperty<Survey> surveyProperty() {
        return survey.getReadOnlyProperty();
    }

    /** The surface being captured; empty when none is. */
    public ReadOnlyStringProperty capturingProperty() {
        return capturer.capturingProperty();
    }

    /** How far the capture is, 0 to 1; below 0 while it goes on until it is stopped. */
    public ReadOnlyDoubleProperty progressProperty() {
        return capturer.progressProperty();
    }

    /** Takes the next readings as this surface. */
    public void capture(String surface) {
        String name = surface.strip();
        if (name.isEmpty()) {
            tell("The surface has no name. Type one, like carpet or tape, then capture.");
        } else if (connected()) {
            capturer.begin(name);
        }
    }

    /** Begins a sweep or a slide; the second call ends it. */
    public void toggle(String surface) {
        if (capturingProperty().get().equals(surface)) {
            int readings = capturer.finish();
            if (readings < 2) {
                tell("No readings came while the " + surface + " ran, so there is nothing to keep.");
            }
        } else if (connected()) {
            capturer.beginOpen(surface);
        }
    }

    private boolean connected() {
        boolean connected = live.statusProperty().get().phase() != LiveModel.Phase.NONE;
        if (!connected) {
            tell("No robot is connected, so there is nothing to capture. Connect one, or import a file of readings.");
        }
        return connected;
    }

    /** Notes that the sensors' lamps are switched, and asks the robot to switch them if it can. */
    public void switchLamps() {
        Lamp next = season.conditionsProperty().get().lamp() == Lamp.ON ? Lamp.OFF : Lamp.ON;
        live.send("lamp " + next.word());
        season.changeConditions(c -> c.withLamp(next));
    }

    private void keep(String surface, List<Reading> readings) {
        String source = live.statusProperty().get().source();
        season.addCaptures(List.of(new Capture(
                newId(), surface, clock.instant(), source, live.sensors(), readings, season.conditionsNow())));
    }

    public void remove(Capture capture) {
        season.removeCapture(capture);
    }

    /** Brings in a file; each surface it names becomes a capture, all in one step. */
    public void importFile(Path file) {
        ReadingsImport how = importing(file.getFileName().toString());
        importErrand.run(job -> how.file(file), season::addCaptures);
    }

    /** The same from text on the clipboard. */
    public void paste(String text) {
        ReadingsImport how = importing("pasted");
        importErrand.run(job -> how.text(text), season::addCaptures);
    }

    private ReadingsImport importing(String source) {
        return new ReadingsImport(
                source, clock.instant(), season.columnsProperty().get(), robotSensors(), season.conditionsNow());
    }

    /** Looks for serial ports, which may take a moment, and hands them over. */
    public void findPorts(Consumer<List<String>> found) {
        portsErrand.run(job -> SerialLink.ports(), found);
    }

    static String newId() {
        return UUID.randomUUID().toString();
    }

    private List<String> robotSensors() {
        return season.setupOrGuess().robot().sensors().stream()
                .map(Sensor::name)
                .toList();
    }

    private void mapColumns() {
        live.map(season.columnsProperty().get(), robotSensors());
    }

    /** What each column of the connected robot is taken for. */
    public List<ColumnMap.Match> matches() {
        return season.columnsProperty().get().match(live.columns(), robotSensors());
    }

    /** Says by hand which sensor a column is. */
    public void mapColumn(String column, String sensor) {
        season.changeColumns(season.columnsProperty().get().with(column, sensor));
    }

    /** The newest capture of a surface with the lamps on. */
    public Optional<Capture> latest(String surface) {
        return Survey.latest(season.captures(), surface, Lamp.ON);
    }

    private void survey() {
        mapColumns();
        List<Capture> captures = List.copyOf(season.captures());
        Setup setup = season.setupOrGuess();
        judge();
        Survey earlier = survey.get();
        surveyErrand.run(job -> Survey.of(captures, setup, earlier), found -> {
            survey.set(found);
            judge();
        });
    }

    private void judge() {
        Optional<Capture> dark = latest(Capture.DARK);
        Optional<Capture> light = latest(Capture.LIGHT);
        if (dark.isEmpty() && light.isEmpty()) {
            say(Verdict.open(
                    "Connect the robot, hold all its sensors over light and press L, then over dark and press D."));
        } else if (dark.isEmpty() || light.isEmpty()) {
            boolean lightLacks = light.isEmpty();
            say(Verdict.open("Now hold all sensors over " + (lightLacks ? "light and press L." : "dark and press D.")));
        } else {
            say(CaptureVerdict.of(survey.get(), dark.get(), light.get()));
        }
    }
}
