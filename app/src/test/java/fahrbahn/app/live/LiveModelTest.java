package fahrbahn.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.Flood;
import fahrbahn.app.live.LiveModel.Phase;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** A real socket, and a clock that the test moves. */
class LiveModelTest {
    private static final long PATIENCE_NS = TimeUnit.SECONDS.toNanos(20);

    private final List<String> told = new ArrayList<>();
    private long nowNs = 1;
    private final LiveModel live = new LiveModel(() -> nowNs, told::add);

    @AfterEach
    void disconnect() {
        live.disconnect();
    }

    private LiveModel.Status status() {
        return live.statusProperty().get();
    }

    /** Frame after frame, until it is so. */
    private void until(String what, BooleanSupplier condition) {
        long end = System.nanoTime() + PATIENCE_NS;
        while (!condition.getAsBoolean()) {
            assertThat(System.nanoTime()).as(what).isLessThan(end);
            live.drain();
            Thread.onSpinWait();
        }
    }

    private static void say(Socket robot, String text) throws Exception {
        robot.getOutputStream().write(text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void silenceIsToldAndEndsWithTheNextReading() throws Exception {
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            live.connectTo("127.0.0.1", server.getLocalPort());
            assertThat(status().phase()).isEqualTo(Phase.WAITING);
            try (Socket robot = server.accept()) {
                say(robot, "left,right\n1,2\n");
                until("live", () -> status().phase() == Phase.LIVE);
                nowNs += 2_000_000_000L;
                until("silent", () -> status().phase() == Phase.SILENT);
                assertThat(told).as("silence is shown, not shouted").isEmpty();
                say(robot, "3,4\n");
                until("live again", () -> status().phase() == Phase.LIVE);
                assertThat(live.latestProperty().get()).containsExactly(3, 4);
            }
            until("away", () -> status().phase() == Phase.AWAY);
            assertThat(told).singleElement().asString().contains("comes back by itself");
        }
    }

    @Test
    void garbageAloneIsCountedWhileItWaits() throws Exception {
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            live.connectTo("127.0.0.1", server.getLocalPort());
            try (Socket robot = server.accept()) {
                say(robot, "%$&,1\n\"\"\"\n1;;\n");
                until("counted", () -> status().brokenLines() > 0);
                assertThat(status().phase()).isEqualTo(Phase.WAITING);
            }
        }
    }

    /** A window that does not come round to it: what does not fit is dropped and counted, the rest is there when it does. */
    @Test
    void aSlowReaderLosesTheNewestAndKnowsHowMany() throws Exception {
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            live.connectTo("127.0.0.1", server.getLocalPort());
            try (Socket robot = server.accept()) {
                long lines = Flood.write(robot.getOutputStream(), 16, 120_000, 0);
                until("all accounted for", () -> status().readings() + status().dropped() == lines);
                assertThat(status().dropped()).isPositive();
                say(robot, "0.5,1,2,3,4,5,6,7,8,9,10,11,12,13,14,15,16\n");
                long before = status().readings();
                until("it goes on", () -> status().readings() == before + 1);
            }
        }
    }

    @Test
    void columnsMayChangeInTheMiddle() throws Exception {
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            live.connectTo("127.0.0.1", server.getLocalPort());
            try (Socket robot = server.accept()) {
                say(robot, "left,right\n1,2\n");
                until("two", () -> live.sensors().size() == 2);
                say(robot, "left,middle,right\n1,2,3\n");
                until("three", () -> live.sensors().size() == 3);
                assertThat(live.columns()).containsExactly("left", "middle", "right");
                assertThat(live.trace().size()).isEqualTo(1);
            }
        }
    }
}
