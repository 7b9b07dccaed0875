package fahrbahn.app.measure;

import fahrbahn.app.season.Season;
import fahrbahn.core.quality.Survey;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Lamp;
import java.time.Clock;
import java.util.Optional;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Takes readings typed off the robot's display, sensor after sensor, and makes a capture of them. */
public final class Typist {
    private final Season season;
    private final Clock clock;
    private final ReadOnlyObjectWrapper<Optional<Typing>> typing = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyIntegerWrapper asked = new ReadOnlyIntegerWrapper(0);

    Typist(Season season, Clock clock) {
        this.season = season;
        this.clock = clock;
    }

    /** The readings that are being typed; empty while none are. */
    public ReadOnlyObjectProperty<Optional<Typing>> typingProperty() {
        return typing.getReadOnlyProperty();
    }

    /** Another number each time readings are asked for, also for a surface that is being typed already. */
    public ReadOnlyIntegerProperty askedProperty() {
        return asked.getReadOnlyProperty();
    }

    /** Asks for readings of a surface off the robot's display, sensor after sensor; goes on where it was left. */
    public void begin(String surface) {
        boolean same = typing.get().isPresent()
                && typing.get().get().surface().equals(surface)
                && season.sensorNames().containsAll(typing.get().get().sensors());
        if (!same) {
            typing.set(Optional.of(Typing.of(surface, season.sensorNames())));
        }
        asked.set(asked.get() + 1);
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
        typing.set(Optional.empty());
        if (next.sensors().isEmpty()) {
            return;
        }
        season.addCaptures(next.together().stream().map(this::capture).toList());
    }

    private Capture capture(Typing typed) {
        return new Capture(
                MeasureModel.newId(),
                typed.surface(),
                clock.instant(),
                Capture.TYPED,
                typed.columns(),
                typed.readings(),
                season.conditionsNow());
    }

    /** Asks for readings of whichever of light and dark is missing, light first; of light when neither is. */
    public void next() {
        boolean darkLacks = has(Capture.LIGHT) && !has(Capture.DARK);
        begin(typing.get().map(Typing::surface).orElse(darkLacks ? Capture.DARK : Capture.LIGHT));
    }

    /** Puts away what has been typed of the surface so far. */
    public void stop() {
        typing.set(Optional.empty());
    }

    /** Ends it. @return what is lost by that, in words; empty when nothing had been typed */
    Optional<String> breakOff() {
        Optional<String> lost = typing.get()
                .filter(Typing::begun)
                .map(typed -> "The typing of " + typed.surface() + " was interrupted");
        stop();
        return lost;
    }

    private boolean has(String surface) {
        return Survey.latest(season.captures(), surface, Lamp.ON).isPresent();
    }
}
