package fahrbahn.link;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.readings.Reading;
import fahrbahn.core.readings.SurfaceStats;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

class LinkTest {
    private static final int PATIENCE_S = 20;

    private static final class Ears implements LinkListener {
        private final BlockingQueue<Reading> readings = new LinkedBlockingQueue<>();
        private final BlockingQueue<String> lost = new LinkedBlockingQueue<>();
        private volatile List<String> sensors = List.of();
        private volatile long brokenLines;

        @Override
        public void reading(List<String> names, Reading reading, long broken) {
            sensors = names;
            brokenLines = broken;
            readings.add(reading);
        }

        @Override
        public void lost(String why) {
            lost.add(why);
        }
    }

    @Test
    void benchRobotSeesItsLineAndObeys() {
        BenchRobot robot = new BenchRobot(4);
        double onLight = mean(robot, 0);
        robot.obey("dark");
        double onDark = mean(robot, 0);
        robot.obey("at -9.5");
        assertThat(mean(robot, 0)).as("left sensor over the line's centre").isCloseTo(onDark, within(8.0));
        assertThat(mean(robot, 1)).as("right sensor beside the line").isGreaterThan(500);
        assertThat(onLight - onDark).isGreaterThan(400);
        robot.obey("slide 40 1000");
        robot.tick();
        assertThat(robot.placeMm()).isCloseTo(0.5, within(1e-9));
        robot.obey("at nonsense");
        robot.obey("");
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
        try (BenchRobotServer server = BenchRobotServer.open(0, new BenchRobot(1))) {
            Thread serving = Threads.daemon("serving").newThread(server::serve);
            serving.start();
            Ears ears = new Ears();
            try (Link link = TcpLink.open("127.0.0.1", server.port(), ears)) {
                assertThat(ears.readings.poll(PATIENCE_S, TimeUnit.SECONDS)).isNotNull();
                assertThat(ears.sensors).isEqualTo(BenchRobot.SENSORS);
                link.send("at 12.5");
                Reading reading = ears.readings.poll(PATIENCE_S, TimeUnit.SECONDS);
                while (reading != null && reading.positionMm() != 12.5) {
                    reading = ears.readings.poll(PATIENCE_S, TimeUnit.SECONDS);
                }
                assertThat(reading).as("a reading from the new place").isNotNull();
                server.close();
                assertThat(ears.lost.poll(PATIENCE_S, TimeUnit.SECONDS)).isNotNull();
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
        try (Link link = TcpLink.open("127.0.0.1", free, ears)) {
            assertThat(ears.lost.poll(PATIENCE_S, TimeUnit.SECONDS)).contains("Nothing answers at 127.0.0.1:" + free);
        }
    }

    @Test
    void brokenLinesOnTheWireAreCountedNotFatal() throws Exception {
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            Ears ears = new Ears();
            try (Link link = TcpLink.open("127.0.0.1", server.getLocalPort(), ears);
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
}
