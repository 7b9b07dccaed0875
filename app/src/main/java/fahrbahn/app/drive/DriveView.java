package fahrbahn.app.drive;

import fahrbahn.app.chart.Plot;
import fahrbahn.app.chart.TraceChart;
import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.ChoiceField;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.StationView;
import fahrbahn.app.words.Words;
import fahrbahn.core.twin.Trace;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The twin rides the course; below it, its distance from the path and its steering. */
public final class DriveView {
    private static final String OFFSET = "mm";
    private static final String STEERING = "commands";

    private final DriveModel model;
    private final CourseView course;
    private final Plot offset = new Plot("time, s", OFFSET, "After a run: how far off its path it was");
    private final Plot steering = new Plot("time, s", STEERING, "After a run: how it steered");
    private final ProgressBar progress = new ProgressBar(0);
    private final Label size = Nodes.label("", "panel-title");
    private final Label outcome = new Label("none");
    private final Label time = new Label("none");
    private final Label rms = new Label("none");
    private final Label peak = new Label("none");
    private final Label reversals = new Label("none");
    private Playback playback;

    private DriveView(DriveModel model) {
        this.model = model;
        this.course = new CourseView();
    }

    public static StationView of(DriveModel model) {
        return new DriveView(model).build();
    }

    private StationView build() {
        Action run = new Action("runTwin", "Run the twin", KeyCode.SPACE, model::run);
        Action keep = new Action("keepRun", "Keep this run", KeyCode.K, model::keep);
        Action many = new Action("runMany", "Run many", KeyCode.M, model::runMany);
        Action stop = new Action("stopRun", "Stop", KeyCode.S, model::cancel);
        run.button().disableProperty().bind(model.runningProperty());
        many.button().disableProperty().bind(model.runningProperty());
        stop.button().disableProperty().bind(model.runningProperty().not());
        progress.setId("driveProgress");
        progress.visibleProperty().bind(model.runningProperty());
        ChoiceField<Laid> choice = new ChoiceField<>(
                "course",
                "course",
                "The table the twin drives on: the one in hand, or a course of our own.",
                model.courses().toArray(Laid[]::new),
                Laid::name,
                model::choose);
        choice.show(model.laidProperty().get().orElse(null));
        model.laidProperty().addListener(o -> {
            choice.offer(model.courses(), model.laidProperty().get().orElse(null));
            layCourse();
        });
        outcome.setId("driveOutcome");
        VBox figures = new VBox(
                Nodes.figure(outcome, "outcome", "Run completed or lost"),
                Nodes.figure(time, "time", "Lap time"),
                Nodes.figure(rms, "RMS from path", "Root mean square cross-track error"),
                Nodes.figure(peak, "at most", "Peak cross-track error"),
                Nodes.figure(reversals, "reversals per metre", "Changes of steering side per metre"));
        figures.setMinWidth(Region.USE_PREF_SIZE);
        model.driveProperty().addListener(o -> refresh(keep));
        model.setupNowProperty().addListener(o -> course.showLine(lineWidthMm()));
        course.showLine(lineWidthMm());
        layCourse();
        refresh(keep);
        offset.getStyleClass().add("trace");
        steering.getStyleClass().add("trace");
        FlowPane controls = Nodes.flow(choice, run.button(), many.button(), stop.button(), keep.button(), progress);
        controls.setAlignment(Pos.BOTTOM_LEFT);
        controls.getStyleClass().add("by-bottom");
        HBox row = Nodes.row(Nodes.grow(course), figures);
        VBox table = new VBox(size, Nodes.grow(row));
        table.getStyleClass().add("panel");
        VBox content = Nodes.column(
                controls,
                Nodes.grow(table),
                Nodes.row(
                        Nodes.grow(traced("off its path", offset)),
                        Nodes.grow(traced("steering, in the program's commands", steering))));
        return new StationView(content, List.of(run, many, stop, keep), this::frame);
    }

    private static VBox traced(String what, Plot plot) {
        return new VBox(Nodes.label(what, "caption"), plot);
    }

    private void layCourse() {
        model.laidProperty().get().ifPresent(laid -> {
            course.lay(laid.ground());
            size.setText("The twin on " + Words.number(laid.ground().path().lengthMm() / 1000) + " m, "
                    + (Double.isInfinite(laid.ground().tightestRadiusMm())
                            ? "without a bend"
                            : "bends down to " + Words.millimetres(laid.ground().tightestRadiusMm())));
        });
    }

    private double lineWidthMm() {
        return model.setupNowProperty().get().line().widthMm();
    }

    private void refresh(Action keep) {
        Optional<Drive> drive = model.driveProperty().get();
        keep.button().setDisable(!model.canKeep());
        drive.ifPresent(this::show);
        if (drive.isEmpty()) {
            course.show(null, 0);
            playback = null;
        }
    }

    private void show(Drive drive) {
        Trace trace = drive.trace();
        double periodS = drive.setup().robot().loop().periodS();
        offset.show(
                new TraceChart("Distance from its path", OFFSET, "ink-left", trace.size(), periodS, trace::offsetMm));
        steering.show(new TraceChart("Steering", STEERING, "ink-right", trace.size(), periodS, trace::steering));
        outcome.setText(drive.result().completed() ? "completed" : "lost");
        time.setText(Words.number(drive.result().timeS(), 4) + " s");
        rms.setText(Words.millimetres(drive.result().rmsMm()));
        peak.setText(Words.millimetres(drive.result().peakMm()));
        reversals.setText(Words.number(drive.result().reversalsPerM(), 2));
        playback = new Playback(drive);
    }

    private void frame(long nowNs) {
        progress.setProgress(model.progress());
        if (playback != null && playback.frame(nowNs)) {
            Trace trace = playback.drive().trace();
            course.show(playback.drive(), playback.tick());
            offset.cursor(trace.tS(playback.tick()));
            steering.cursor(trace.tS(playback.tick()));
        }
    }
}
