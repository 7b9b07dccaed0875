package fahrbahn.app.kit;

import fahrbahn.core.measuring.Taps;
import java.util.function.LongSupplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** A watch on one key: the first tap starts it, each further one marks what is counted; a slip is taken back. */
public final class Stopwatch {
    private final LongSupplier nanoClock;
    private final ReadOnlyObjectWrapper<Taps> taps = new ReadOnlyObjectWrapper<>(Taps.NONE);
    private final ReadOnlyObjectWrapper<Counting> counting = new ReadOnlyObjectWrapper<>(Counting.TIME);

    /** What the taps after the first are. */
    public enum Counting {
        /** One time from start to stop; a third tap starts anew. */
        TIME,
        WIGGLES,
        TURNS,
        LAPS
    }

    public Stopwatch(LongSupplier nanoClock) {
        this.nanoClock = nanoClock;
    }

    public ReadOnlyObjectProperty<Taps> tapsProperty() {
        return taps.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Counting> countingProperty() {
        return counting.getReadOnlyProperty();
    }

    /** Counts something else, from nothing. */
    public void count(Counting what) {
        counting.set(what);
        clear();
    }

    public void tap() {
        double nowS = nanoClock.getAsLong() / 1e9;
        boolean over = counting.get() == Counting.TIME && taps.get().count() == 1;
        taps.set((over ? Taps.NONE : taps.get()).with(nowS));
    }

    public void takeBack() {
        taps.set(taps.get().withoutLast());
    }

    public void clear() {
        taps.set(Taps.NONE);
    }

    /** Whether it goes on. */
    public boolean running() {
        int marks = taps.get().atS().size();
        return marks == 1 || marks > 1 && counting.get() != Counting.TIME;
    }

    /** Since the first tap, s; 0 before it. */
    public double elapsedS() {
        return taps.get().atS().isEmpty()
                ? 0
                : nanoClock.getAsLong() / 1e9 - taps.get().atS().get(0);
    }
}
