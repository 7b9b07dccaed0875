package fahrbahn.app.measure;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.live.LiveModel;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.words.Words;
import fahrbahn.core.quality.Survey;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColumnMap;
import fahrbahn.core.readings.Conditions;
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
import java.util.function.UnaryOperator;
import javafx.beans.InvalidationListener;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** Captures of surfaces, live, from a file or pasted, and whether they can be trusted. */
public final class MeasureModel extends StationModel {
    private final LiveModel live;
    private final Clock clock;
    private final Errand<Survey> surveyErrand;
    private final Errand<ReadingsImport.Imported> importErrand;
    private final Errand<List<String>> portsErrand;
    private final Consumer<String> told;
    private final Capturer capturer = new Capturer(this::keep);
    private final ReadOnlyObjectWrapper<Optional<Typing>> typing = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyStringWrapper question = new ReadOnlyStringWrapper("");
    private Optional<ReadingsImport.Imported> asked = Optional.empty();
    private final ReadOnlyIntegerWrapper typingAsked = new ReadOnlyIntegerWrapper(0);
    private final ReadOnlyObjectWrapper<Survey> survey = new ReadOnlyObjectWrapper<>(Survey.EMPTY);

    public MeasureModel(Season season, LiveModel live, Clock clock, Errands errands, Consumer<String> told) {
        super(season);
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
        } else if (answered(name)) {
            return;
        } else if (live.statusProperty().get().phase() == LiveModel.Phase.NONE) {
            beginTyping(name); // most robots send nothing: their coach reads numbers off a display
        } else {
            capturer.begin(name);
        }
    }

    /** The readings that are being typed; empty while none are. */
    public ReadOnlyObjectProperty<Optional<Typing>> typingProperty() {
        return typing.getReadOnlyProperty();
    }

    /** Another number each time readings are asked for, also for a surface that is being typed already. */
    public ReadOnlyIntegerProperty typingAskedProperty() {
        return typingAsked.getReadOnlyProperty();
    }

    /** Asks for readings of a surface off the robot's display, sensor after sensor; goes on where it was left. */
    public void beginTyping(String surface) {
        boolean same = typing.get().isPresent()
                && typing.get().get().surface().equals(surface)
                && typing.get().get().sensors().equals(robotSensors());
        if (!same) {
            typing.set(Optional.of(Typing.of(surface, robotSensors())));
        }
        typingAsked.set(typingAsked.get() + 1);
    }

    /** Takes the readings of the next sensor; those of the last make the capture. @throws BadValueException with words */
    public void type(String readings) {
        if (typing.get().isEmpty()) {
            return;
        }
        Typing next = typing.get().get().with(readings);
        if (!next.complete()) {
            typing.set(Optional.of(next));
            return;
        }
        season.addCaptures(List.of(new Capture(
                newId(),
                next.surface(),
                clock.instant(),
                Capture.TYPED,
                next.sensors(),
                next.readings(),
                season.conditionsNow())));
        typing.set(Optional.empty());
    }

    /** Asks for readings of whichever of light and dark is missing, light first; of light when neither is. */
    public void typeNext() {
        boolean darkLacks =
                latest(Capture.LIGHT).isPresent() && latest(Capture.DARK).isEmpty();
        beginTyping(typing.get().map(Typing::surface).orElse(darkLacks ? Capture.DARK : Capture.LIGHT));
    }

    /** Puts away what has been typed of the surface so far. */
    public void stopTyping() {
        typing.set(Optional.empty());
    }

    /** Begins a sweep or a slide; the second call ends it. */
    public void toggle(String surface) {
        if (answered(surface)) {
            return;
        }
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

    /** Where and with what the team works now. */
    public ReadOnlyObjectProperty<Conditions> conditionsProperty() {
        return season.conditionsProperty();
    }

    /** Notes another of these circumstances; the same as before is no change. */
    public void note(UnaryOperator<Conditions> change) {
        season.changeConditions(change);
    }

    public void setSensorHeightMm(double heightMm) {
        season.changeSetup(
                s -> s.withRobot(s.robot().withChassis(s.robot().chassis().withSensorHeightMm(heightMm))));
    }

    /** What a venue is called. */
    public String venueName(String id) {
        return season.club().venueName(id);
    }

    /** Takes the venue of this name in hand; one of a new name is added to the club. */
    public void goTo(String venueName) {
        if (!venueName.strip().equals(venueName(conditionsProperty().get().venue()))) {
            season.club().goTo(venueName);
        }
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
        importErrand.run(job -> how.file(file), this::take);
    }

    /** The same from text on the clipboard. */
    public void paste(String text) {
        ReadingsImport how = importing("pasted");
        importErrand.run(job -> how.text(text), this::take);
    }

    private void take(ReadingsImport.Imported imported) {
        if (imported.nameless().isEmpty()) {
            season.addCaptures(imported.captures());
        } else {
            asked = Optional.of(imported);
            question.set(imported.how().source() + ": "
                    + Words.count(imported.nameless().size(), "reading names", "readings name")
                    + " no surface. What are they of?");
        }
    }

    /** What is to be said of readings that name no surface, before they are kept; empty when there are none. */
    public ReadOnlyStringProperty questionProperty() {
        return question.getReadOnlyProperty();
    }

    /** Says what they are of: the same key as for a capture. @return false when nothing was asked */
    private boolean answered(String surface) {
        if (asked.isEmpty()) {
            return false;
        }
        season.addCaptures(asked.get().of(surface));
        forget();
        return true;
    }

    /** Lets go of them; nothing of that file is kept. */
    public void forget() {
        asked = Optional.empty();
        question.set("");
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

    /** Names of the robot's sensors, left to right. */
    public List<String> robotSensors() {
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

    public ReadOnlyObjectProperty<ColumnMap> columnsProperty() {
        return season.columnsProperty();
    }

    /** The newest capture of a surface with the lamps on. */
    public Optional<Capture> latest(String surface) {
        return latest(surface, Lamp.ON);
    }

    public Optional<Capture> latest(String surface, Lamp lamp) {
        return Survey.latest(season.captures(), surface, lamp);
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
