package fahrbahn.app;

import fahrbahn.app.model.Freshness;
import fahrbahn.app.model.LiveModel;
import fahrbahn.app.model.Station;
import fahrbahn.app.model.Workshop;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.function.BooleanSupplier;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.input.KeyCode;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import javax.imageio.ImageIO;

/** Drives the real window through the stations of a fresh demo season by its keys, and keeps a picture of each. */
public final class Shots extends Application {
    /** The picture is taken once nothing has moved for this many frames. */
    private static final int STILL_FRAMES = 90;

    private static final int MOST_FRAMES = 1800;

    private record Step(Station station, Runnable before, BooleanSupplier ready) {}

    private final FahrbahnApp app = new FahrbahnApp();

    public static void main(String[] arguments) {
        Application.launch(Shots.class, arguments);
    }

    @Override
    public void start(Stage stage) throws IOException {
        Path folder = Path.of(getParameters().getRaw().get(0));
        Files.createDirectories(folder);
        Path home = Files.createTempDirectory("fahrbahn-shots");
        System.setProperty("fahrbahn.home", home.toString());
        app.start(stage, List.of("demo"));
        Workshop workshop = app.workshop();
        Robot robot = new Robot();
        Deque<Step> steps = new ArrayDeque<>();
        for (Station station : Station.values()) {
            Runnable before = station == Station.DRIVE ? () -> robot.keyType(KeyCode.SPACE) : () -> {};
            steps.add(new Step(station, before, () -> ready(workshop, station)));
        }
        play(stage, folder, robot, steps);
    }

    private static boolean ready(Workshop workshop, Station station) {
        boolean live = workshop.live().statusProperty().get().phase() == LiveModel.Phase.LIVE;
        return live
                && switch (station) {
                    case GAINS -> workshop.gains().pictureProperty().get().isPresent();
                    case DRIVE -> workshop.drive().freshnessProperty().get().mark() == Freshness.Mark.FRESH;
                    default -> true;
                };
    }

    private void play(Stage stage, Path folder, Robot robot, Deque<Step> steps) {
        new AnimationTimer() {
            private int frame;
            private int still;

            @Override
            public void handle(long now) {
                Step step = steps.peek();
                if (frame++ == 0) {
                    robot.keyType(
                            KeyCode.getKeyCode(String.valueOf(step.station().ordinal() + 1)));
                } else if (frame == STILL_FRAMES / 3) {
                    step.before().run();
                }
                still = step.ready().getAsBoolean() ? still + 1 : 0;
                if (frame > MOST_FRAMES) {
                    System.err.println("The view " + step.station().title() + " was never ready.");
                    System.exit(1);
                }
                if (frame > STILL_FRAMES && still >= STILL_FRAMES) {
                    keep(stage, folder.resolve(step.station().name().toLowerCase(Locale.ROOT) + ".png"));
                    steps.remove();
                    frame = 0;
                    still = 0;
                    if (steps.isEmpty()) {
                        stop();
                        Platform.exit();
                    }
                }
            }
        }.start();
    }

    private static void keep(Stage stage, Path file) {
        try {
            ImageIO.write(SwingFXUtils.fromFXImage(stage.getScene().snapshot(null), null), "png", file.toFile());
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    @Override
    public void stop() throws InterruptedException {
        app.stop();
    }
}
