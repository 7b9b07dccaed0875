package fahrbahn.app.table;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Sensor;
import fahrbahn.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** A robot put anywhere on the table: what each sensor reads there. */
final class LookPage {
    private final LookModel model;
    private final LookCanvas canvas;
    private final Label where = Nodes.label("", "reason");
    private final GridPane readings = new GridPane();

    LookPage(LookModel model) {
        this.model = model;
        this.canvas = new LookCanvas(model);
    }

    Pages.Page page() {
        Action start = new Action("lookStart", "To the start", KeyCode.S, model::toStart);
        Action bench = new Action("lookBench", "Put the simulated robot here", KeyCode.B, model::putBenchRobot);
        readings.getStyleClass().add("table");
        where.setId("lookWhere");
        where.setWrapText(true);
        VBox left = Nodes.panel(
                "Where it stands: drag it, or use arrow keys. Dashed: the simulated robot",
                Nodes.flow(start.button(), bench.button()),
                Nodes.grow(canvas));
        VBox right = Nodes.panel("What it reads there", where, readings);
        right.setMinWidth(300);
        model.poseProperty().addListener(o -> refresh());
        Follow.of(model.lookout(), this::refresh, readings);
        VBox content = Nodes.column(Nodes.grow(Nodes.row(Nodes.grow(left), right)));
        content.sceneProperty().addListener((o, before, now) -> {
            if (now != null) {
                model.toStart();
                Platform.runLater(canvas::requestFocus);
            }
        });
        return new Pages.Page(content, List.of(start, bench), nowNs -> {
            model.lookout().show();
            canvas.frame();
        });
    }

    private void refresh() {
        Pose pose = model.poseProperty().get();
        canvas.requestLayout();
        where.setText(
                model.lookout().value().refusal().isEmpty()
                        ? "Turning point at " + Words.number(pose.xMm()) + ", " + Words.number(pose.yMm())
                                + " mm, facing "
                                + Words.number(Math.toDegrees(Math.IEEEremainder(pose.headingRad(), 2 * Math.PI)), 2)
                                + " degrees."
                        : model.lookout().value().refusal());
        Optional<fahrbahn.core.sensing.Lookout> lookout = model.lookout().get();
        if (lookout.isEmpty()) {
            return;
        }
        readings.getChildren().clear();
        double[] values = lookout.get().readings(pose);
        String[] heads = {"sensor", "reads", "from dark to light"};
        for (int i = 0; i < heads.length; i++) {
            readings.add(Nodes.label(heads[i], "caption"), i, 0);
        }
        List<Sensor> sensors = lookout.get().setup().robot().sensors();
        for (int i = 0; i < values.length; i++) {
            Sensor sensor = sensors.get(i);
            double share = (values[i] - sensor.dark()) / (sensor.light() - sensor.dark());
            Label value = Nodes.label(Words.number(values[i], 4), "strong");
            value.setId("look-" + sensor.name());
            readings.addRow(i + 1, new Label(sensor.name()), value, new Label(Words.number(100 * share, 2) + " %"));
        }
    }
}
