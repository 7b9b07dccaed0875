package fahrbahn.app.errand;

import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;

/**
 * Where errands are run.
 *
 * @param worker for the work itself
 * @param interfaceThread where results are handed over
 * @param tell puts words on the notice line
 * @param working counts those that are out
 */
public record Errands(Executor worker, Executor interfaceThread, Consumer<String> tell, Busy working) {
    /** How many errands are out. Belongs to the interface thread. */
    static final class Busy {
        private final ReadOnlyBooleanWrapper any = new ReadOnlyBooleanWrapper(false);
        private int count;

        void begun() {
            count++;
            any.set(true);
        }

        void ended() {
            count--;
            any.set(count > 0);
        }
    }

    public Errands(Executor worker, Executor interfaceThread, Consumer<String> tell) {
        this(worker, interfaceThread, tell, new Busy());
    }

    /** True while any errand is out. */
    public ReadOnlyBooleanProperty busy() {
        return working.any.getReadOnlyProperty();
    }

    /** A place for one piece of work at a time. @param what it is about, to read before "could not be done" */
    public <T> Errand<T> errand(String what) {
        return new Errand<>(this, what);
    }
}
