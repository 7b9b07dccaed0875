package fahrbahn.app.gains.map;

import fahrbahn.app.chart.Plot;
import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;

/** The map with its layers; arrows and the mouse move the point in hand. */
public final class MapPage {
    private final MapModel model;
    private final Plot plot = new Plot("Kp, per loop", "Kd, per loop", "The map: how runs come out over Kp and Kd");
    private final Label point = Nodes.wrapped("Simulating the map.", "bench-result");
    private final Label legend = Nodes.wrapped("", "reason");
    private final ProgressBar progress = new ProgressBar(0);

    public MapPage(MapModel model) {
        this.model = model;
        point.setId("mapPoint");
        legend.setId("mapLegend");
        progress.setId("mapProgress");
    }

    public Pages.Page page() {
        Action layer = new Action("mapLayer", "Next layer", KeyCode.Y, model::nextLayer);
        Action use = new Action("useMapPoint", "Use this point", KeyCode.U, model::use);
        Action left = new Action("mapLeft", "Less Kp", KeyCode.LEFT, () -> model.move(-1, 0));
        Action right = new Action("mapRight", "More Kp", KeyCode.RIGHT, () -> model.move(1, 0));
        Action down = new Action("mapDown", "Less Kd", KeyCode.DOWN, () -> model.move(0, -1));
        Action up = new Action("mapUp", "More Kd", KeyCode.UP, () -> model.move(0, 1));
        List<Action> actions = List.of(layer, use, left, right, down, up);
        plot.clicked(model::point);
        VBox side = Nodes.column(
                Nodes.panel("Selected point", point),
                Nodes.panel("What is shown", legend, progress),
                Nodes.flow(actions.stream().map(Action::button).toArray(javafx.scene.Node[]::new)));
        side.setMinWidth(300);
        side.setMaxWidth(300);
        Follow.of(model.sketch(), this::refresh);
        Follow.of(model.map(), this::refresh);
        model.layerProperty().addListener(o -> refresh());
        model.inHandProperty().addListener(o -> refresh());
        refresh();
        return new Pages.Page(
                Nodes.row(
                        Nodes.grow(
                                Nodes.panel("The map, simulated: runs on this table over Kp and Kd", Nodes.grow(plot))),
                        side),
                actions,
                nowNs -> {
                    model.show();
                    progress.setProgress(model.progress());
                    progress.setVisible(model.progress() < 1);
                });
    }

    public void refresh() {
        Optional<MapModel.Picture> picture = model.picture();
        if (picture.isEmpty()) {
            point.setText(model.map().value().absence("Simulating the map."));
            legend.setText("");
            return;
        }
        MapChart chart = new MapChart(
                picture.get(),
                model.layerProperty().get(),
                model.inHandProperty().get(),
                model.law());
        plot.show(chart);
        point.setText(MapWords.point(chart));
        legend.setText(MapWords.legend(chart));
    }
}
