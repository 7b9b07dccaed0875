package fahrbahn.app.season;

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
        run(what, work, done, () -> {});
    }

    /** @param broke called on the interface thread, before the words, when there will be no result */
    private <T> void run(String what, Supplier<T> work, Consumer<T> done, Runnable broke) {
        worker.execute(() -> {
            try {
                T result = work.get();
                interfaceThread.execute(() -> done.accept(result));
            } catch (RuntimeException | OutOfMemoryError broken) {
                LOG.log(Level.SEVERE, what, broken);
                String why = broken instanceof OutOfMemoryError ? "the memory is full" : broken.getMessage();
                interfaceThread.execute(() -> {
                    broke.run();
                    failed.accept(
                            what + " could not be done: " + why + ". Nothing was changed; details are in the log.");
                });
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
            run(what, work, done, () -> {});
        }

        /** @param broke called when the newest work breaks, so that nobody waits for its result */
        public <T> void run(String what, Supplier<T> work, Consumer<T> done, Runnable broke) {
            long mine = ++asked;
            Background.this.run(
                    what,
                    work,
                    result -> {
                        if (mine == asked) {
                            done.accept(result);
                        }
                    },
                    () -> {
                        if (mine == asked) {
                            broke.run();
                        }
                    });
        }
    }
}
