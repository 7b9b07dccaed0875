package fahrbahn.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Repeated;
import fahrbahn.link.LinkTimes;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** Two minutes, in the proof an hour, of sixteen sensors at a thousand readings a second, over a real socket, as fast as it is taken. */
@Timeout(1800)
class EnduranceTest extends Repeated {
    private static final long FRAME_NS = 16_000_000;

    /** What the heap may grow by from the first quarter to the end: the inbox's 32768 readings of 16 values weigh some 8 MB. */
    private static final long GROWTH_BYTES = 24L << 20;

    @Test
    void aFloodOfReadingsIsNotKeptAndNoneIsLostUncounted() throws Exception {
        long lines = times(120_000, 3_600_000);
        LiveModel live = new LiveModel(System::nanoTime, new LinkTimes(() -> 0, 1), words -> {});
        AtomicLong heard = new AtomicLong();
        live.listeners().addHearer(reading -> heard.incrementAndGet(), why -> {});
        long early = 0;
        AtomicLong sent = new AtomicLong();
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            live.connectTo("127.0.0.1:" + server.getLocalPort());
            try (Socket socket = server.accept()) {
                Thread robot = new Thread(() -> {
                    try {
                        sent.set(Flood.write(socket.getOutputStream(), 16, lines, 0));
                    } catch (java.io.IOException broken) {
                        sent.set(-1);
                    }
                });
                robot.start();
                while (sent.get() == 0 || sent.get() > 0 && taken(live) < sent.get()) {
                    live.drain();
                    if (early == 0 && heard.get() > lines / 4) {
                        early = usedBytes();
                    }
                    LockSupport.parkNanos(FRAME_NS);
                }
                robot.join();
            }
            LiveStatus status = live.statusProperty().get();
            assertThat(sent.get()).isEqualTo(lines);
            assertThat(status.readings() + status.dropped()).isEqualTo(lines);
            assertThat(status.readings()).isEqualTo(heard.get());
            assertThat(status.readings())
                    .as("those that are dropped are not all")
                    .isPositive();
            assertThat(status.brokenLines()).as("one garbage line in every 500").isEqualTo(lines / 500);
            assertThat(live.trace().size()).isEqualTo(LiveTrace.CAPACITY);
            assertThat(usedBytes() - early).as("growth of the heap, bytes").isLessThan(GROWTH_BYTES);
        } finally {
            live.disconnect();
        }
    }

    private static long taken(LiveModel live) {
        LiveStatus status = live.statusProperty().get();
        return status.readings() + status.dropped();
    }

    /** After what can be collected has been. */
    private static long usedBytes() {
        List<Long> used = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            System.gc();
            used.add(Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory());
        }
        return used.stream().min(Long::compare).orElseThrow();
    }
}
