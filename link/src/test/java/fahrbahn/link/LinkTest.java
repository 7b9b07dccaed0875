package fahrbahn.link;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.readings.Reading;
import fahrbahn.core.readings.SurfaceStats;
import fahrbahn.link.bench.BenchProtocol;
import fahrbahn.link.bench.BenchRig;
import fahrbahn.link.bench.BenchRobot;
import fahrbahn.link.bench.BenchRobotServer;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LinkTest {
    private static final int PATIENCE_S = Ears.PATIENCE_S;

    @Test
    void benchRobotSeesItsLineAndObeys() {
        BenchRobot robot = new BenchRobot(BenchRig.PAIR, 4);
        double onLight = mean(robot, 0);
        BenchProtocol.obey(robot, "dark");
        double onDark = mean(robot, 0);
        BenchProtocol.obey(robot, "at -9.5");
        assertThat(mean(robot, 0)).as("left sensor over the line's centre").isCloseTo(onDark, within(8.0));
        assertThat(mean(robot, 1)).as("right sensor beside the line").isGreaterThan(500);
        assertThat(onLight - onDark).isGreaterThan(400);
        BenchProtocol.obey(robot, "slide 40 1000");
        robot.tick();
        assertThat(robot.placeMm()).isCloseTo(0.5, within(1e-9));
        BenchProtocol.obey(robot, "at nonsense");
        BenchProtocol.obey(robot, "");
        assertThat(robot.placeMm()).isCloseTo(0.5, within(1e-9));
    }

    private static double mean(BenchRobot robot, int sensor) {
        double[] values = new double[60];
        for (int i = 0; i < values.length; i++) {
            values[i] = robot.tick().value(sensor);
        }
        return SurfaceStats.of(values, 1).mean();
    }

    @Test
    void aServedBenchRobotIsHeardOverTcpAndObeysIt() throws Exception {
        try (BenchRobotServer server = BenchRobotServer.open(0, new BenchRobot(BenchRig.PAIR, 1))) {
            Thread serving = Threads.daemon("serving").newThread(server::serve);
            serving.start();
            Ears ears = new Ears();
            try (Link link = TcpLink.open(new TcpAddress("127.0.0.1", server.port()), ears, ears.times)) {
                assertThat(ears.readings.poll(PATIENCE_S, TimeUnit.SECONDS)).isNotNull();
                assertThat(ears.sensors).isEqualTo(BenchRig.PAIR.names());
                link.send("at 12.5");
                ears.await("a reading from the new place", r -> r.positionMm() == 12.5);
                server.close();
                assertThat(ears.awaitAway()).contains("comes back by itself");
            }
            serving.join(PATIENCE_S * 1000L);
            assertThat(serving.isAlive()).isFalse();
        }
    }

    @Test
    void aPortNobodyListensOnIsToldInWords() throws Exception {
        int free;
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            free = taken.getLocalPort();
        }
        Ears ears = new Ears();
        try (Link link = TcpLink.open(new TcpAddress("127.0.0.1", free), ears, ears.times)) {
            assertThat(ears.lost.poll(PATIENCE_S, TimeUnit.SECONDS)).contains("Nothing answers at 127.0.0.1:" + free);
        }
    }

    @Test
    void brokenLinesOnTheWireAreCountedNotFatal() throws Exception {
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            Ears ears = new Ears();
            try (Link link = TcpLink.open(new TcpAddress("127.0.0.1", server.getLocalPort()), ears, ears.times);
                    Socket robot = server.accept()) {
                OutputStream out = robot.getOutputStream();
                out.write("left,right\n1,2\n1\n#x\n%$\n3,4\n".getBytes(StandardCharsets.UTF_8));
                assertThat(ears.readings.poll(PATIENCE_S, TimeUnit.SECONDS).value(0))
                        .isEqualTo(1);
                assertThat(ears.readings.poll(PATIENCE_S, TimeUnit.SECONDS).value(0))
                        .isEqualTo(3);
                assertThat(ears.brokenLines).isEqualTo(2);
            }
        }
    }

    @Test
    void aRobotThatGoesAndComesBackIsHeardAgainAndHalfALineIsLost() throws Exception {
        Ears ears = new Ears();
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
                Link link = TcpLink.open(new TcpAddress("127.0.0.1", server.getLocalPort()), ears, ears.times)) {
            try (Socket robot = server.accept()) {
                robot.getOutputStream().write("left,right\n1,2\n77,".getBytes(StandardCharsets.UTF_8));
                ears.await("the first", r -> r.value(0) == 1);
            }
            assertThat(ears.awaitAway()).contains("has closed the link", "comes back by itself");
            try (Socket robot = server.accept()) {
                robot.getOutputStream().write("8\n3,4\n".getBytes(StandardCharsets.UTF_8));
                Reading next = ears.readings.poll(PATIENCE_S, TimeUnit.SECONDS);
                assertThat(next.values())
                        .as("without a header, columns as before")
                        .containsExactly(3, 4);
            }
            assertThat(ears.awaitAway()).isNotBlank();
            assertThat(ears.lost).isEmpty();
            assertThat(ears.brokenLines).as("the other half").isEqualTo(1);
        }
    }

    @Test
    void columnsMayChangeAndLinesMayBeEndless() throws Exception {
        Ears ears = new Ears();
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
                Link link = TcpLink.open(new TcpAddress("127.0.0.1", server.getLocalPort()), ears, ears.times);
                Socket robot = server.accept()) {
            OutputStream out = robot.getOutputStream();
            out.write("left,right\r\n1,2\r\na,b,c\r\n5,6,7\r\n".getBytes(StandardCharsets.UTF_8));
            ears.await("three columns", r -> r.values().length == 3);
            assertThat(ears.sensors).containsExactly("a", "b", "c");
            byte[] garbage = new byte[1 << 20];
            new Random(5).nextBytes(garbage);
            out.write(garbage);
            out.write("\na,b,c\n8,9,10\n".getBytes(StandardCharsets.UTF_8));
            ears.await("a reading after a megabyte of garbage", r -> r.value(0) == 8 && r.values().length == 3);
            assertThat(ears.brokenLines).isPositive();
        }
    }

    @Test
    void theBenchRobotServesThisMachineOnlyUnlessAsked() throws Exception {
        try (BenchRobotServer own = BenchRobotServer.open(0, new BenchRobot(BenchRig.PAIR, 1))) {
            assertThat(own.loopbackOnly()).isTrue();
        }
        try (BenchRobotServer all = BenchRobotServer.openToAll(0, new BenchRobot(BenchRig.PAIR, 1))) {
            assertThat(all.loopbackOnly()).isFalse();
        }
    }

    @Test
    void aFileIsReadAsItGrowsAndAgainWhenItIsBegunAnew(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("log.csv");
        Ears missing = new Ears();
        try (Link none = FileLink.open(file, missing, missing.times)) {
            assertThat(missing.lost.poll(PATIENCE_S, TimeUnit.SECONDS)).contains("There is no file");
        }
        Files.writeString(file, "# made by a test\nleft,right\n1,2\n");
        Ears ears = new Ears();
        try (Link link = FileLink.open(file, ears, ears.times)) {
            ears.await("what was there", r -> r.value(0) == 1);
            Files.writeString(file, "3,", StandardOpenOption.APPEND);
            Files.writeString(file, "4\n", StandardOpenOption.APPEND);
            assertThat(ears.await("what was added in two pieces", r -> r.value(0) == 3)
                            .value(1))
                    .isEqualTo(4);
            Files.writeString(file, "left,right\n9,9\n");
            ears.awaitAway();
            ears.await("the new file", r -> r.value(0) == 9);
            Path other = Files.writeString(folder.resolve("other.csv"), "left,right\n9,9\n5,5\n6,6\n");
            Files.move(other, file, StandardCopyOption.REPLACE_EXISTING);
            ears.awaitAway();
            ears.await("another file under its name", r -> r.value(0) == 6);
            assertThat(ears.brokenLines).isZero();
        }
    }

    @Test
    void ofALongFileOnlyTheEndIsRead(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("long.csv");
        StringBuilder text = new StringBuilder("left,right\n");
        int lines = 200_000;
        for (int i = 0; i < lines; i++) {
            text.append(i).append(",5\n");
        }
        Files.writeString(file, text);
        Ears ears = new Ears();
        try (Link link = FileLink.open(file, ears, ears.times)) {
            ears.await("the last line", r -> r.value(0) == lines - 1);
            assertThat(ears.sensors).containsExactly("left", "right");
            assertThat(ears.readings.size()).isLessThan(60_000);
        }
    }

    /** A pipe that nobody writes into, a device without end, a folder: said at once, and no thread is left waiting. */
    @Test
    void whatIsNoPlainFileIsNoLogThatGrows(@TempDir Path folder) throws Exception {
        Path pipe = folder.resolve("pipe");
        assertThat(new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor())
                .isZero();
        for (Path file : new Path[] {pipe, Path.of("/dev/zero"), folder}) {
            Ears ears = new Ears();
            try (Link link = FileLink.open(file, ears, ears.times)) {
                assertThat(ears.lost.poll(PATIENCE_S, TimeUnit.SECONDS))
                        .as("%s", file)
                        .contains(file.toString(), "no plain file");
            }
        }
    }
}
