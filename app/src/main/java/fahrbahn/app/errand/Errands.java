package fahrbahn.app.errand;

import java.util.concurrent.Executor;
import java.util.function.Consumer;

/**
 * Where errands are run.
 *
 * @param worker for the work itself
 * @param interfaceThread where results are handed over
 * @param tell puts words on the notice line
 */
public record Errands(Executor worker, Executor interfaceThread, Consumer<String> tell) {
    /** A place for one piece of work at a time. @param what it is about, to read before "could not be done" */
    public <T> Errand<T> errand(String what) {
        return new Errand<>(this, what);
    }
}
