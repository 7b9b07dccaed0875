package fahrbahn.app.model;

import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.logging.Level;
import java.util.logging.Logger;

/** Work off the interface thread, its result back on it. Tests hand in executors that run at once. */
public final class Background {
    private static final Logger LOG = Logger.getLogger(Background.class.getName());

    private final Executor worker;
    private final Executor interfaceThread;
    private final Consumer<String> failed;

    /** @param failed told, on the interface thread, in words when work broke; the details are in the log */
    public Background(Executor worker, Executor interfaceThread, Consumer<String> failed) {
        this.worker = worker;
        this.interfaceThread = interfaceThread;
        this.failed = failed;
    }

    public <T> void run(String what, Supplier<T> work, Consumer<T> done) {
        worker.execute(() -> {
            try {
                T result = work.get();
                interfaceThread.execute(() -> done.accept(result));
            } catch (RuntimeException broken) {
                LOG.log(Level.SEVERE, what, broken);
                interfaceThread.execute(() -> failed.accept(what + " could not be done: " + broken.getMessage()));
            }
        });
    }

    /** A place for one result: when asked again before it is there, only the newest is delivered. */
    public final class Slot {
        private long asked;

        /** What was asked and is not there yet is no longer wanted. */
        public void forget() {
            asked++;
        }

        public <T> void run(String what, Supplier<T> work, Consumer<T> done) {
            long mine = ++asked;
            Background.this.run(what, work, result -> {
                if (mine == asked) {
                    done.accept(result);
                }
            });
        }
    }
}
