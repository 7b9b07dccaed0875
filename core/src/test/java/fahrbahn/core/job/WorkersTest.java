package fahrbahn.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicIntegerArray;
import org.junit.jupiter.api.Test;

class WorkersTest {
    @Test
    void everyPieceIsDoneOnce() {
        for (int threads = 1; threads <= 5; threads++) {
            AtomicIntegerArray done = new AtomicIntegerArray(200);
            Workers.of(threads).run(200, done::incrementAndGet, Job.UNWATCHED);
            for (int i = 0; i < done.length(); i++) {
                assertThat(done.get(i)).isOne();
            }
        }
        Workers.of(3)
                .run(
                        0,
                        i -> {
                            throw new AssertionError("nothing to do");
                        },
                        Job.UNWATCHED);
    }

    /** Two pieces that wait for each other can only be done by two threads, the caller's among them. */
    @Test
    void severalThreadsWorkAtOnce() {
        CountDownLatch both = new CountDownLatch(2);
        Set<Thread> threads = ConcurrentHashMap.newKeySet();
        Workers.of(2)
                .run(
                        2,
                        i -> {
                            threads.add(Thread.currentThread());
                            both.countDown();
                            try {
                                both.await();
                            } catch (InterruptedException stopped) {
                                throw new IllegalStateException(stopped);
                            }
                        },
                        Job.UNWATCHED);
        assertThat(threads).hasSize(2).contains(Thread.currentThread());
    }

    @Test
    void aBrokenPieceEndsTheWorkWithItsOwnException() {
        for (int threads = 1; threads <= 3; threads++) {
            Workers workers = Workers.of(threads);
            assertThatThrownBy(() -> workers.run(
                            100,
                            i -> {
                                if (i == 40) {
                                    throw new IllegalArgumentException("piece 40");
                                }
                            },
                            Job.UNWATCHED))
                    .isInstanceOf(IllegalArgumentException.class)
                    .hasMessage("piece 40");
        }
        assertThatThrownBy(() -> Workers.of(0)).hasMessageContaining("1 or more");
    }
}
