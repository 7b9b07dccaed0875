package fahrbahn.app.levels;

import fahrbahn.app.chart.Plot;
import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.StationView;
import fahrbahn.app.words.MisreadWords;
import fahrbahn.app.words.Words;
import fahrbahn.core.levels.Levels;
import fahrbahn.core.levels.SensorLevels;
import java.util.List;
import javafx.beans.InvalidationListener;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** One histogram a sensor with its levels, and the numbers beside it. */
public final class LevelsView {
    /** Misreads this rare are the usual limit for a margin: one reading in a thousand. */
    private static final double MARGIN_CHANCE = 1e-3;

    private final LevelsModel model;
    private final VBox sensors = Nodes.column();

    private LevelsView(LevelsModel model) {
        this.model = model;
    }

    public static StationView of(LevelsModel model) {
        return new LevelsView(model).build();
    }

    private StationView build() {
        Action use = new Action("useLevels", "Use these on the robot", KeyCode.U, model::useOnRobot);
        model.sensors().addListener((InvalidationListener) o -> refresh(use));
        refresh(use);
        VBox content = Nodes.column(Nodes.row(use.button()), Nodes.grow(sensors));
        return new StationView(content, List.of(use), nowNs -> {});
    }

    private void refresh(Action use) {
        use.button().setDisable(!model.canUse());
        sensors.getChildren()
                .setAll(model.sensors().stream().map(LevelsView::sensor).toList());
        if (model.sensors().isEmpty()) {
            sensors.getChildren().add(Nodes.label("No dark and light captures yet.", "caption"));
        }
    }

    private static HBox sensor(SensorLevels sensor) {
        Plot plot = new Plot("reading", "times seen", "Readings on dark and on light, and the levels between them");
        plot.setMinHeight(175);
        plot.show(LevelsChart.of(sensor));
        Levels levels = sensor.levels();
        Label level = new Label(Words.exact(sensor.roundedLevel()));
        level.setId("level-" + sensor.sensor());
        GridPane numbers = new GridPane();
        numbers.getStyleClass().add("figures");
        numbers.add(Nodes.figure(level, "best level, rounded", "Threshold where the two densities cross"), 0, 0);
        numbers.add(
                Nodes.figure(new Label(Words.number(levels.midpoint(), 4)), "midpoint", "Mean of the two means"), 1, 0);
        numbers.add(
                Nodes.figure(
                        new Label(MisreadWords.of(sensor.misreads(sensor.roundedLevel()))),
                        "misread at the level, 95 % sure",
                        "Misclassification probability with its Clopper-Pearson interval"),
                0,
                1,
                2,
                1);
        numbers.add(
                Nodes.figure(
                        new Label(Words.number(levels.bandDark(), 4) + " to " + Words.number(levels.bandLight(), 4)),
                        levels.bandHolds() ? "band of two levels" : "band: the surfaces overlap",
                        "Hysteresis thresholds"),
                0,
                2);
        numbers.add(
                Nodes.figure(
                        new Label(Words.number(levels.shiftMargin(sensor.roundedLevel(), MARGIN_CHANCE), 2)),
                        "all may shift by",
                        "Shift of all readings that raises misreads to 1 in 1000"),
                1,
                2);
        numbers.setMinWidth(Region.USE_PREF_SIZE);
        VBox panel = Nodes.panel("Sensor " + sensor.sensor(), Nodes.grow(plot));
        HBox row = Nodes.row(Nodes.grow(panel), numbers);
        return Nodes.grow(row);
    }
}
