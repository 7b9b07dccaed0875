package fahrbahn.app.robot;

import fahrbahn.app.chart.Plot;
import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The robot from above, what its layout means, and its numbers. */
final class LayoutPage {
    private final RobotModel model;
    private final TopView top;
    private final SensorPanel sensors;
    private final Plot curve = new Plot("left, mm", "error", "Error across the line");
    private final Plot lead = new Plot("speed, mm/s", "mm", "Distance ahead needed at each speed");
    private final Label curveWords = words("curveWords");
    private final Label spacingWords = words("spacingWords");
    private final Label leadWords = words("leadWords");
    private final Label clearanceWords = words("clearanceWords");

    LayoutPage(RobotModel model) {
        this.model = model;
        this.sensors = new SensorPanel(model, this::choose);
        this.top = new TopView(
                new TopView.Hand() {
                    @Override
                    public void preview(int sensor, double forwardMm, double leftMm) {
                        model.previewSensor(sensor, forwardMm, leftMm);
                    }

                    @Override
                    public void move(int sensor, double forwardMm, double leftMm) {
                        model.moveSensor(sensor, forwardMm, leftMm);
                    }
                },
                this::choose);
    }

    private static Label words(String id) {
        Label label = Nodes.label("", "reason");
        label.setId(id);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    Pages.Page page() {
        Action next = new Action("nextSensor", "next sensor", KeyCode.H, () -> {
            choose((sensors.inHand() + 1)
                    % model.shownProperty().get().robot().sensors().size());
            top.requestFocus();
        });
        curve.setPrefHeight(185);
        curve.setMinHeight(140);
        lead.setPrefHeight(160);
        lead.setMinHeight(140);
        VBox left = Nodes.column(
                Nodes.grow(Nodes.panel(
                        "From above, to scale: drag a sensor, or move it 1 mm by an arrow key", Nodes.grow(top))),
                Nodes.panel("Error over the line", curve, curveWords));
        VBox right = Nodes.column(
                sensors.build(next.button()),
                Nodes.grow(Nodes.panel("Sensors ahead of the axle", leadWords, Nodes.grow(lead))),
                Nodes.panel("Spacing, bumps and ramps", spacingWords, clearanceWords));
        model.shownProperty().addListener(o -> refresh());
        model.insight().lastProperty().addListener(o -> explain());
        refresh();
        explain();
        return new Pages.Page(
                new SideBySide(left, right, 0.47, 64),
                List.of(next),
                nowNs -> model.insight().show());
    }

    private void choose(int sensor) {
        sensors.showInHand(sensor);
        top.showInHand(sensor);
    }

    private void refresh() {
        Setup setup = model.shownProperty().get();
        sensors.refresh();
        top.showInHand(sensors.inHand());
        top.show(setup);
    }

    private void explain() {
        Optional<RobotInsight> insight = model.insight().lastProperty().get();
        if (insight.isEmpty()) {
            return;
        }
        RobotInsight is = insight.get();
        is.curve()
                .ifPresent(c -> curve.show(new CurveChart(
                        c.errors(), c.reachMm(), is.setup().line().widthMm(), c.features())));
        if (!Double.isNaN(is.leastLeadPerSpeedS())) {
            lead.show(new LeadChart(
                    is.leastLeadPerSpeedS(),
                    is.leadMm(),
                    is.setup().speedMmPerS(),
                    is.setup().robot().drive().freeSpeedMmPerS()));
        }
        curveWords.setText(is.curveWords());
        spacingWords.setText(is.spacingWords());
        leadWords.setText(is.leadWords());
        clearanceWords.setText(is.clearanceWords());
    }
}
