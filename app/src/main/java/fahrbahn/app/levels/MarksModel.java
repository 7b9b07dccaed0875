package fahrbahn.app.levels;

import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.State;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.marks.ChannelChoice;
import fahrbahn.core.marks.MarkCaptures;
import fahrbahn.core.marks.MarkComparison;
import fahrbahn.core.marks.MarkSample;
import fahrbahn.core.marks.MarkTiming;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.response.Spacing;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** Coloured marks told apart from the captures of a colour sensor. */
public final class MarksModel {
    /** What most programs ask for. */
    private static final int USUAL_READS = 3;

    private static final int MOST_READS = 50;

    private final Season season;
    private final Derived<Picture> picture;
    private final Parameter<Integer> reads;
    private final Parameter<Optional<String>> chosen;

    private record Captured(List<Capture> captures, Setup setup, int reads, Optional<String> sensor) {}

    /**
     * All that was computed from the captures there are.
     *
     * @param sensor empty where no colour sensor was captured
     * @param sensors all that were
     * @param comparison empty where there is no sensor, or something is missing
     * @param channels the sensor's channels, the one that tells line from ground best first
     * @param markMm over which a reading shows a usual turn mark: its length less the spot
     */
    public record Picture(
            String sensor,
            List<String> sensors,
            Optional<MarkComparison> comparison,
            List<ChannelChoice> channels,
            MarkTiming timing,
            double markMm) {}

    MarksModel(Season season, State state) {
        this.season = season;
        this.reads = state.parameter(USUAL_READS);
        this.chosen = state.parameter(Optional.empty());
        this.picture = state.derive(
                "The marks",
                () -> new Captured(List.copyOf(season.captures()), season.setupOrGuess(), reads.get(), chosen.get()),
                (captured, job) -> picture(captured));
    }

    Derived<Picture> picture() {
        return picture;
    }

    /** Of the captures that there are now, for a file; takes a while. @return by which it is told, when asked on any thread */
    Supplier<Optional<MarkComparison>> comparison() {
        List<Capture> captures = List.copyOf(season.captures());
        Optional<String> wish = chosen.get();
        return () -> {
            try {
                return sensor(captures, wish).map(s -> MarkComparison.of(MarkCaptures.of(captures, s)));
            } catch (BadValueException missing) {
                return Optional.empty(); // dark or light: then there are no rules for marks
            }
        };
    }

    int reads() {
        return reads.get();
    }

    /** Confirming reads that the program asks for. */
    void ask(double newReads) {
        Check.between("reads", newReads, 1, MOST_READS);
        reads.set((int) Math.round(newReads));
    }

    /** Another of the sensors that captured colours. */
    void choose(String sensor) {
        chosen.set(Optional.of(sensor));
    }

    private static Picture picture(Captured of) {
        List<Capture> captures = of.captures();
        Setup setup = of.setup();
        MarkTiming timing = new MarkTiming(of.reads(), setup.robot().loop().periodS(), setup.speedMmPerS());
        double markMm = Math.max(
                0,
                Spacing.MARK_WIDTHS * setup.line().widthMm()
                        - 2 * setup.lawSensors().get(0).spotSigmaMm());
        List<String> all = MarkCaptures.sensors(captures);
        Optional<String> sensor = sensor(captures, of.sensor());
        if (sensor.isEmpty()) {
            return new Picture("", all, Optional.empty(), List.of(), timing, markMm);
        }
        return new Picture(
                sensor.get(),
                all,
                Optional.of(MarkComparison.of(MarkCaptures.of(captures, sensor.get()))),
                channels(captures, sensor.get()),
                timing,
                markMm);
    }

    private static Optional<String> sensor(List<Capture> captures, Optional<String> wish) {
        List<String> all = MarkCaptures.sensors(captures);
        return wish.filter(all::contains).or(() -> all.stream().findFirst());
    }

    private static List<ChannelChoice> channels(List<Capture> captures, String sensor) {
        return ChannelChoice.of(newest(captures, Capture.DARK, sensor), newest(captures, Capture.LIGHT, sensor));
    }

    private static List<MarkSample> newest(List<Capture> captures, String surface, String sensor) {
        return captures.stream()
                .filter(c -> c.surface().equals(surface))
                .reduce((older, newer) -> newer)
                .map(capture -> MarkCaptures.of(List.of(capture), sensor))
                .orElse(List.of());
    }
}
