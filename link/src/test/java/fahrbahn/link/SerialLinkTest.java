package fahrbahn.link;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.fail;

import java.io.FileOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A serial port that is none: a pair of pseudo-terminals, one end for the app and one for the robot. Needs socat (Debian: socat). */
class SerialLinkTest {
    @TempDir
    private Path folder;

    /** The two ends of a cable, until it is pulled. */
    private final class Cable implements AutoCloseable {
        private final Process socat;
        private final Path appEnd;
        private final Path robotEnd;

        Cable() throws Exception {
            appEnd = folder.resolve("app-end");
            robotEnd = folder.resolve("robot-end");
            try {
                socat = new ProcessBuilder("socat", "pty,rawer,link=" + appEnd, "pty,rawer,link=" + robotEnd)
                        .redirectErrorStream(true)
                        .redirectOutput(folder.resolve("socat.log").toFile())
                        .start();
            } catch (IOException missing) {
                throw new AssertionError("this test needs socat: apt-get install socat", missing);
            }
            long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(Ears.PATIENCE_S);
            while (!(Files.exists(appEnd) && Files.exists(robotEnd))) {
                if (System.nanoTime() > until || !socat.isAlive()) {
                    fail("socat made no terminals: " + Files.readString(folder.resolve("socat.log")));
                }
                Thread.onSpinWait();
            }
        }

        void robotSays(String text) throws IOException {
            try (OutputStream out = new FileOutputStream(robotEnd.toFile())) {
                out.write(text.getBytes(StandardCharsets.UTF_8));
            }
        }

        @Override
        public void close() throws Exception {
            socat.destroy();
            socat.waitFor();
        }
    }

    @Test
    void aRobotIsHeardOverASerialPortUnpluggedAndPluggedInAgain() throws Exception {
        Ears ears = new Ears();
        Cable cable = new Cable();
        try (Link link = SerialLink.open(cable.appEnd.toString(), 115_200, ears, ears.times)) {
            cable.robotSays("tS,left,right\n0.01,500,510\n%$&\n0.02,501,511\n");
            assertThat(ears.await("the second", r -> r.tS() == 0.02).value(1)).isEqualTo(511);
            assertThat(ears.brokenLines).isEqualTo(1);
            assertThat(link.source()).isEqualTo(cable.appEnd.toString());
            cable.close();
            assertThat(ears.awaitAway()).contains("was unplugged", "comes back by itself");
            cable = new Cable();
            Cable again = cable;
            // The port must be open before the robot speaks, or nobody hears it: it says it until it is heard.
            for (int i = 0; ears.readings.peek() == null && i < 400; i++) {
                again.robotSays("0.03,502,512\n");
                ears.away.poll(20, TimeUnit.MILLISECONDS);
            }
            ears.await("heard again", r -> r.tS() == 0.03);
        } finally {
            cable.close();
        }
    }

    @Test
    void whatIsSentReachesTheRobot() throws Exception {
        Ears ears = new Ears();
        try (Cable cable = new Cable();
                Link link = SerialLink.open(cable.appEnd.toString(), 115_200, ears, ears.times)) {
            cable.robotSays("left\n1\n");
            ears.await("connected", r -> r.value(0) == 1);
            link.send("lamp off");
            try (var in = Files.newBufferedReader(cable.robotEnd)) {
                assertThat(in.readLine()).isEqualTo("lamp off");
            }
        }
    }

    @Test
    void aPortThatIsNotThereIsToldInWords() throws Exception {
        Ears ears = new Ears();
        try (Link link = SerialLink.open(folder.resolve("nothing").toString(), 115_200, ears, ears.times)) {
            assertThat(ears.lost.poll(Ears.PATIENCE_S, TimeUnit.SECONDS))
                    .contains("cannot be opened", "Plug the robot in");
        }
    }
}
