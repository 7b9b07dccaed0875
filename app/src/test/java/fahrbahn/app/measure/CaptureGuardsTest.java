package fahrbahn.app.measure;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InShop;
import fahrbahn.app.Shop;
import fahrbahn.app.freshness.Freshness;
import fahrbahn.core.readings.Capture;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** A capture is of one robot in one go, and of its own sensors: whatever tears it ends it, with words, and nothing half is kept. */
@Timeout(600)
class CaptureGuardsTest extends InShop {

    private ServerSocket server;
    private Socket robot;

    @BeforeEach
    void connect() throws Exception {
        server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
        shop.live().connectTo("127.0.0.1:" + server.getLocalPort());
        robot = server.accept();
    }

    @AfterEach
    void disconnect() throws Exception {
        robot.close();
        server.close();
    }

    private void until(String what, BooleanSupplier condition) {
        while (!condition.getAsBoolean()) { // for ever, if it never is so: the watchdog's
            shop.live().drain();
            Thread.onSpinWait();
        }
    }

    private void say(String text) throws Exception {
        robot.getOutputStream().write(text.getBytes(StandardCharsets.UTF_8));
    }

    /** Lines from this time on, all alike. */
    private void rows(double fromS, int count, String values) throws Exception {
        long before = shop.live().statusProperty().get().readings();
        say(IntStream.range(0, count)
                .mapToObj(i -> String.format(Locale.ROOT, "%.2f,%s%n", fromS + 0.01 * i, values))
                .collect(Collectors.joining()));
        until("all heard", () -> shop.live().statusProperty().get().readings() == before + count);
    }

    private void halfACapture() throws Exception {
        say("tS,left,right\n");
        rows(1, 3, "740,735");
        shop.measure().capture(Capture.LIGHT);
        rows(2, 37, "740,735");
        assertThat(shop.measure().capturingProperty().get()).isEqualTo("light");
    }

    private void endedBecause(String why) {
        assertThat(shop.measure().capturingProperty().get()).isEmpty();
        assertThat(shop.notices().shownProperty().get())
                .startsWith("The capture of light ended after 37 readings")
                .contains(why)
                .contains("Nothing was kept");
        assertThat(shop.season().captures()).isEmpty();
    }

    /** It mixed two places once: 740 before the break and 240 after became one mean. */
    @Test
    void aLinkThatBreaksEndsTheCapture() throws Exception {
        halfACapture();
        robot.close();
        until("broken off", () -> shop.measure().capturingProperty().get().isEmpty());
        endedBecause("the link broke");
        robot = server.accept();
        say("tS,left,right\n");
        rows(0.1, 60, "240,236");
        assertThat(shop.season().captures()).isEmpty();
    }

    @Test
    void aRobotThatStartsAgainEndsTheCapture() throws Exception {
        halfACapture();
        rows(0, 1, "240,236");
        endedBecause("the robot started again: its clock went from 2.36 back to 0 s");
    }

    /** Without a clock it is told by its header, which a program sends as it starts. */
    @Test
    void aRobotWithoutAClockThatStartsAgainEndsTheCapture() throws Exception {
        say("left,right\n" + "740,735\n".repeat(3));
        until("live", () -> shop.live().statusProperty().get().readings() == 3);
        shop.measure().capture(Capture.LIGHT);
        say("740,735\n".repeat(37));
        until("half of it", () -> shop.live().statusProperty().get().readings() == 40);
        say("left,right\n240,236\n");
        until("heard", () -> shop.live().statusProperty().get().readings() == 41);
        endedBecause("the robot started again: it sent its header again");
    }

    @Test
    void columnsThatComeOrGoEndTheCapture() throws Exception {
        halfACapture();
        say("tS,left,middle,right\n");
        rows(3, 1, "740,730,735");
        endedBecause("the robot sent 2 columns (left, right) and now sends 3 columns (left, middle, right)");
    }

    @Test
    void disconnectingEndsTheCapture() throws Exception {
        halfACapture();
        shop.live().disconnect();
        endedBecause("the robot was disconnected");
    }

    @Test
    void aWholeCaptureOfOneRobotIsKept() throws Exception {
        halfACapture();
        rows(3, 43, "740,735");
        assertThat(shop.season().captures()).hasSize(1);
        assertThat(shop.season().captures().get(0).readings()).hasSize(80);
    }

    /** Two sensors were taken for the first two of sixteen once, and the levels turned green. */
    @Test
    void sixteenColumnsAreNotTheFirstTwoSensors() throws Exception {
        String names = IntStream.range(0, 16).mapToObj(i -> ",photo" + i).collect(Collectors.joining());
        say("tS" + names + "\n");
        rows(1, 2, "740,735" + ",500".repeat(14));
        shop.measure().capture(Capture.LIGHT);
        assertThat(shop.measure().capturingProperty().get()).isEmpty();
        assertThat(shop.measure().asking().questionProperty().get().words())
                .isEqualTo("The robot has 16 columns, the robot 2 sensors (left, right). Which is which?");
        assertThat(shop.measure().asking().questionProperty().get().inOrder()).isFalse();
        shop.measure().asking().mapColumn("photo3", "left");
        shop.measure().asking().mapColumn("photo7", "right");
        assertThat(shop.measure().asking().questionProperty().get().open()).isFalse();
        shop.measure().capture(Capture.LIGHT);
        rows(2, 80, "1,2,3,740,5,6,7,735,9,10,11,12,13,14,15,16");
        assertThat(shop.season().captures().get(0).sensors()).containsExactly("left", "right");
        assertThat(shop.season().captures().get(0).values("right")).containsOnly(735);
    }

    @Test
    void asManyColumnsOfOtherNamesAreTakenInOrderWhenTheCoachSaysSo() throws Exception {
        say("tS,port2,port3\n");
        rows(1, 2, "740,735");
        shop.measure().capture(Capture.LIGHT);
        assertThat(shop.measure().asking().questionProperty().get().inOrder()).isTrue();
        assertThat(shop.measure().capturingProperty().get()).isEmpty();
        shop.measure().asking().takeInOrder();
        shop.measure().capture(Capture.LIGHT);
        rows(2, 80, "740,735");
        assertThat(shop.season().captures().get(0).values("left")).containsOnly(740);
    }

    @Test
    void aTableWithOtherNamesAsksBeforeAnythingIsKept() {
        shop.measure().paste("surface,a,b\nlight,740,735\nlight,741,736\ndark,240,236\ndark,241,237\n");
        assertThat(shop.season().captures()).isEmpty();
        assertThat(shop.measure().asking().questionProperty().get().words())
                .startsWith("pasted has 2 columns (a, b), the robot 2 sensors (left, right)");
        shop.measure().capture(Capture.LIGHT);
        assertThat(shop.season().captures())
                .as("a surface is no answer to that")
                .isEmpty();
        shop.measure().asking().takeInOrder();
        assertThat(shop.season().captures()).hasSize(2);
        assertThat(shop.season().captures().get(0).values("left")).containsExactly(740, 741);
        assertThat(shop.measure().asking().questionProperty().get().open()).isFalse();
    }

    @Test
    void aForbiddenLevelIsNotOffered() {
        var at = Shop.MORNING;
        shop.season()
                .addCaptures(java.util.List.of(
                        Shop.capture(Capture.DARK, at, 740, 236, shop),
                        Shop.capture(Capture.LIGHT, at, 741, 735, shop)));
        assertThat(shop.levels().sensors()).extracting(s -> s.sensor()).containsExactly("right");
        assertThat(shop.levels().verdictProperty().get().sentence())
                .startsWith("Sensor left has only 1 between dark and light")
                .contains("Capture it again in Measure (3)");
        shop.levels().useOnRobot();
        assertThat(shop.levels().freshnessProperty().get().mark()).isNotEqualTo(Freshness.Mark.FRESH);
    }
}
