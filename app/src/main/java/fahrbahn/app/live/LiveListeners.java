package fahrbahn.app.live;

import fahrbahn.core.readings.Reading;
import fahrbahn.core.runlog.RunClock;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Consumer;

/** Who hears what comes over the link, all on the interface thread. */
public final class LiveListeners {
    private final List<Hearer> hearers = new ArrayList<>();
    private final List<BiConsumer<List<String>, Reading>> loggers = new ArrayList<>();
    private final List<BiConsumer<Double, RunClock.Mark>> clocks = new ArrayList<>();

    private record Hearer(Consumer<Reading> reading, Consumer<String> broke) {}

    /** @param logger takes every line with its columns as the robot names them */
    public void addLogger(BiConsumer<List<String>, Reading> logger) {
        loggers.add(logger);
    }

    /** @param clock takes the robot's time of every reading, and what its program said of a run with it */
    public void addClock(BiConsumer<Double, RunClock.Mark> clock) {
        clocks.add(clock);
    }

    /**
     * Hears every reading from now on.
     *
     * @param broke told why readings before and after do not belong together: the link broke, the robot started again or sends other columns
     */
    public void addHearer(Consumer<Reading> reading, Consumer<String> broke) {
        hearers.add(new Hearer(reading, broke));
    }

    /** A line as it came. */
    void came(Inbox.Tick tick) {
        loggers.forEach(logger -> logger.accept(tick.columns(), tick.reading()));
        clocks.forEach(clock -> clock.accept(tick.reading().tS(), tick.mark()));
    }

    /** A reading of the robot's sensors. */
    void hear(Reading reading) {
        hearers.forEach(hearer -> hearer.reading().accept(reading));
    }

    void broke(String why) {
        hearers.forEach(h -> h.broke().accept(why));
    }
}
