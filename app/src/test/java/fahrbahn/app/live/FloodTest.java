package fahrbahn.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InWindow;
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
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** In the window: peers that send what no robot sends. It goes on answering, keeps nothing of it, and can be disconnected. */
@Timeout(1800)
class FloodTest extends InWindow {
    private static final long MOST_HEAP = 1L << 30;

    private long before;

    private interface Peer {
        void send(OutputStream out) throws IOException;
    }

    /** Lets the peer send until it is done or is let go, and asks the window again and again meanwhile. */
    private void fire(String what, Peer peer, BooleanSupplier told) throws Exception {
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
            int asked = 0;
            while (sent.getCount() > 0 || asked < 5) {
                asked += onWindow(() -> 1); // it answers, or the watchdog of onWindow does
            }
            until("told of " + what, told::getAsBoolean);
            System.gc(); // what is garbage is not held: with much memory to spare it lies about for long
            assertThat(held() - before).as(what + ": memory").isLessThan(MOST_HEAP);
            onWindow(() -> {
                shop().live().disconnect();
                return null;
            });
            until("disconnected", () -> shop().live().statusProperty().get().phase() == Phase.NONE);
            sender.join();
        }
    }

    private LiveStatus status() {
        return shop().live().statusProperty().get();
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
                    for (int i = 0; i < times(5_000, 185_000); i++) {
                        out.write(bytes("a" + i + ",b" + i + "\n1,2\n"));
                    }
                },
                () -> text("notice").contains("its columns changed"));
        fire(
                "800 columns",
                out -> {
                    String names =
                            IntStream.range(0, 800).mapToObj(i -> "s" + i).collect(Collectors.joining(","));
                    String numbers = IntStream.range(0, 800).mapToObj(i -> "7").collect(Collectors.joining(","));
                    out.write(bytes(names + "\n"));
                    for (int i = 0; i < times(300, 3000); i++) {
                        out.write(bytes(numbers + "\n"));
                    }
                },
                () -> status().brokenLines() >= times(300, 3000));
        byte[] garbage = new byte[1 << 20];
        new Random(3).nextBytes(garbage);
        fire(
                "garbage as fast as it goes",
                out -> {
                    for (int i = 0; i < times(20, 400); i++) {
                        out.write(garbage);
                    }
                },
                () -> text("notice").contains("make no sense"));
        fire(
                "one endless line",
                out -> {
                    byte[] line = bytes("x".repeat(1 << 20));
                    for (int i = 0; i < times(20, 400); i++) {
                        out.write(line);
                    }
                    out.write(bytes("\na,b\n1,2\n"));
                },
                () -> status().readings() == 1);
        long lines = times(10_000, 100_000);
        fire(
                "good lines as fast as they go",
                out -> Flood.write(out, 63, lines, 0),
                () -> status().readings() + status().dropped() == lines);
    }
}
