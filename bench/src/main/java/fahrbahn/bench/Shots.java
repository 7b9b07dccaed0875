package fahrbahn.bench;

import fahrbahn.app.FahrbahnApp;
import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.handover.drill.DrillModel;
import fahrbahn.app.live.LiveStatus;
import fahrbahn.app.runs.plan.PlanModel;
import fahrbahn.app.season.Entry;
import fahrbahn.app.season.Sort;
import fahrbahn.app.shell.Workshop;
import fahrbahn.core.drill.DrillFault;
import fahrbahn.core.setup.Law;
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
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import javax.imageio.ImageIO;

/** Drives the real window through the stations of a fresh demo season by its keys, and keeps a picture of each. */
public final class Shots extends Application {
    /** The picture is taken once nothing has moved for this many frames. */
    private static final int STILL_FRAMES = 60;

    private static final int MOST_FRAMES = 1800;

    /** @param file empty for no picture @param go takes the window there @param before what is done there once it is shown */
    private record Step(String file, Runnable go, Runnable before, BooleanSupplier ready) {}

    /** Leaves shown besides the first of each station. */
    private static final Map<Station, List<String>> PAGES = Map.of(
            Station.TABLE, List.of("mat"),
            Station.GAINS, List.of("map", "next-trial"),
            Station.RUNS, List.of("log-book"),
            Station.HANDOVER, List.of("program"));

    /** Of the gains as set: too little for some runs of a table evening. */
    private static final double SOFT = 0.68;

    private final FahrbahnApp app = new FahrbahnApp();
    private final Deque<Step> steps = new ArrayDeque<>();

    @Override
    public void start(Stage stage) throws IOException {
        Path folder = Path.of(getParameters().getRaw().get(0));
        Files.createDirectories(folder);
        System.setProperty(
                "fahrbahn.home", Files.createTempDirectory("fahrbahn-shots").toString());
        app.start(stage, List.of());
        Robot robot = new Robot();
        steps.add(
                new Step("", () -> robot.keyType(KeyCode.D), () -> {}, () -> app.workshop() != null && robotIsLive()));
        steps.add(new Step("", () -> robot.keyType(KeyCode.F8), () -> {}, () -> true));
        for (Station station : Station.values()) {
            KeyCode key = KeyCode.getKeyCode(String.valueOf(station.ordinal() + 1));
            Runnable go = () -> {
                app.workshop().season().club().take(Sort.TABLE, "loop");
                robot.keyType(key);
            };
            Runnable before = station == Station.DRIVE ? () -> robot.keyType(KeyCode.SPACE) : () -> {};
            String name = station.name().toLowerCase(Locale.ROOT);
            steps.add(new Step(name + ".png", go, before, () -> ready(app.workshop(), station)));
            for (String page : PAGES.getOrDefault(station, List.of())) {
                Runnable turn = () -> {
                    app.workshop().season().club().take(Sort.TABLE, page.equals("mat") ? "mat" : "loop");
                    ((Button) stage.getScene().lookup("#page-" + page)).fire();
                };
                steps.add(new Step(
                        name + "-" + page + ".png", go, turn, () -> ready(app.workshop(), station) && !coarse(stage)));
            }
        }
        addHandover(stage, robot);
        addPlan(stage, robot);
        addDrive(stage, robot);
        Runnable leave = () -> ((Button) stage.getScene().lookup("#seasons")).fire();
        steps.add(new Step("start.png", leave, () -> {}, () -> app.workshop() == null));
        play(stage, folder);
    }

    /** The minutes of a hall just begun, and a drill of a known seed, answered. */
    private void addHandover(Stage stage, Robot robot) {
        Runnable hall = () -> {
            fire(stage, "new-venue");
            app.workshop().handover().hall().begin(5);
        };
        steps.add(new Step(
                "handover-new-hall.png",
                () -> robot.keyType(KeyCode.DIGIT8),
                hall,
                () -> stage.getScene().lookup("#hallNow") instanceof Label now
                        && now.getText().contains("press L")));
        steps.add(new Step("", () -> app.workshop().undo(), () -> {}, () -> true));
        Runnable drill = () -> {
            fire(stage, "drills");
            app.workshop().handover().drills().show(5, DrillFault.NO_DAMPING);
        };
        steps.add(new Step(
                "",
                () -> robot.keyType(KeyCode.DIGIT8),
                drill,
                () -> app.workshop().handover().drills().drillProperty().get().isPresent()));
        Runnable mistaken = () -> {
            DrillModel drills = app.workshop().handover().drills();
            drills.say(DrillFault.LAG);
            drills.act(
                    drills.drillProperty().get().orElseThrow().offers().get(0).mends() ? 1 : 0);
        };
        steps.add(new Step(
                "handover-drills.png",
                () -> robot.keyType(KeyCode.Z),
                mistaken,
                () -> app.workshop().handover().drills().doneProperty().get().isPresent()));
    }

    /** A plan for all three robots of the demo club; taken back afterwards. */
    private void addPlan(Stage stage, Robot robot) {
        Runnable begin = () -> {
            fire(stage, "plan");
            PlanModel plan = app.workshop().runs().plan();
            List<PlanModel.Aim> aims = List.of(PlanModel.Aim.CONFIRM, PlanModel.Aim.COMPARE, PlanModel.Aim.TUNE);
            List<Entry> robots = app.workshop().season().club().entries(Sort.ROBOT);
            for (int i = 0; i < robots.size(); i++) {
                plan.aim(robots.get(i).id(), aims.get(i % aims.size()));
            }
            plan.begin();
        };
        BooleanSupplier planned = () -> stage.getScene().lookup("#planVerdict") instanceof Label verdict
                && verdict.getText().contains("planned");
        steps.add(new Step("runs-plan.png", () -> robot.keyType(KeyCode.DIGIT7), begin, planned));
        steps.add(new Step("", () -> app.workshop().undo(), () -> {}, () -> true));
    }

    /** With half the gain, so that some runs are lost; taken back afterwards. And the log of a robot that is slower than its setup has it. */
    private void addDrive(Stage stage, Robot robot) {
        Runnable drive = () -> robot.keyType(KeyCode.DIGIT6);
        steps.add(new Step(
                "drive-stopping.png",
                drive,
                () -> fire(stage, "stopping"),
                () -> stage.getScene().lookup("#stopVerdict") instanceof Label verdict
                        && verdict.getText().startsWith("Stop by")));
        steps.add(new Step(
                "",
                drive,
                () -> {
                    Law law = app.workshop().season().setupOrGuess().law();
                    app.workshop().gains().choice().choose(SOFT * law.kp(), law.ki(), SOFT * law.kd());
                },
                () -> true));
        steps.add(new Step(
                "drive-many.png",
                () -> fire(stage, "many-runs"),
                () -> robot.keyType(KeyCode.M),
                () -> app.workshop().drive().oddsProperty().get().isPresent()));
        steps.add(new Step("", () -> app.workshop().undo(), () -> {}, () -> true));
    }

    private static void fire(Stage stage, String page) {
        ((Button) stage.getScene().lookup("#page-" + page)).fire();
    }

    /** A map, or a next trial, that is on its way. */
    private static boolean coarse(Stage stage) {
        boolean map = stage.getScene().lookup("#mapLegend") instanceof Label legend
                && (legend.getText().isEmpty() || legend.getText().contains("Still coarse"));
        boolean trial = stage.getScene().lookup("#nextRanges") instanceof Label ranges
                && ranges.getText().isEmpty();
        return map || trial;
    }

    private boolean robotIsLive() {
        return app.workshop().live().statusProperty().get().phase() == LiveStatus.Phase.LIVE;
    }

    private static boolean ready(Workshop workshop, Station station) {
        boolean live = workshop.live().statusProperty().get().phase() == LiveStatus.Phase.LIVE;
        return live
                && switch (station) {
                    case GAINS ->
                        workshop.gains().picture().get().stream()
                                .anyMatch(p -> p.advice().done());
                    case HANDOVER -> workshop.handover().card().shown().get().isPresent();
                    case DRIVE -> workshop.drive().freshnessProperty().get().mark() == Freshness.Mark.FRESH;
                    default -> workshop.robot().freshnessProperty().get().mark() != Freshness.Mark.MISSING;
                };
    }

    private void play(Stage stage, Path folder) {
        new AnimationTimer() {
            private int frame;
            private int still;

            @Override
            public void handle(long now) {
                Step step = steps.peek();
                if (frame++ == 0) {
                    step.go().run();
                } else if (frame == STILL_FRAMES) {
                    step.before().run();
                }
                still = frame > STILL_FRAMES && step.ready().getAsBoolean() ? still + 1 : 0;
                if (frame > MOST_FRAMES) {
                    System.err.println("The picture " + step.file() + " was never ready.");
                    System.exit(1);
                }
                if (still >= STILL_FRAMES) {
                    if (!step.file().isEmpty()) {
                        keep(stage, folder.resolve(step.file()));
                    }
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
