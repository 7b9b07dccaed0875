package fahrbahn.app.robot;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.core.knowledge.SensorPreset;
import java.util.stream.IntStream;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A whole row of sensors of one kind in the place of those the robot has. */
final class SensorRow {
    private SensorPreset kind = SensorPreset.PHOTOTRANSISTOR;
    private int count = 5;

    VBox build(RobotModel model) {
        ChoiceField<SensorPreset> kinds = new ChoiceField<>(
                "preset",
                "kind",
                "Kind of sensor: sets its typical readings until yours are captured.",
                SensorPreset.values(),
                SensorPreset::words,
                chosen -> kind = chosen);
        kinds.show(kind);
        ChoiceField<Integer> counts = new ChoiceField<>(
                "presetCount",
                "how many",
                "Number of sensors in the row, evenly spaced.",
                IntStream.rangeClosed(1, 16).boxed().toArray(Integer[]::new),
                String::valueOf,
                chosen -> count = chosen);
        counts.show(count);
        Button use = new Button("Use this row");
        use.setId("usePreset");
        use.setOnAction(e -> model.useRow(kind, count));
        use.setMinWidth(Region.USE_PREF_SIZE);
        Nodes.hint(use, "A whole row of one kind, with typical values");
        FlowPane flow = new FlowPane(kinds, counts, new VBox(Nodes.label(" ", "caption"), use));
        flow.getStyleClass().add("fields");
        return Nodes.panel("Another row of sensors", flow);
    }
}
