package fahrbahn.app.drive;

import fahrbahn.app.chart.Plot;
import fahrbahn.app.drive.run.Drive;
import fahrbahn.app.drive.view.CourseView;
import fahrbahn.app.drive.view.Runner;
import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.core.review.RunEvents.Event;
import fahrbahn.pen.Sheet;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** One run, played: the robot on its table, and below it linked traces with one cursor that also moves the robot. */
final class ReplayPage {
    private static final double LEFT_SHARE = 0.53;
    private static final double LEAST_EM = 56;
    private static final double LEAST_TRACE_HEIGHT = 74;

    /** Further events are in the traces: a list that is longer nobody reads. */
    private static final int MOST_EVENTS = 7;

    /** Words that change more often than ten times a second nobody reads. */
    private static final int FRAMES_TO_WORDS = 6;

    /** A scrub by one key. */
    private static final double JUMP_S = 0.25;

    /** Runs are played three times as fast as the robot would be: a coach has five minutes. */
    private static final int FASTER = 1;

    private final DriveModel model;
    private final CourseView course = new CourseView("The simulated robot on its table");
    private final Plot readings = plot("readings", "What its sensors read");
    private final Plot error = plot("error", "The error in its program");
    private final Plot steering = plot("commands", "How it steered, and each gain's share");
    private final Plot offset = plot("mm", "Distance from the line");
    private final Plot wheels = plot("mm/s", "Wheel speeds");
    private final Label now = Nodes.wrapped("", "reason");
    private final Label speed = Nodes.cell("", "strong");
    private final VBox events = new VBox();
    private final Action play = new Action("playRun", "Play", KeyCode.P, () -> act(Playback::toggle));
    private VBox page;
    private Playback playback;
    private int framesUntold;

    ReplayPage(DriveModel model) {
        this.model = model;
        now.setId("replayNow");
        speed.setId("replaySpeed");
        events.setId("replayEvents");
    }

    private List<Plot> plots() {
        return List.of(readings, error, steering, offset, wheels);
    }

    private static Plot plot(String unit, String promise) {
        Plot plot = new Plot("time, s", unit, promise);
        plot.setMinHeight(LEAST_TRACE_HEIGHT);
        return plot;
    }

    Pages.Page page(FlowPane controls, List<Action> shared) {
        Action back = new Action("stepBack", "Tick back", KeyCode.LEFT, () -> act(p -> p.step(-1)));
        Action on = new Action("stepOn", "Tick on", KeyCode.RIGHT, () -> act(p -> p.step(1)));
        Action jumpBack = new Action("jumpBack", "Back", KeyCode.DOWN, () -> act(p -> p.seek(atS() - JUMP_S)));
        Action jumpOn = new Action("jumpOn", "On", KeyCode.UP, () -> act(p -> p.seek(atS() + JUMP_S)));
        Action slower = new Action("slower", "Slower", KeyCode.COMMA, () -> act(p -> p.faster(-1)));
        Action faster = new Action("faster", "Faster", KeyCode.PERIOD, () -> act(p -> p.faster(1)));
        Action closer = new Action("lookCloser", "Closer", KeyCode.Z, course::lookCloser);
        Action next = new Action("nextEvent", "Next event", KeyCode.V, () -> act(this::toNextEvent));
        Action save = new Action("saveTraces", "Save", KeyCode.T, this::save);
        List<Plot> plots = plots();
        plots.forEach(plot -> plot.pulled(s -> act(p -> p.seek(s)), s -> act(p -> p.seek(s))));
        FlowPane playing = Nodes.flow(
                play.button(),
                speed,
                slower.button(),
                faster.button(),
                back.button(),
                on.button(),
                jumpBack.button(),
                jumpOn.button(),
                closer.button(),
                next.button(),
                save.button());
        playing.getStyleClass().add("playing");
        model.driveProperty().addListener(o -> show());
        model.laidProperty().addListener(o -> lay());
        model.setupNowProperty().addListener(o -> course.showLine(lineWidthMm()));
        course.showLine(lineWidthMm());
        lay();
        show();
        VBox table = new VBox(Nodes.grow(course));
        table.getStyleClass().add("panel");
        VBox said = Nodes.panel("At the cursor", now);
        VBox happened = Nodes.panel("What happened", events);
        HBox words = Nodes.row(said, happened);
        words.getStyleClass().add("top");
        for (VBox half : List.of(said, happened)) {
            HBox.setHgrow(half, Priority.ALWAYS);
            half.setPrefWidth(100);
            half.setMaxHeight(Double.MAX_VALUE);
        }
        VBox left = Nodes.column(Nodes.grow(table), playing, words);
        VBox right = new VBox();
        right.getStyleClass().add("panel");
        for (Plot plot : plots) {
            right.getChildren().add(Nodes.grow(plot.stacked(plot == wheels)));
        }
        page = Nodes.column(controls, Nodes.grow(new SideBySide(left, right, LEFT_SHARE, LEAST_EM)));
        List<Action> actions = new ArrayList<>(shared);
        actions.addAll(List.of(play, back, on, jumpBack, jumpOn, slower, faster, closer, next, save));
        return new Pages.Page(page, actions, this::frame);
    }

    private double lineWidthMm() {
        return model.setupNowProperty().get().line().widthMm();
    }

    private void lay() {
        model.laidProperty().get().ifPresent(laid -> course.lay(laid.ground()));
    }

    private interface Doing {
        void to(Playback playback);
    }

    private void act(Doing doing) {
        if (playback != null) {
            doing.to(playback);
            moveTo();
        }
    }

    private double atS() {
        return model.driveProperty().get().orElseThrow().trace().tS(playback.tick());
    }

    private void toNextEvent(Playback played) {
        List<Double> times = ReplayWords.times(model.driveProperty().get().orElseThrow());
        double nowS = atS();
        times.stream()
                .filter(s -> s > nowS + 1e-9)
                .findFirst()
                .or(() -> times.stream().findFirst())
                .ifPresent(played::seek);
    }

    private void show() {
        Optional<Drive> drive = model.driveProperty().get();
        drive.ifPresentOrElse(this::show, () -> {
            playback = null;
            course.show(List.of(), 0);
            plots().forEach(Plot::clear);
            events.getChildren().setAll(Nodes.wrapped("What happened on the way.", "caption"));
            now.setText("Space simulates a run; P, arrows and mouse move through it.");
        });
    }

    private void show(Drive drive) {
        playback = new Playback(drive.trace(), FASTER);
        course.show(List.of(new Runner("", drive.setup(), drive.trace(), "ink-advice", false)), 0);
        RunCharts charts = new RunCharts(drive);
        readings.show(charts.readings());
        error.show(charts.error());
        steering.show(charts.steering());
        offset.show(charts.offset());
        wheels.show(charts.wheels());
        events.getChildren().clear();
        for (Event event : drive.events().stream().limit(MOST_EVENTS).toList()) {
            events.getChildren().add(jump(ReplayWords.event(event), event.atS()));
        }
        drive.loss().ifPresent(loss -> events.getChildren().add(jump(ReplayWords.lost(loss), loss.atS())));
        if (drive.events().size() > MOST_EVENTS) {
            events.getChildren()
                    .add(Nodes.wrapped(
                            "and " + (drive.events().size() - MOST_EVENTS) + " more, in the traces", "caption"));
        }
        if (events.getChildren().isEmpty()) {
            events.getChildren().add(Nodes.wrapped("Only line following.", "caption"));
        }
        moveTo();
    }

    private Button jump(String words, double tS) {
        Button button = new Button(words);
        button.getStyleClass().add("plain");
        button.setWrapText(true);
        button.setOnAction(e -> act(p -> p.seek(tS)));
        return button;
    }

    private void frame(long nowNs) {
        if (playback != null && playback.frame(nowNs)) {
            move(playback.tick());
            framesUntold++;
            if (framesUntold >= FRAMES_TO_WORDS || !playback.playing()) {
                tell();
            }
        }
    }

    private void moveTo() {
        move(playback.tick());
        tell();
    }

    private void move(int tick) {
        double s = model.driveProperty().get().orElseThrow().trace().tS(tick);
        course.moveTo(s);
        for (Plot plot : plots()) {
            plot.cursor(s);
        }
    }

    private void tell() {
        framesUntold = 0;
        now.setText(ReplayWords.moment(model.driveProperty().get().orElseThrow(), playback.tick()));
        speed.setText(ReplayWords.speed(playback));
    }

    private void save() {
        model.driveProperty().get().ifPresent(drive -> {
            RunCharts charts = new RunCharts(drive);
            Saver.save(
                    model,
                    page,
                    "traces.csv",
                    true,
                    () -> List.of(
                            course.sheet(),
                            Sheet.of(charts.readings()),
                            Sheet.of(charts.error()),
                            Sheet.of(charts.steering()),
                            Sheet.of(charts.offset()),
                            Sheet.of(charts.wheels())));
        });
    }
}
