package fahrbahn.app.view;

import fahrbahn.app.model.MeasureModel;
import fahrbahn.app.model.Words;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.SurfaceStats;
import java.io.File;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import javafx.beans.InvalidationListener;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** Live values large enough for two metres, capture by key, and what has been captured. */
final class MeasureView {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("d MMM HH:mm:ss").withZone(ZoneId.systemDefault());

    private final MeasureModel model;
    private final VBox list = Nodes.column();
    private final LiveTraceView trace;

    private MeasureView(MeasureModel model) {
        this.model = model;
        this.trace = new LiveTraceView(model.live());
    }

    static StationView of(MeasureModel model) {
        return new MeasureView(model).build();
    }

    private StationView build() {
        List<Action> actions = List.of(
                new Action("captureLight", "Capture light", KeyCode.L, () -> model.capture(Capture.LIGHT)),
                new Action("captureDark", "Capture dark", KeyCode.D, () -> model.capture(Capture.DARK)),
                new Action("captureEdge", "Capture edge", KeyCode.E, () -> model.capture(Capture.EDGE)),
                new Action("importFile", "Import a file", KeyCode.I, this::choose));
        ProgressBar progress = new ProgressBar();
        progress.progressProperty().bind(model.progressProperty());
        progress.visibleProperty().bind(model.capturingProperty().isNotEmpty());
        Label hint = Nodes.label("Motors off and wheels up or still while you measure.", "caution");
        model.season().captures().addListener((InvalidationListener) o -> refresh());
        refresh();
        ScrollPane scroll = new ScrollPane(list);
        scroll.setFitToWidth(true);
        scroll.setPrefHeight(220);
        scroll.setMinHeight(150);
        VBox content = Nodes.column(
                Nodes.row(
                        actions.get(0).button(),
                        actions.get(1).button(),
                        actions.get(2).button(),
                        progress,
                        Nodes.spring(),
                        actions.get(3).button()),
                hint,
                Nodes.grow(Nodes.panel("The last seconds", Nodes.grow(trace))),
                Nodes.panel("Captured", scroll));
        return new StationView(content, actions, trace::refresh);
    }

    private void choose() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("A file of readings");
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Readings (CSV)", "*.csv", "*.txt"));
        File file = chooser.showOpenDialog(list.getScene().getWindow());
        if (file != null) {
            model.importFile(file.toPath());
        }
    }

    private void refresh() {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("table");
        String[] heads = {"surface", "sensor", "mean", "noise", "readings", "left out", "when", "from"};
        for (int i = 0; i < heads.length; i++) {
            grid.add(Nodes.label(heads[i], "caption"), i, 0);
        }
        int row = 1;
        List<Capture> captures = model.season().captures();
        for (int c = captures.size() - 1; c >= 0; c--) {
            Capture capture = captures.get(c);
            for (int i = 0; i < capture.sensors().size(); i++) {
                double[] values = capture.values(i);
                SurfaceStats stats = SurfaceStats.of(values, SurfaceStats.smallestStep(values));
                String[] cells = {
                    capture.surface(),
                    capture.sensors().get(i),
                    Words.number(stats.mean(), 4),
                    Words.number(stats.sd(), 2),
                    String.valueOf(stats.n()),
                    String.valueOf(stats.leftOut().size()),
                    i == 0 ? TIME.format(capture.at()) : "",
                    i == 0 ? capture.source() : ""
                };
                for (int k = 0; k < cells.length; k++) {
                    grid.add(new Label(cells[k]), k, row);
                }
                row++;
            }
        }
        list.getChildren().setAll(captures.isEmpty() ? Nodes.label("Nothing yet.", "caption") : grid);
    }
}
