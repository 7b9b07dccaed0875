package fahrbahn.app.measure;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.live.LiveModel;
import fahrbahn.app.live.LiveStatus;
import fahrbahn.app.measure.live.Capturer;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.state.Derived;
import fahrbahn.core.quality.Survey;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.setup.Setup;
import fahrbahn.link.SerialLink;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyStringProperty;

/** Captures of surfaces, live, from a file or pasted, and whether they can be trusted. */
public final class MeasureModel extends StationModel {
    private final LiveModel live;
    private final Clock clock;
    private final Derived<Survey> survey;
    private final Errand<ReadingsImport.Imported> importErrand;
    private final Errand<List<String>> portsErrand;
    private final Consumer<String> told;
    private final Capturer capturer = new Capturer(this::keep);
    private final Typist typist;
    private final Circumstances circumstances;
    private final Asking asking;

    /** What was found last, of which reports on the same captures are taken over. */
    private volatile Survey before = Survey.EMPTY;

    /** What is judged: the captures, oldest first, and the robot they are of. */
    private record Surveyed(List<Capture> captures, Setup setup) {}

    public MeasureModel(Season season, LiveModel live, Clock clock, Errands errands, Consumer<String> told) {
        super(season);
        this.live = live;
        this.clock = clock;
        this.importErrand = errands.errand("Reading the file");
        this.portsErrand = errands.errand("Looking for serial ports");
        this.told = told;
        this.survey = season.state().derive("Checking the captures", this::surveyed, (of, job) -> survey(of));
        this.asking = new Asking(season, live, told);
        this.typist = new Typist(season, clock);
        this.circumstances = new Circumstances(season, live);
        live.listeners().addHearer(capturer::hear, why -> capturer.breakOff().ifPresent(lost -> tell(lost, why)));
        season.selection().property().addListener((o, was, is) -> {
            if (!was.robot().equals(is.robot())) {
                endedBy("another robot was selected");
            } else if (!was.venue().equals(is.venue())) {
                endedBy("the venue changed");
            }
        });
        season.setup().keptProperty().addListener(o -> mapColumns());
        season.columns().property().addListener(o -> {
            mapColumns();
            asking.askAgain();
        });
        mapColumns();
        survey.eagerly();
        headline(this::verdict);
    }

    /** What has begun must not end as a capture of two robots, or in two halls. */
    private void endedBy(String why) {
        capturer.breakOff().or(typist::breakOff).ifPresent(lost -> tell(lost, why));
    }

    private void tell(String lost, String why) {
        tell(lost + ": " + why + ". Nothing was kept; capture again.");
    }

    public LiveModel live() {
        return live;
    }

    /** What readings do not say themselves. */
    public Asking asking() {
        return asking;
    }

    /** Readings typed off the robot's display. */
    public Typist typist() {
        return typist;
    }

    /** Venue, lamps, height, battery and wheels. */
    public Circumstances circumstances() {
        return circumstances;
    }

    /** Puts words on the notice line. */
    public void tell(String words) {
        told.accept(words);
    }

    /** What the captures say. */
    public Derived<Survey> survey() {
        return survey;
    }

    /** The same as it is shown: it stays while newer captures are judged. */
    public Survey surveyShown() {
        return survey.lastProperty().get().orElse(Survey.EMPTY);
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
            tell("Type the surface's name, like carpet, then capture.");
        } else if (asking.answered(name)) {
            return;
        } else if (live.statusProperty().get().phase() == LiveStatus.Phase.NONE) {
            typist.begin(name); // most robots send nothing: their coach reads numbers off a display
        } else if (columnsAreKnown()) {
            capturer.begin(name);
        }
    }

    /** Asks which column of the robot is which sensor, when that cannot be told by name. */
    private boolean columnsAreKnown() {
        boolean known = live.columns().isEmpty() || !asking.columnsOpen(live.columns());
        if (!known) {
            asking.askColumns("The robot", live.columns());
        }
        return known;
    }

    /** Begins a sweep or a slide; the second call ends it. */
    public void toggle(String surface) {
        if (asking.answered(surface)) {
            return;
        }
        if (capturingProperty().get().equals(surface)) {
            int readings = capturer.finish();
            if (readings < 2) {
                tell("No readings came during the " + surface + ".");
            }
        } else if (connected() && columnsAreKnown()) {
            capturer.beginOpen(surface);
        }
    }

    private boolean connected() {
        boolean connected = live.statusProperty().get().phase() != LiveStatus.Phase.NONE;
        if (!connected) {
            tell("No robot connected. Connect one, press T to type readings, or import a file.");
        }
        return connected;
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
        importErrand.run(job -> how.file(file), asking::take);
    }

    /** The same from text on the clipboard. */
    public void paste(String text) {
        ReadingsImport how = importing("pasted");
        importErrand.run(job -> how.text(text), asking::take);
    }

    private ReadingsImport importing(String source) {
        return new ReadingsImport(
                source,
                clock.instant(),
                season.columns().get(),
                season.setupOrGuess().robot(),
                season.conditionsNow());
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
        return season.sensorNames();
    }

    private void mapColumns() {
        live.map(season.columns().get(), season.setupOrGuess().robot());
    }

    /** The captures of a surface that count: the newest of each of the robot's sensors, lamps on; without any, the newest of others. */
    public List<Capture> counting(String surface) {
        return Survey.counting(season.captures(), surface, robotSensors());
    }

    /** The newest capture of a surface with the lamps on. */
    public Optional<Capture> latest(String surface) {
        return latest(surface, Lamp.ON);
    }

    public Optional<Capture> latest(String surface, Lamp lamp) {
        return Survey.latest(season.captures(), surface, lamp);
    }

    private Surveyed surveyed() {
        return new Surveyed(List.copyOf(season.captures()), season.setupOrGuess());
    }

    private Survey survey(Surveyed of) {
        before = Survey.of(of.captures(), of.setup(), before);
        return before;
    }

    private Verdict verdict() {
        List<Capture> dark = counting(Capture.DARK);
        List<Capture> light = counting(Capture.LIGHT);
        if (dark.isEmpty() && light.isEmpty()) {
            return Verdict.open("Hold all sensors over light and press L. No cable? Press T.");
        }
        if (dark.isEmpty() || light.isEmpty()) {
            boolean lightLacks = light.isEmpty();
            return Verdict.open(
                    "Now hold all sensors over " + (lightLacks ? "light and press L." : "dark and press D."));
        }
        return CaptureVerdict.of(
                surveyShown(), Stream.concat(dark.stream(), light.stream()).toList());
    }
}
