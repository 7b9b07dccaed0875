package fahrbahn.app.model;

import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.readings.ReadingsFile;
import fahrbahn.core.readings.SurfaceStats;
import fahrbahn.store.BadFileException;
import fahrbahn.store.ReadingsCsv;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import javafx.beans.InvalidationListener;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** Captures of surfaces, live or from a file, and whether they can be trusted. */
public final class MeasureModel extends StationModel {
    /** Readings in a capture: enough for a standard deviation known to 8 % (1/sqrt(2n)). */
    static final int READINGS_PER_CAPTURE = 80;

    /** Below so many the standard deviation is off by a fifth or more. */
    private static final int FEW_READINGS = 12;

    /** Lamps, rain and another hall: a capture from another day is not to be trusted. */
    private static final Duration STAYS_FRESH = Duration.ofHours(12);

    private final SeasonModel season;
    private final LiveModel live;
    private final Clock clock;
    private final Background background;
    private final Consumer<String> told;
    private final ReadOnlyStringWrapper capturing = new ReadOnlyStringWrapper("");
    private final ReadOnlyDoubleWrapper progress = new ReadOnlyDoubleWrapper(0);
    private final List<Reading> collected = new ArrayList<>();

    MeasureModel(SeasonModel season, LiveModel live, Clock clock, Background background, Consumer<String> told) {
        this.season = season;
        this.live = live;
        this.clock = clock;
        this.background = background;
        this.told = told;
        live.addHearer(this::hear);
        live.statusProperty().addListener(o -> {
            if (live.statusProperty().get().phase() == LiveModel.Phase.NONE) {
                stop();
            }
        });
        season.captures().addListener((InvalidationListener) o -> update());
        season.setupProperty().addListener(o -> update());
        update();
    }

    public SeasonModel season() {
        return season;
    }

    public LiveModel live() {
        return live;
    }

    /** The surface being captured; empty when none is. */
    public ReadOnlyStringProperty capturingProperty() {
        return capturing.getReadOnlyProperty();
    }

    /** How far the capture is, 0 to 1. */
    public ReadOnlyDoubleProperty progressProperty() {
        return progress.getReadOnlyProperty();
    }

    /** Takes the next readings as this surface. */
    public void capture(String surface) {
        if (live.statusProperty().get().phase() == LiveModel.Phase.NONE) {
            told.accept(
                    "No robot is connected, so there is nothing to capture. Connect one, or import a file of readings.");
            return;
        }
        collected.clear();
        progress.set(0);
        capturing.set(surface);
    }

    private void hear(Reading reading) {
        if (capturing.get().isEmpty()) {
            return;
        }
        collected.add(reading);
        progress.set((double) collected.size() / READINGS_PER_CAPTURE);
        if (collected.size() == READINGS_PER_CAPTURE) {
            String source = live.statusProperty().get().source();
            season.addCaptures(
                    List.of(new Capture(newId(), capturing.get(), clock.instant(), source, live.sensors(), collected)));
            stop();
        }
    }

    private void stop() {
        collected.clear();
        capturing.set("");
        progress.set(0);
    }

    /** Brings in a file; each surface it names becomes a capture, all in one step. */
    public void importFile(Path file) {
        background.run("Reading " + file.getFileName(), () -> readFile(file), outcome -> outcome.accept(this));
    }

    /** What reading a file came to: captures, or words about what is wrong with it. */
    private Consumer<MeasureModel> readFile(Path file) {
        try {
            List<Capture> captures =
                    captures(ReadingsCsv.read(file), file.getFileName().toString(), clock.instant());
            return model -> model.season.addCaptures(captures);
        } catch (BadFileException broken) {
            return model -> model.told.accept(broken.getMessage());
        }
    }

    private static List<Capture> captures(ReadingsFile file, String source, Instant at) throws BadFileException {
        Map<String, List<Reading>> bySurface = new LinkedHashMap<>();
        for (Reading reading : file.readings()) {
            bySurface.computeIfAbsent(reading.surface(), s -> new ArrayList<>()).add(reading);
        }
        List<Capture> captures = new ArrayList<>();
        for (Map.Entry<String, List<Reading>> surface : bySurface.entrySet()) {
            if (surface.getKey().isEmpty()) {
                throw new BadFileException(
                        source + ": " + Words.count(surface.getValue().size(), "reading has", "readings have")
                                + " no surface. Add a column 'surface' that says dark or light. Nothing was imported");
            }
            if (surface.getValue().size() < 2) {
                throw new BadFileException(source + ": only one reading on '" + surface.getKey()
                        + "'; at least 2 are needed. Nothing was imported");
            }
            captures.add(new Capture(newId(), surface.getKey(), at, source, file.sensors(), surface.getValue()));
        }
        return captures;
    }

    private static String newId() {
        return UUID.randomUUID().toString();
    }

    /** The newest capture of a surface. */
    public Optional<Capture> latest(String surface) {
        return season.captures().stream()
                .filter(c -> c.surface().equals(surface))
                .reduce((older, newer) -> newer);
    }

    private void update() {
        Optional<Capture> dark = latest(Capture.DARK);
        Optional<Capture> light = latest(Capture.LIGHT);
        if (dark.isEmpty() && light.isEmpty()) {
            say(
                    Verdict.open(
                            "Connect the robot, hold all its sensors over light and press L, then over dark and press D."),
                    Freshness.missing("no captures"));
        } else if (dark.isEmpty() || light.isEmpty()) {
            boolean lightLacks = light.isEmpty();
            say(
                    Verdict.open(
                            "Now hold all sensors over " + (lightLacks ? "light and press L." : "dark and press D.")),
                    Freshness.missing(lightLacks ? "no light" : "no dark"));
        } else {
            judge(dark.get(), light.get());
        }
    }

    private void judge(Capture dark, Capture light) {
        Instant older = dark.at().isBefore(light.at()) ? dark.at() : light.at();
        Duration age = Duration.between(older, clock.instant());
        Freshness freshness = age.compareTo(STAYS_FRESH) > 0
                ? Freshness.stale("captured " + Words.count(age.toHours(), "hour", "hours") + " ago")
                : Freshness.FRESH;
        say(verdict(dark, light), freshness);
    }

    private static Verdict verdict(Capture dark, Capture light) {
        List<String> shared =
                light.sensors().stream().filter(dark.sensors()::contains).toList();
        if (shared.isEmpty()) {
            return Verdict.stop("The captures of dark and light share no sensor (" + String.join(", ", dark.sensors())
                    + " and " + String.join(", ", light.sensors()) + "). Capture both with the same robot.");
        }
        int fewest = Math.min(dark.readings().size(), light.readings().size());
        String weakest = "";
        double weakestSteps = Double.POSITIVE_INFINITY;
        double itsContrast = 0;
        double itsNoise = 0;
        for (String sensor : shared) {
            SurfaceStats onDark = SurfaceStats.of(dark.values(sensor), 0);
            SurfaceStats onLight = SurfaceStats.of(light.values(sensor), 0);
            double contrast = Math.abs(onLight.mean() - onDark.mean());
            double noise = Math.max(onDark.sd(), onLight.sd());
            if (contrast / noise < weakestSteps || weakest.isEmpty()) {
                weakest = sensor;
                weakestSteps = contrast / noise;
                itsContrast = contrast;
                itsNoise = noise;
            }
        }
        String numbers = "Sensor " + weakest + " has the least contrast for its noise: " + Words.number(itsContrast)
                + " against " + Words.number(itsNoise, 2);
        if (!(weakestSteps > 8)) {
            return Verdict.stop(
                    numbers + ". Dark and light are too alike: check its height, its lamp and where it stood.");
        }
        if (fewest < FEW_READINGS) {
            return Verdict.care(
                    numbers + ", but from " + fewest + " readings only. Capture longer before you trust it.");
        }
        return Verdict.good(numbers + ". " + (weakestSteps > 30 ? "Plenty." : "Enough.") + " Go on to Levels.");
    }
}
