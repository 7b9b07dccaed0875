package fahrbahn.app.drive.log;

import fahrbahn.app.chart.Plot;
import fahrbahn.app.drive.log.LogModel.Shown;
import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.ProgressIndicator;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** The robot's own log beside the twin: what it tells, what is wrong, and what of it is worth keeping. */
public final class LogPage {
    private static final double LEFT_SHARE = 0.42;
    private static final double LEAST_EM = 56;
    private static final double LEAST_TRACE_HEIGHT = 110;

    private final LogModel model;
    private final VBox further = new VBox();
    private final VBox figures = new VBox();
    private final VBox fit = new VBox();
    private final Plot readings = plot("readings", "Readings");
    private final Plot error = plot("scale units", "Error: log and simulation");
    private final Plot steering = plot("commands", "Steering: log and simulation");

    public LogPage(LogModel model) {
        this.model = model;
        further.setId("logFurther");
        figures.setId("logFigures");
        fit.setId("logFit");
    }

    private static Plot plot(String unit, String promise) {
        Plot plot = new Plot("time, s", unit, promise);
        plot.setMinHeight(LEAST_TRACE_HEIGHT);
        return plot;
    }

    public Pages.Page page() {
        Action open = new Action("openLog", "Open a log", KeyCode.O, this::open);
        Action paste = new Action("pasteLog", "Paste one", KeyCode.V, this::paste);
        Action record = new Action("recordLog", "Record from the robot", KeyCode.R, model::record);
        Action keep = new Action("keepLog", "Use motor lag and loop time on the robot", KeyCode.U, model::keep);
        ProgressIndicator working = new ProgressIndicator();
        working.setMaxSize(24, 24);
        working.visibleProperty().bind(model.running());
        model.recordingProperty()
                .addListener(o -> record.button()
                        .setText(model.recordingProperty().get() ? "Stop and read it" : "Record from the robot"));
        model.shown().lastProperty().addListener(o -> refresh(keep));
        refresh(keep);
        FlowPane controls = Nodes.flow(open.button(), paste.button(), record.button(), keep.button(), working);
        VBox left = Nodes.column(
                Nodes.panel("Also wrong", further),
                Nodes.panel("From the log alone", figures),
                Nodes.panel("About the robot", fit));
        VBox right = new VBox();
        right.getStyleClass().add("panel");
        for (Plot plot : List.of(readings, error, steering)) {
            right.getChildren().add(Nodes.grow(plot.stacked(plot == steering)));
        }
        VBox content = Nodes.column(controls, Nodes.grow(new SideBySide(left, right, LEFT_SHARE, LEAST_EM)));
        return new Pages.Page(content, List.of(open, paste, record, keep));
    }

    private void open() {
        FileAsk.open(readings, model::open, new FileChooser.ExtensionFilter("Logs (CSV)", "*.csv", "*.txt"));
    }

    private void paste() {
        String text = Clipboard.getSystemClipboard().getString();
        model.paste(text == null ? "" : text);
    }

    private void refresh(Action keep) {
        keep.button().setDisable(!model.canKeep());
        Optional<Shown> shown = model.shown().lastProperty().get();
        if (shown.isEmpty()) {
            List.of(readings, error, steering).forEach(Plot::clear);
            lines(
                    further,
                    List.of("Open or paste a log, or record it from the robot: one line a loop with time, "
                            + "readings and, if it has them, error, steering and motor values."));
            lines(figures, List.of("Loop time, wiggle, mean error, wheels at their limit."));
            lines(
                    fit,
                    List.of(
                            "With error and steering: motor lag, reading delay, speed and sensor slope, with likely ranges."));
            return;
        }
        lines(further, LogWords.further(shown.get()));
        lines(figures, LogWords.figures(shown.get()));
        lines(fit, LogWords.fit(shown.get()));
        LogCharts charts = new LogCharts(shown.get());
        readings.show(charts.readings());
        charts.error().ifPresentOrElse(error::show, error::clear);
        charts.steering().ifPresentOrElse(steering::show, steering::clear);
    }

    private static void lines(VBox box, List<String> lines) {
        box.getChildren()
                .setAll(lines.stream()
                        .map(line -> Nodes.wrapped(line, "reason"))
                        .toList());
    }
}
