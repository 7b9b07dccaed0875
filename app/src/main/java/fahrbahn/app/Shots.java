package fahrbahn.app;

import fahrbahn.app.live.LiveModel;
import fahrbahn.app.season.Freshness;
import fahrbahn.app.season.Station;
import fahrbahn.app.shell.Workshop;
import fahrbahn.app.table.MatModel;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Pose;
import fahrbahn.store.CourseSvg;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.BooleanSupplier;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import javax.imageio.ImageIO;

/** Drives the real window through the stations of a fresh demo season by its keys, and keeps a picture of each. */
public final class Shots extends Application {
    /** The picture is taken once nothing has moved for this many frames. */
    private static final int STILL_FRAMES = 90;

    private static final int MOST_FRAMES = 1800;

    /** @param page its tab, empty for a station of one page @param before what is done there first */
    private record Step(Station station, String page, Runnable before, BooleanSupplier ready) {
        String file() {
            return station.name().toLowerCase(Locale.ROOT) + (page.isEmpty() ? "" : "-" + page) + ".png";
        }
    }

    /** Leaves shown besides the first of each station. */
    private static final Map<Station, List<String>> PAGES = Map.of(
            Station.ROBOT, List.of("bench", "guesses"),
            Station.TABLE, List.of("mat", "read"),
            Station.MEASURE, List.of("captured", "schools", "room-and-air", "link"));

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
            steps.add(new Step(station, "", before, () -> ready(workshop, station)));
            for (String page : PAGES.getOrDefault(station, List.of())) {
                Runnable turn = () -> ((Button) stage.getScene().lookup("#page-" + page)).fire();
                boolean mat = page.equals("mat");
                steps.add(new Step(
                        station,
                        page,
                        mat ? () -> importMat(workshop.table().mat(), home, turn) : turn,
                        mat ? () -> traced(workshop.table().mat()) : () -> ready(workshop, station)));
            }
        }
        play(stage, folder, robot, steps);
    }

    /** The club's mat comes as a drawing: the rescue course, saved and read again. */
    private static void importMat(MatModel mat, Path home, Runnable turn) {
        turn.run();
        try {
            Path file = home.resolve("Quarry mat.svg");
            Files.writeString(file, CourseSvg.write(Draft.of(DemoCourses.rescue()), 20, true));
            mat.open(file);
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    /** Points at line and ground as soon as the mat is there, then has it followed. */
    private static boolean traced(MatModel mat) {
        Pose start = DemoCourses.rescue().start();
        if (mat.importedProperty().get().isPresent() && mat.mat().isEmpty()) {
            mat.pickLine(start.xMm() + 40, start.yMm());
            mat.pickGround(start.xMm() + 40, start.yMm() + 60);
            mat.follow(start.xMm() + 40, start.yMm());
        }
        return mat.tracedProperty().get().isPresent();
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
                    keep(stage, folder.resolve(step.file()));
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
