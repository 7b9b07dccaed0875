package fahrbahn.app.measure.live;

import fahrbahn.core.quality.CaptureQuality;
import fahrbahn.core.readings.Reading;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** Collects live readings into one capture: a surface by number, a sweep or a slide until it is told to stop. */
public final class Capturer {
    /** A minute and a half at two hundred a second: more than any sweep needs, and little memory. */
    private static final int MOST_READINGS = 20_000;

    private final BiConsumer<String, List<Reading>> finished;
    private final ReadOnlyStringWrapper capturing = new ReadOnlyStringWrapper("");
    private final ReadOnlyDoubleWrapper progress = new ReadOnlyDoubleWrapper(0);
    private final List<Reading> collected = new ArrayList<>();
    private int wanted;

    /** @param finished takes the surface and its readings; called before anything else can be captured */
    public Capturer(BiConsumer<String, List<Reading>> finished) {
        this.finished = finished;
    }

    /** The surface being captured; empty when none is. */
    public ReadOnlyStringProperty capturingProperty() {
        return capturing.getReadOnlyProperty();
    }

    /** 0 to 1; below 0 for one that has no known end. */
    public ReadOnlyDoubleProperty progressProperty() {
        return progress.getReadOnlyProperty();
    }

    public void begin(String surface) {
        start(surface, CaptureQuality.ENOUGH);
        progress.set(0);
    }

    public void beginOpen(String surface) {
        start(surface, MOST_READINGS);
        progress.set(-1);
    }

    private void start(String surface, int readings) {
        collected.clear();
        wanted = readings;
        capturing.set(surface);
    }

    public void hear(Reading reading) {
        if (capturing.get().isEmpty()) {
            return;
        }
        collected.add(reading);
        if (wanted < MOST_READINGS) {
            progress.set((double) collected.size() / wanted);
        }
        if (collected.size() == wanted) {
            finish();
        }
    }

    /** Takes what there is. @return how many readings there were */
    public int finish() {
        List<Reading> readings = List.copyOf(collected);
        String surface = capturing.get();
        stop();
        if (readings.size() >= 2) {
            finished.accept(surface, readings);
        }
        return readings.size();
    }

    /** Forgets what there is: half a capture is none. @return what was lost, in words; empty when nothing was being captured */
    public Optional<String> breakOff() {
        if (capturing.get().isEmpty()) {
            return Optional.empty();
        }
        String lost = "The capture of " + capturing.get() + " ended after "
                + Words.count(collected.size(), "reading", "readings");
        stop();
        return Optional.of(lost);
    }

    private void stop() {
        collected.clear();
        capturing.set("");
        progress.set(0);
    }
}
