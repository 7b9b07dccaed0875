package fahrbahn.app;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.live.LiveStatus.Phase;
import java.io.IOException;
import java.io.OutputStream;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryType;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.application.Platform;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.parallel.Isolated;

/** In the window: peers that send what no robot sends. It answers all the while, and can be disconnected. */
@Isolated
@Timeout(120)
class FloodTest extends InWindow {
    private static final double ANSWER_MS = 500;
    private static final long MOST_HEAP = 1L << 30;

    private long before;

    private interface Peer {
        void send(OutputStream out) throws IOException;
    }

    /** Lets the peer send until it is done or is let go, and asks the window again and again meanwhile. */
    private void fire(String what, Peer peer, String told) throws Exception {
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            CountDownLatch sent = new CountDownLatch(1);
            Thread sender = new Thread(() -> {
                try (Socket socket = server.accept()) {
                    peer.send(socket.getOutputStream());
                } catch (IOException letGo) {
                    // What was wanted.
                } finally {
                    sent.countDown();
                }
            });
            sender.start();
            onWindow(() -> {
                shop().live().connectTo("127.0.0.1:" + server.getLocalPort());
                return null;
            });
            double slowest = 0;
            int asked = 0;
            while (!sent.await(0, TimeUnit.SECONDS) || asked < 5) {
                long start = System.nanoTime();
                CountDownLatch answered = new CountDownLatch(1);
                Platform.runLater(answered::countDown);
                assertThat(answered.await(30, TimeUnit.SECONDS)).isTrue();
                slowest = Math.max(slowest, (System.nanoTime() - start) / 1e6);
                asked++;
            }
            until("told", () -> text("notice").contains(told));
            System.gc(); // what is garbage is not held: with much memory to spare it lies about for long
            long most = held() - before;
            onWindow(() -> {
                shop().live().disconnect();
                return null;
            });
            until("disconnected", () -> shop().live().statusProperty().get().phase() == Phase.NONE);
            sender.join();
            System.out.printf(
                    java.util.Locale.ROOT,
                    "under fire, %s: asked %d times, slowest answer %.0f ms, %d MB held%n",
                    what,
                    asked,
                    slowest,
                    most >> 20);
            assertThat(slowest).as(what + ": slowest answer, ms").isLessThan(ANSWER_MS);
            assertThat(most).as(what + ": memory").isLessThan(MOST_HEAP);
        }
    }

    /** What the latest collection left: what has been sent and read since, some gigabytes a second, is not in it. */
    private static long held() {
        return ManagementFactory.getMemoryPoolMXBeans().stream()
                .filter(pool -> pool.getType() == MemoryType.HEAP && pool.getCollectionUsage() != null)
                .mapToLong(pool -> pool.getCollectionUsage().getUsed())
                .sum();
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void theWindowAnswersWhateverIsSent() throws Exception {
        System.gc();
        before = held();
        robot.type(KeyCode.DIGIT3);
        fire(
                "3.7 MB of changing headers",
                out -> {
                    for (int i = 0; i < 185_000; i++) {
                        out.write(bytes("a" + i + ",b" + i + "\n1,2\n"));
                    }
                },
                "does not look like a robot: its columns changed");
        fire(
                "800 columns",
                out -> {
                    String names =
                            IntStream.range(0, 800).mapToObj(i -> "s" + i).collect(Collectors.joining(","));
                    String numbers = IntStream.range(0, 800).mapToObj(i -> "7").collect(Collectors.joining(","));
                    out.write(bytes(names + "\n"));
                    for (int i = 0; i < 3000; i++) {
                        out.write(bytes(numbers + "\n"));
                    }
                },
                "");
        byte[] garbage = new byte[1 << 20];
        new Random(3).nextBytes(garbage);
        fire(
                "garbage as fast as it goes",
                out -> {
                    for (int i = 0; i < 400; i++) {
                        out.write(garbage);
                    }
                },
                "make no sense");
        fire(
                "one endless line",
                out -> {
                    byte[] line = bytes("x".repeat(1 << 20));
                    for (int i = 0; i < 400; i++) {
                        out.write(line);
                    }
                },
                "");
        fire("good lines as fast as they go", out -> Flood.write(out, 64, 100_000, 0), "");
    }
}
