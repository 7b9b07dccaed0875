package fahrbahn.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.live.LiveStatus.Phase;
import fahrbahn.link.LinkTimes;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** A real socket, and a clock that the test moves. */
@Timeout(600)
class LiveModelTest {
    private static final LinkTimes STILL = new LinkTimes(() -> 0, 1);

    private final List<String> told = new ArrayList<>();
    private long nowNs = 1;
    private final LiveModel live = new LiveModel(() -> nowNs, STILL, told::add);

    @AfterEach
    void disconnect() {
        live.disconnect();
    }

    private LiveStatus status() {
        return live.statusProperty().get();
    }

    /** Frame after frame, until it is so. */
    private void until(String what, BooleanSupplier condition) {
        while (!condition.getAsBoolean()) { // for ever, if it never is so: the watchdog's
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
            live.connectTo("127.0.0.1:" + server.getLocalPort());
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

    /** In a process of its own it says so itself, and what it says after that is told; a real robot's comments are not. */
    @Test
    void aSimulatedRobotIsToldFromARealOne() throws Exception {
        for (boolean simulated : new boolean[] {true, false}) {
            told.clear();
            try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
                live.connectTo("127.0.0.1:" + server.getLocalPort());
                try (Socket robot = server.accept()) {
                    say(robot, simulated ? "# bench robot, a line every 0.01 s\n" : "# mine, version 3\n");
                    say(robot, "left,right\n1,2\n# It finished after 8.4 s\n3,4\n");
                    until("heard", () -> status().readings() == 2);
                    assertThat(status().simulated()).isEqualTo(simulated);
                    until("told", () -> simulated == told.contains("It finished after 8.4 s."));
                    live.disconnect();
                    assertThat(status().simulated()).isFalse();
                }
            }
        }
    }

    @Test
    void garbageAloneIsCountedWhileItWaits() throws Exception {
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            live.connectTo("127.0.0.1:" + server.getLocalPort());
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
            live.connectTo("127.0.0.1:" + server.getLocalPort());
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
            live.connectTo("127.0.0.1:" + server.getLocalPort());
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

    @Test
    void whatIsShownWhileItIsSilentIsOldAndSaysSinceWhen() throws Exception {
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            live.connectTo(" 127.0.0.1:" + server.getLocalPort() + " ");
            try (Socket robot = server.accept()) {
                say(robot, "left,right\n1,2\n");
                until("live", () -> status().phase() == Phase.LIVE);
                assertThat(status().old()).isFalse();
                assertThat(status().quietS()).isZero();
                nowNs += 7_400_000_000L;
                until("silent", () -> status().phase() == Phase.SILENT);
                assertThat(status().old()).isTrue();
                assertThat(status().quietS()).isEqualTo(7);
                assertThat(live.latestProperty().get())
                        .as("still there, to be dimmed")
                        .containsExactly(1, 2);
            }
            until("away", () -> status().phase() == Phase.AWAY);
            assertThat(status().old()).isTrue();
        }
    }

    /** A clock that runs while readings are taken in: what does not fit into a frame waits for the next. */
    @Test
    void aFrameTakesInWhatFitsAndLeavesTheRest() throws Exception {
        long[] ticking = {0};
        LiveModel slow =
                new LiveModel(() -> ticking[0] += 1_000_000, STILL, told::add); // each look at it takes a millisecond
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            slow.connectTo("127.0.0.1:" + server.getLocalPort());
            try (Socket robot = server.accept()) {
                StringBuilder lines = new StringBuilder("left,right\n");
                for (int i = 0; i < 100; i++) {
                    lines.append(i).append(",1\n");
                }
                say(robot, lines.toString());
                int frames = 0;
                int most = 0;
                while (slow.statusProperty().get().readings() < 100) {
                    long before = slow.statusProperty().get().readings();
                    slow.drain();
                    int taken = (int) (slow.statusProperty().get().readings() - before);
                    most = Math.max(most, taken);
                    frames += taken > 0 ? 1 : 0;
                }
                assertThat(most).as("in one frame of eight milliseconds").isBetween(1, 9);
                assertThat(frames).isGreaterThan(10);
                assertThat(slow.latestProperty().get()[0])
                        .as("in order, to the last")
                        .isEqualTo(99);
            }
        } finally {
            slow.disconnect();
        }
    }

    @Test
    void anAddressThatIsNoneIsToldAsItWasTyped() {
        for (String typed :
                List.of("", "robot", "robot:", ":5801", "robot:0", "robot:65536", "robot:58x", "robot:-1")) {
            told.clear();
            live.connectTo(typed);
            assertThat(told).singleElement().asString().contains("'" + typed + "'", "like 127.0.0.1:5801");
            assertThat(status().phase()).isEqualTo(Phase.NONE);
        }
    }
}
