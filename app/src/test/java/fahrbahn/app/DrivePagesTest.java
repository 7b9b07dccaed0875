package fahrbahn.app;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.drive.Drive;
import fahrbahn.app.season.Station;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import javafx.animation.AnimationTimer;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The Drive station by its keys: a replay scrubbed, a lost run opened, two settings compared. */
class DrivePagesTest extends InWindow {
    @BeforeEach
    void go() throws Exception {
        go(Station.DRIVE);
        until("there", () -> robot.lookup("#runTwin").tryQuery().isPresent());
    }

    private Drive drive() {
        return shop().drive().driveProperty().get().orElseThrow();
    }

    private void run() throws Exception {
        robot.type(KeyCode.SPACE);
        until("driven", () -> shop().drive().driveProperty().get().isPresent());
    }

    private double cursorS() {
        String words = text("replayNow");
        return Double.parseDouble(words.substring(0, words.indexOf(" s,")));
    }

    @Test
    void aRunIsScrubbedByKeysAndTheRobotFollows() throws Exception {
        run();
        robot.type(KeyCode.PERIOD);
        until("faster", () -> text("replaySpeed").endsWith("\u00d74"));
        robot.type(KeyCode.P);
        until("halted", () -> text("replaySpeed").startsWith("halted"));
        double at = cursorS();
        double periodS = drive().setup().robot().loop().periodS();
        robot.type(KeyCode.UP).type(KeyCode.UP);
        until("half a second on", () -> Math.abs(cursorS() - at - 0.5) < 0.02);
        robot.type(KeyCode.LEFT);
        until("a tick back", () -> Math.abs(cursorS() - at - 0.5 + periodS) < 0.02);
        robot.type(KeyCode.RIGHT).type(KeyCode.DOWN);
        until("a quarter second back", () -> Math.abs(cursorS() - at - 0.25) < 0.02);
        assertThat(text("replayNow")).contains("Error ", "steering ", "wheels ");
        robot.type(KeyCode.Z);
        robot.type(KeyCode.P);
        until("goes on", () -> cursorS() > at + 0.4);
    }

    /** With a gain too small for the bends, runs are lost; one key opens the first, the next one another. */
    @Test
    void aLostRunOfManyIsOpenedByOneKeyWithItsReason() throws Exception {
        onWindow(() -> {
            shop().gains().choose(shop().season().setupOrGuess().law().kp() / 20, 0, 0);
            return null;
        });
        robot.type(KeyCode.M);
        until("driven", () -> shop().drive().oddsProperty().get().isPresent());
        until("its page", () -> robot.lookup("#manyReasons").tryQuery().isPresent());
        assertThat(text("manyChance")).contains(" to ");
        robot.type(KeyCode.L);
        until("opened", () -> shop().drive().driveProperty().get().isPresent());
        until("its page", () -> robot.lookup("#replayNow").tryQuery().isPresent());
        int first = drive().number();
        assertThat(first).isPositive();
        assertThat(drive().result().completed()).isFalse();
        assertThat(text("verdict")).startsWith("Lost ");
        robot.type(KeyCode.V);
        until(
                "at the loss",
                () -> Math.abs(cursorS() - drive().loss().orElseThrow().atS()) < 0.02);
        onWindow(() -> {
            robot.lookup("#page-many-runs").queryButton().fire();
            return null;
        });
        robot.type(KeyCode.L);
        until("another", () -> drive().number() != first);
    }

    @Test
    void whatIsSetIsComparedWithWhatWasHeld() throws Exception {
        onWindow(() -> {
            robot.lookup("#page-a-and-b").queryButton().fire();
            return null;
        });
        robot.type(KeyCode.A);
        onWindow(() -> {
            shop().gains().choose(shop().season().setupOrGuess().law().kp() / 20, 0, 0);
            return null;
        });
        robot.type(KeyCode.SPACE);
        until("answered", () -> text("verdict").startsWith("Take "));
        assertThat(text("verdict")).contains(" as held: it completes ");
        assertThat(text("twoDiffers")).startsWith("They differ in 2 things");
        assertThat(((GridPane) robot.lookup("#twoFigures").query()).getRowCount())
                .isEqualTo(7);
    }

    /**
     * Sixty frames a second leave 16.7 ms each; the interface thread's share of a frame in which the robot moves, from the frame's begin to
     * the end of its layout, is to be below 8. Prints what it measured, for docs/performance.md.
     */
    @Test
    void aFrameOfTheReplayTakesTheInterfaceThreadLessThanEightMilliseconds() throws Exception {
        run();
        for (int closer = 0; closer < 2; closer++) {
            List<Double> shares = framesMs(180);
            Collections.sort(shares);
            double median = shares.get(shares.size() / 2);
            System.out.printf(
                    Locale.ROOT,
                    "replay, %s: interface thread %.2f ms a frame in the median, %.2f ms at 95 %%, %.0f frames a second%n",
                    closer == 0 ? "whole table" : "followed closely",
                    median,
                    shares.get((int) (0.95 * shares.size())),
                    perSecond);
            assertThat(median).as("median share of a frame, ms").isBetween(0.0, 8.0);
            robot.type(KeyCode.Z).type(KeyCode.Z);
        }
    }

    private double perSecond;

    private List<Double> framesMs(int frames) throws Exception {
        List<Double> shares = Collections.synchronizedList(new ArrayList<>());
        List<Long> ends = Collections.synchronizedList(new ArrayList<>());
        AnimationTimer[] timer = new AnimationTimer[1];
        Runnable[] after = new Runnable[1];
        onWindow(() -> {
            Scene scene = robot.lookup("#verdict").query().getScene();
            long[] begun = {0};
            // Told first of all that happen in a frame: it was started last, and timers are asked latest first or first
            // first.
            timer[0] = new AnimationTimer() {
                @Override
                public void handle(long nowNs) {
                    begun[0] = nowNs;
                }
            };
            after[0] = () -> {
                if (begun[0] != 0) {
                    ends.add(System.nanoTime());
                    shares.add((System.nanoTime() - begun[0]) / 1e6);
                }
            };
            timer[0].start();
            scene.addPostLayoutPulseListener(after[0]);
            return null;
        });
        until("frames", () -> shares.size() >= frames);
        onWindow(() -> {
            timer[0].stop();
            robot.lookup("#verdict").query().getScene().removePostLayoutPulseListener(after[0]);
            return null;
        });
        perSecond = (ends.size() - 1) / ((ends.get(ends.size() - 1) - ends.get(0)) / 1e9);
        return new ArrayList<>(shares);
    }
}
