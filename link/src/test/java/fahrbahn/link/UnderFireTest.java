package fahrbahn.link;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.link.bench.BenchRig;
import fahrbahn.link.bench.BenchRobot;
import fahrbahn.link.bench.BenchRobotGuest;
import fahrbahn.link.bench.BenchRobotServer;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/** Peers that are no robots, that vanish without a word, that do not read. */
@Timeout(600)
class UnderFireTest {
    @TempDir
    private Path folder;

    private final Ears ears = new Ears();

    private static ServerSocket server() throws Exception {
        return new ServerSocket(0, 4, InetAddress.getLoopbackAddress());
    }

    private Link link(ServerSocket server) {
        return TcpLink.open(new TcpAddress("127.0.0.1", server.getLocalPort()), ears, ears.times);
    }

    private static void say(Socket socket, String text) throws Exception {
        socket.getOutputStream().write(text.getBytes(StandardCharsets.UTF_8));
    }

    private static void until(String what, BooleanSupplier condition) throws InterruptedException {
        while (!condition.getAsBoolean()) { // for ever, if it never is so: the watchdog's
            Thread.onSpinWait();
        }
    }

    @Test
    void columnsThatKeepChangingAreNoRobots() throws Exception {
        try (ServerSocket server = server();
                Link link = link(server);
                Socket peer = server.accept()) {
            StringBuilder changing = new StringBuilder();
            for (int i = 0; i < 1000; i++) {
                changing.append("a").append(i).append(",b\n1,2\n");
            }
            say(peer, changing.toString());
            assertThat(ears.lost.poll(Ears.PATIENCE_S, TimeUnit.SECONDS))
                    .contains("does not look like a robot", "columns changed");
            assertThat(ears.readings).hasSizeLessThanOrEqualTo(6);
            assertThat(peer.getInputStream().read()).as("it is let go").isEqualTo(-1);
        }
    }

    @Test
    void aRobotStartedAnewSeveralTimesIsARobot() throws Exception {
        AtomicLong now = new AtomicLong();
        Sanity sanity = new Sanity(now::get);
        for (int i = 0; i < 100; i++) {
            sanity.reading(List.of("a" + i));
            now.addAndGet(300_000_000L);
        }
        assertThatThrownBy(() -> {
                    for (int i = 0; i < 100; i++) {
                        sanity.reading(List.of("b" + i));
                        now.addAndGet(100_000_000L);
                    }
                })
                .isInstanceOf(NoRobotException.class);
    }

    @Test
    void sixtyFourColumnsAreHeardAndMoreAreBrokenLines() throws Exception {
        try (ServerSocket server = server();
                Link link = link(server);
                Socket peer = server.accept()) {
            say(peer, names(800) + "\n" + numbers(800) + "\n" + numbers(800) + "\n");
            until("counted", () -> ears.brokenLines >= 2);
            say(peer, names(64) + "\n" + numbers(64) + "\n");
            assertThat(ears.await("64 columns", r -> true).values()).hasSize(64);
        }
    }

    private static String names(int count) {
        return IntStream.range(0, count).mapToObj(i -> "s" + i).collect(Collectors.joining(","));
    }

    private static String numbers(int count) {
        return IntStream.range(0, count).mapToObj(String::valueOf).collect(Collectors.joining(","));
    }

    @Test
    void garbageWithoutEndIsLetGo() throws Exception {
        try (ServerSocket server = server();
                Link link = link(server);
                Socket peer = server.accept()) {
            byte[] garbage = "%$&/()=?\n".repeat(10_000).getBytes(StandardCharsets.UTF_8);
            assertThatThrownBy(() -> {
                        OutputStream out = peer.getOutputStream();
                        for (int i = 0; i < 10_000; i++) {
                            out.write(garbage);
                        }
                    })
                    .as("nobody listens any more")
                    .isInstanceOf(java.io.IOException.class);
            assertThat(ears.lost.poll(Ears.PATIENCE_S, TimeUnit.SECONDS)).contains("make no sense");
        }
    }

    @Test
    void aPeerThatVanishesWithoutAWordIsNoticedAndMetAgain() throws Exception {
        try (ServerSocket server = server();
                Link link = link(server)) {
            try (Socket peer = server.accept()) {
                say(peer, "a,b\n1,2\n");
                ears.await("the first", r -> r.value(0) == 1);
                ears.nowNs.addAndGet(3_000_000_000L);
                assertThat(ears.awaitAway()).contains("says nothing any more");
                try (Socket again = server.accept()) {
                    say(again, "3,4\n");
                    ears.await("met again", r -> r.value(0) == 3);
                }
            }
            assertThat(ears.lost).isEmpty();
        }
    }

    @Test
    void aRobotThatSpeaksSeldomIsNotTakenForOneThatHasGone() {
        Pulse quick = new Pulse();
        Pulse seldom = new Pulse();
        assertThat(quick.gone(9_000_000_000L))
                .as("it has not said anything yet")
                .isFalse();
        for (int i = 0; i < 5; i++) {
            quick.heard(i * 10_000_000L);
            seldom.heard(i * 1_500_000_000L);
        }
        assertThat(quick.gone(40_000_000L + 2_400_000_000L)).isFalse();
        assertThat(quick.gone(40_000_000L + 2_600_000_000L)).isTrue();
        assertThat(seldom.gone(6_000_000_000L + 4_400_000_000L)).isFalse();
        assertThat(seldom.gone(6_000_000_000L + 4_600_000_000L)).isTrue();
    }

    @Test
    void closingWhileConnectingLeavesNoThread() throws Exception {
        try (ServerSocket full = new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
                Socket first = new Socket("127.0.0.1", full.getLocalPort());
                Socket second = new Socket("127.0.0.1", full.getLocalPort())) {
            // Nobody accepts and its queue is full: whoever comes next waits, for three seconds if nobody ends it.
            TcpLink link = TcpLink.open(new TcpAddress("127.0.0.1", full.getLocalPort()), ears, ears.times);
            String thread = "robot link " + link.source();
            until("it waits to be let in", () -> waitsInConnect(thread));
            link.close();
            until("its thread has ended", () -> !alive(thread));
            assertThat(ears.lost).as("who closed it is told nothing").isEmpty();
        }
    }

    private static boolean waitsInConnect(String name) {
        return Thread.getAllStackTraces().entrySet().stream()
                .filter(t -> t.getKey().getName().equals(name))
                .flatMap(t -> java.util.Arrays.stream(t.getValue()))
                .anyMatch(frame -> frame.getMethodName().equals("timedFinishConnect")
                        || frame.getMethodName().equals("connect")
                                && frame.getClassName().equals("java.net.Socket"));
    }

    private static boolean alive(String name) {
        return Thread.getAllStackTraces().keySet().stream()
                .anyMatch(t -> t.getName().equals(name) && t.isAlive());
    }

    @Test
    void aFileWrittenAnewInItsPlaceIsReadAnew() throws Exception {
        Path file = Files.writeString(folder.resolve("log.csv"), "a,b\n1,2\n3,4\n");
        try (Link link = FileLink.open(file, ears, ears.times)) {
            ears.await("the old ones", r -> r.value(0) == 3);
            try (OutputStream same = Files.newOutputStream(file)) { // the same file, longer than before
                same.write("a,b\n5,6\n7,8\n9,10\n".getBytes(StandardCharsets.UTF_8));
            }
            Files.setLastModifiedTime(file, FileTime.fromMillis(System.currentTimeMillis() + 5000));
            ears.await("the first of the new ones", r -> r.value(0) == 5);
            ears.await("the last", r -> r.value(0) == 9);
            Files.writeString(file, "11,12\n", java.nio.file.StandardOpenOption.APPEND);
            ears.await("and on", r -> r.value(0) == 11);
        }
    }

    @Test
    void severalListenAndOneThatDoesNotReadIsDropped() throws Exception {
        try (BenchRobotServer bench = BenchRobotServer.open(0, new BenchRobot(BenchRig.PAIR, 1))) {
            Threads.daemon("serving").newThread(bench::serve).start();
            Ears other = new Ears();
            TcpAddress address = new TcpAddress("127.0.0.1", bench.port());
            try (Link one = TcpLink.open(address, ears, ears.times);
                    Link two = TcpLink.open(address, other, other.times);
                    Socket deaf = new Socket()) {
                deaf.setReceiveBufferSize(1024);
                deaf.connect(new InetSocketAddress("127.0.0.1", bench.port()));
                ears.await("one hears", r -> true);
                other.await("the other too", r -> true);
                deaf.getOutputStream()
                        .write("x".repeat(1 << 20).getBytes(StandardCharsets.UTF_8)); // a line without end
                one.send("at 12.5");
                ears.await("what one does", r -> r.positionMm() == 12.5);
                other.await("the other sees", r -> r.positionMm() == 12.5);
                until("three listen", () -> bench.guests() == 3);
            }
        }
    }

    @Test
    void whoLeavesIsNotCountedAsDropped() throws Exception {
        try (BenchRobotServer bench = BenchRobotServer.open(0, new BenchRobot(BenchRig.PAIR, 1))) {
            AtomicLong told = new AtomicLong();
            Threads.daemon("serving").newThread(() -> bench.serve(told::set)).start();
            try (Socket left = new Socket("127.0.0.1", bench.port())) {
                until("one listens", () -> bench.guests() == 1);
            }
            until("it left", () -> bench.guests() == 0);
            assertThat(told).as("who leaves is not dropped").hasValue(0);
            assertThat(bench.dropped()).isZero();
        }
    }

    @Test
    void aGuestThatFallsBehindIsTold() throws Exception {
        try (ServerSocket door = server();
                Socket deaf = new Socket("127.0.0.1", door.getLocalPort())) {
            BenchRobotGuest guest = BenchRobotGuest.welcome(door.accept(), new BenchRobot(BenchRig.PAIR, 1));
            byte[] line = "1,2,3\n".repeat(10_000).getBytes(StandardCharsets.UTF_8);
            int heard = 0;
            while (guest.hear(line, line)) {
                heard++;
                assertThat(heard).as("its queue has an end").isLessThan(100_000);
            }
            assertThat(guest.full()).isTrue();
            guest.close();
        }
    }
}
