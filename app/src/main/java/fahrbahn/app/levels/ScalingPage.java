package fahrbahn.app.levels;

import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.state.Value;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** The two constants of each sensor, the arithmetic in the program's own steps, and what leaving it out does. */
final class ScalingPage {
    private final ScalingModel model;
    private final VBox body = Nodes.column();
    private final Label absence = Nodes.wrapped("", "bench-result");

    ScalingPage(ScalingModel model) {
        this.model = model;
    }

    Pages.Page page() {
        body.getChildren().setAll(absence);
        Follow.of(model.picture(), this::refresh, body);
        return new Pages.Page(body, List.of(), nowNs -> model.picture().show());
    }

    private void refresh() {
        Value<ScalingModel.Picture> value = model.picture().value();
        value.ready().ifPresent(this::show);
        absence.setText(value.absence("Simulating a gap."));
        if (!value.refusal().isEmpty()) {
            body.getChildren().setAll(absence);
        }
    }

    private void show(ScalingModel.Picture picture) {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("schools");
        List<String> heads = List.of("sensor", "take away", "then times", "dark", "halfway", "light");
        for (int i = 0; i < heads.size(); i++) {
            grid.add(Nodes.cell(heads.get(i), "caption"), i, 0);
        }
        Scale scale = picture.setup().law().scale();
        for (int i = 0; i < picture.sensors().size(); i++) {
            Sensor sensor = picture.sensors().get(i);
            List<String> cells = LevelWords.scaling(sensor, scale);
            for (int column = 0; column < cells.size(); column++) {
                grid.add(Nodes.cell(cells.get(column)), column, i + 1);
            }
        }
        Label arithmetic = Nodes.wrapped(LevelWords.arithmetic(picture.sensors(), scale), "bench-result");
        Label without = Nodes.wrapped(
                picture.unscaled()
                        .map(u -> LevelWords.unscaled(u, picture.setup()))
                        .orElse(LevelWords.ONE_SENSOR),
                "bench-result");
        without.setId("unscaled");
        Label rounding = Nodes.wrapped(
                picture.rounding().map(r -> LevelWords.rounding(r, scale)).orElse(LevelWords.NOT_ROUNDED),
                "bench-result");
        rounding.setId("scaleRounding");
        body.getChildren()
                .setAll(
                        Nodes.panel("Two constants a sensor", grid),
                        Nodes.panel("In the program, each loop", arithmetic),
                        Nodes.panel("Kept as whole numbers", rounding),
                        Nodes.panel("Without scaling (simulated)", without));
    }
}
