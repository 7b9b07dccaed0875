package fahrbahn.app.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.app.InWindow;
import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.live.Flood;
import fahrbahn.app.live.LiveStatus;
import fahrbahn.app.live.LiveStatus.Phase;
import fahrbahn.core.quality.Survey;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Lamp;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicLong;
import javafx.animation.AnimationTimer;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The Measure station in a real window: links, captures by key, what is said of them. */
class MeasureStationTest extends InWindow {
    /** A window that stands still this long is frozen to a coach. */
    @BeforeEach
    void there() throws Exception {
        go(Station.MEASURE);
    }

    private LiveStatus status() {
        return shop().live().statusProperty().get();
    }

    private Survey survey() {
        return shop().measure().surveyShown();
    }

    private boolean says(String within, String words) {
        return robot.lookup(within + " .label").queryAll().stream()
                .anyMatch(n -> n instanceof Labeled l && l.getText().contains(words));
    }

    private void benchRobot() throws Exception {
        robot.clickOn("#connectBench");
        until("live", () -> status().phase() == Phase.LIVE);
    }

    private void spots() throws Exception {
        robot.clickOn("#benchLight").type(KeyCode.L);
        until("light", () -> shop().measure().latest(Capture.LIGHT).isPresent());
        robot.clickOn("#benchDark").type(KeyCode.D);
        until("dark", () -> shop().measure().latest(Capture.DARK).isPresent());
    }

    @Test
    void capturesOfEveryKindAreTakenByKeysAndExplained() throws Exception {
        benchRobot();
        spots();
        robot.clickOn("#benchSweep").type(KeyCode.W);
        assertThat(text("capturing")).contains("press W");
        long begun = status().readings();
        until("two and a half seconds over both", () -> status().readings() > begun + 300);
        robot.type(KeyCode.W);
        until("a sweep", () -> shop().measure().latest(Capture.SWEEP).isPresent());
        robot.clickOn("#benchSlide").type(KeyCode.S);
        until("across", () -> shop().live().benchRobot().placeMm() >= 59);
        robot.type(KeyCode.S);
        until("a slide", () -> !survey().slides().isEmpty());
        robot.clickOn("#surfaceName").write("grey card").type(KeyCode.ENTER).type(KeyCode.ESCAPE);
        until("a surface of a name", () -> shop().measure().latest("grey card").isPresent());

        page("captured");
        until("listed", () -> says(".scroll-pane", "grey card"));
        page("methods-and-light");
        until("two schools", () -> says("#schools", "sweep, smallest and largest"));
        assertThat(survey().slides().get("left").widthMm().value()).isCloseTo(19, within(0.03 * 19));
        assertThat(survey().slides().get("left").sigmaMm().value()).isCloseTo(3.1, within(0.03 * 3.1));
        assertThat(survey().between()).as("left is left").isEmpty();
    }

    @Test
    void roomLightAndAirAreMeasured() throws Exception {
        benchRobot();
        spots();
        page("methods-and-light");
        robot.type(KeyCode.O);
        until("lamps off", () -> shop().season().conditionsProperty().get().lamp() == Lamp.OFF);
        until("stale meanwhile", () -> mark(Station.MEASURE) == Freshness.Mark.STALE);
        assertThat(text("repair")).contains("switch the lamps on again (O)");
        robot.clickOn("#benchLight").type(KeyCode.L);
        until(
                "light, lamps off",
                () -> Survey.latest(shop().season().captures(), "light", Lamp.OFF)
                        .isPresent());
        robot.clickOn("#benchDark").type(KeyCode.D);
        until("a verdict on the room", () -> says("#rooms", "of its contrast from room light"));
        // The bench robot's left sensor takes 9 % from the room, its right 1.2 %.
        assertThat(survey().rooms().get("left").share()).isCloseTo(0.09, within(0.01));
        assertThat(survey().rooms().get("left").matters()).isTrue();
        assertThat(survey().rooms().get("right").harmless()).isTrue();
        robot.type(KeyCode.O);
        robot.clickOn("#benchLift").type(KeyCode.A);
        until("the air", () -> says("#air", "the program can tell"));
    }

    @Test
    void anotherVenueMakesCapturesAndLevelsStaleWithTheShortestRepair() throws Exception {
        robot.clickOn("#venue").write("North hall").type(KeyCode.ENTER).type(KeyCode.ESCAPE);
        benchRobot();
        spots();
        until("fresh", () -> mark(Station.MEASURE) == Freshness.Mark.FRESH);
        String venue =
                shop().measure().latest(Capture.DARK).orElseThrow().conditions().venue();
        assertThat(shop().season().club().venueName(venue)).isEqualTo("North hall");
        go(Station.LEVELS);
        robot.type(KeyCode.U);
        until("levels used", () -> mark(Station.LEVELS) == Freshness.Mark.FRESH);
        go(Station.MEASURE);
        type("venue", "Fair");
        until(
                "stale",
                () -> mark(Station.MEASURE) == Freshness.Mark.STALE && mark(Station.LEVELS) == Freshness.Mark.STALE);
        until("the reason is shown", () -> text("freshness").contains("the venue is Fair and was North hall"));
        go(Station.LEVELS);
        assertThat(text("freshness")).contains("from captures that are: the venue is Fair");
        robot.clickOn("#repair");
        until("there to capture again", () -> text("freshness").startsWith("Measure"));
        spotsAgain();
        until("fresh again", () -> mark(Station.MEASURE) == Freshness.Mark.FRESH);
    }

    private void spotsAgain() throws Exception {
        int before = shop().season().captures().size();
        robot.clickOn("#benchLight").type(KeyCode.L);
        until("light again", () -> shop().season().captures().size() == before + 1);
        robot.clickOn("#benchDark").type(KeyCode.D);
        until("dark again", () -> shop().season().captures().size() == before + 2);
    }

    @Test
    void aRobotThatIsUnpluggedComesBackAndItsColumnsAreMappedByHand() throws Exception {
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            robot.clickOn("#address")
                    .write("127.0.0.1:" + server.getLocalPort())
                    .type(KeyCode.ENTER);
            try (Socket plugged = server.accept()) {
                say(plugged, "tS,battery,port2,port3\n0.01,7412,500,510\n%%\n0.02,7411,501,511\n");
                until("live", () -> status().readings() == 2);
                assertThat(status().brokenLines()).isEqualTo(1);
                page("link-and-logger");
                until(
                        "three columns",
                        () -> robot.lookup("#column-2").tryQuery().isPresent());
                choose("column-0", "");
                choose("column-1", "left");
                choose("column-2", "right");
                say(plugged, "0.03,7410,502,512\n");
                until("two sensors, by hand", () -> shop().live().sensors().equals(java.util.List.of("left", "right")));
                assertThat(shop().live().latestProperty().get()).containsExactly(502, 512);
            }
            until("away", () -> status().phase() == Phase.AWAY);
            assertThat(text("notice")).contains("comes back by itself");
            until(
                    "shown in the strip",
                    () -> text("liveState").startsWith("Away for ")
                            && text("liveState").contains("trying again"));
            try (Socket again = server.accept()) {
                say(again, "0.04,7409,503,513\n");
                until("back", () -> status().phase() == Phase.LIVE && status().readings() == 4);
                assertThat(status().interruptions()).isEqualTo(1);
            }
        }
    }

    private void choose(String box, String value) throws Exception {
        // Built anew after each choice; it tells of a choice once it has been drawn.
        until(box + " is drawn", () -> this.<ComboBox<String>>node(box).getSkin() != null);
        onWindow(() -> {
            this.<ComboBox<String>>node(box).setValue(value);
            return null;
        });
    }

    @SuppressWarnings("unchecked")
    private <N> N node(String id) {
        return (N) robot.lookup("#" + id).query();
    }

    private static void say(Socket socket, String text) throws Exception {
        OutputStream out = socket.getOutputStream();
        out.write(text.getBytes(StandardCharsets.UTF_8));
        out.flush();
    }

    @Test
    void aSerialRobotIsHeardAndAFileThatGrowsToo() throws Exception {
        Path appEnd = home.resolve("app-end");
        Path robotEnd = home.resolve("robot-end");
        Process socat = new ProcessBuilder("socat", "pty,rawer,link=" + appEnd, "pty,rawer,link=" + robotEnd)
                .redirectErrorStream(true)
                .redirectOutput(home.resolve("socat.log").toFile())
                .start();
        try {
            until("a cable", () -> Files.exists(appEnd) && Files.exists(robotEnd));
            page("link-and-logger");
            robot.clickOn("#serialPort").write(appEnd.toString());
            robot.clickOn("#connectSerial");
            // What was said before the port was open is lost, as with any robot: it goes on talking.
            until("live over serial", () -> {
                Files.writeString(robotEnd, "left,right\n640,655\n");
                return status().readings() > 0;
            });
            assertThat(text("linkState")).startsWith("Live from " + appEnd);
        } finally {
            socat.destroy();
        }
        Path log = Files.writeString(home.resolve("log.csv"), "left,right\n1,2\n");
        onWindow(() -> {
            shop().live().connectToFile(log);
            return null;
        });
        until(
                "live from the file",
                () -> status().phase() == Phase.LIVE && status().source().equals("log.csv"));
    }

    @Test
    void pastedRowsBecomeCapturesAndWhatIsOddIsSaidAtOnce() throws Exception {
        StringBuilder rows = new StringBuilder("tS\tsurface\tleft\tright\n");
        for (int i = 0; i < 120; i++) {
            int glare = i > 60 && i < 66 ? 150 : 0;
            rows.append(i * 0.01)
                    .append("\tlight\t")
                    .append(700 + i % 3 + glare)
                    .append("\t640\n");
        }
        for (int i = 0; i < 8; i++) {
            rows.append(2 + i * 0.01).append("\tdark\t").append(200 + i % 2).append("\t640\n");
        }
        onWindow(() -> {
            ClipboardContent content = new ClipboardContent();
            content.putString(rows.toString());
            return Clipboard.getSystemClipboard().setContent(content);
        });
        robot.type(KeyCode.V);
        until("both", () -> shop().season().captures().size() == 2);
        until(
                "the stuck one first",
                () -> text("verdict").contains("Sensor right reads 640 on dark and on light: stuck"));
        assertThat(says("#newestFindings", "too few readings, 8 of 80: 0.72 more seconds"))
                .isTrue();
        page("captured");
        until("the glare with its time", () -> says(".scroll-pane", "from 0.61 s to 0.65 s"));
    }

    /** A flood from sixteen sensors: every line is shown or counted as dropped, and the window goes on painting all the while. */
    @Test
    void aFloodOfReadingsDoesNotFreezeTheWindow() throws Exception {
        AtomicLong frames = new AtomicLong();
        AnimationTimer watch = new AnimationTimer() {
            @Override
            public void handle(long now) {
                frames.incrementAndGet();
            }
        };
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            robot.clickOn("#address")
                    .write("127.0.0.1:" + server.getLocalPort())
                    .type(KeyCode.ENTER);
            try (Socket flood = server.accept()) {
                onWindow(() -> {
                    watch.start();
                    return null;
                });
                long lines = Flood.write(flood.getOutputStream(), 16, 20_000, 0);
                until("all heard or counted as dropped", () -> status().readings() + status().dropped() == lines);
                assertThat(shop().live().sensors()).hasSize(16);
                long before = frames.get();
                until("it goes on painting", () -> frames.get() > before + 3);
            }
        }
        onWindow(() -> {
            watch.stop();
            return null;
        });
    }
}
