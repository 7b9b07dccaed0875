package fahrbahn.core.job;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntConsumer;

/**
 * Does numbered pieces of work on several threads. The caller's thread works too. Which thread does which piece is left open, so
 * a piece must depend on its number alone; then the results do not depend on the number of threads.
 */
public final class Workers {
    private static final ExecutorService POOL = Executors.newCachedThreadPool(task -> {
        Thread thread = new Thread(task, "worker");
        thread.setDaemon(true);
        return thread;
    });

    private static final ThreadLocal<Integer> LANE = ThreadLocal.withInitial(() -> 0);

    private final int threads;

    private Workers(int threads) {
        this.threads = threads;
    }

    /** As many as this machine has cores. */
    public static Workers all() {
        return new Workers(Runtime.getRuntime().availableProcessors());
    }

    /**
     * Which of the threads that work together this one is: 0 the caller's, and 0 where nobody works together. For memory that each is to have for
     * itself; results must not depend on it.
     */
    public static int lane() {
        return LANE.get();
    }

    /** @param threads 1 or more, the caller's included */
    public static Workers of(int threads) {
        if (threads < 1) {
            throw new IllegalArgumentException("threads must be 1 or more, got " + threads);
        }
        return new Workers(threads);
    }

    /**
     * Does pieces 0 to count - 1 and returns when all are done; the first exception of a piece is thrown on.
     *
     * @throws CancelledException when the job asked to stop
     */
    public void run(int count, IntConsumer piece, Job job) {
        AtomicInteger next = new AtomicInteger();
        AtomicInteger done = new AtomicInteger();
        Runnable work = () -> {
            for (int i = next.getAndIncrement(); i < count; i = next.getAndIncrement()) {
                if (job.cancelled()) {
                    throw new CancelledException();
                }
                try {
                    piece.accept(i);
                } catch (RuntimeException | Error broken) {
                    next.set(count); // no use in going on
                    throw broken;
                }
                job.progress(done.incrementAndGet(), count);
            }
        };
        CompletableFuture<?>[] others =
                new CompletableFuture<?>[Math.min(threads, count) - 1 > 0 ? Math.min(threads, count) - 1 : 0];
        for (int i = 0; i < others.length; i++) {
            int lane = i + 1;
            others[i] = CompletableFuture.runAsync(() -> inLane(lane, work), POOL);
        }
        try {
            work.run();
        } finally {
            finish(others);
        }
    }

    private static void inLane(int lane, Runnable work) {
        int before = LANE.get();
        LANE.set(lane);
        try {
            work.run();
        } finally {
            LANE.set(before);
        }
    }

    private static void finish(CompletableFuture<?>[] others) {
        try {
            CompletableFuture.allOf(others).join();
        } catch (CompletionException broken) {
            if (broken.getCause() instanceof RuntimeException cause) {
                throw cause;
            }
            if (broken.getCause() instanceof Error error) {
                throw error; // a full memory is told as such, whichever thread met it
            }
            throw broken;
        }
    }
}
