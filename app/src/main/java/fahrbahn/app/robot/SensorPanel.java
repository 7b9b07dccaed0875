package fahrbahn.app.robot;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.setup.Sensor;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntConsumer;
import java.util.function.ToDoubleFunction;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** The sensors: which there are, the one in hand with its numbers, and whole rows by kind. */
final class SensorPanel {
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final RobotModel model;
    private final IntConsumer choose;
    private final FlowPane chips = new FlowPane();
    private final List<Runnable> refreshers = new ArrayList<>();
    private int inHand;

    SensorPanel(RobotModel model, IntConsumer choose) {
        this.model = model;
        this.choose = choose;
    }

    private interface With {
        Sensor apply(Sensor sensor, double value);
    }

    /** @param next takes the next sensor in hand */
    VBox build(Button next) {
        chips.getStyleClass().add("chips");
        FlowPane fields = new FlowPane(
                field(
                        "Lead",
                        "lead, mm",
                        "How far this sensor is ahead of the axle, by ruler; negative behind.",
                        Sensor::forwardMm,
                        (s, v) -> s.withPlace(v, s.leftMm())),
                field(
                        "Place",
                        "left, mm",
                        "How far left of the robot's middle, by ruler; negative on the right.",
                        Sensor::leftMm,
                        (s, v) -> s.withPlace(s.forwardMm(), v)),
                field(
                        "Spot",
                        "spot, mm",
                        "Spot size: how far to each side it sees (standard deviation); Slide over the line measures it.",
                        Sensor::spotSigmaMm,
                        Sensor::withSpotSigmaMm),
                field(
                        "Dark",
                        "dark",
                        "Raw reading on dark; Thresholds puts the captured one here.",
                        Sensor::dark,
                        (s, v) -> s.withSurfaces(v, s.light(), s.noise())),
                field(
                        "Light",
                        "light",
                        "Raw reading on light; Thresholds puts the captured one here.",
                        Sensor::light,
                        (s, v) -> s.withSurfaces(s.dark(), v, s.noise())),
                field(
                        "Noise",
                        "noise",
                        "Noise: standard deviation on an even surface; captures measure it.",
                        Sensor::noise,
                        (s, v) -> s.withSurfaces(s.dark(), s.light(), v)),
                field(
                        "Step",
                        "step",
                        "Resolution: the smallest change it can report, 1 for whole numbers.",
                        Sensor::step,
                        Sensor::withStep));
        fields.getStyleClass().addAll("fields", "narrow");
        return Nodes.panel("Sensors, left to right", Nodes.row(Nodes.grow(chips), channel(), next), fields);
    }

    private Node field(String id, String words, String term, ToDoubleFunction<Sensor> get, With with) {
        NumberField field = new NumberField(
                "sensor" + id,
                words,
                term,
                v -> model.type(setup -> setup.withRobot(setup.robot()
                        .withSensor(inHand, with.apply(setup.robot().sensors().get(inHand), v)))));
        refreshers.add(() -> field.show(get.applyAsDouble(sensors().get(inHand))));
        return field;
    }

    private Node channel() {
        ChoiceField<Channel> field = new ChoiceField<>(
                "sensorChannel",
                "works with",
                "Channel by which a colour sensor follows the line; all light for any other",
                Channel.values(),
                Channel::word,
                works -> model.type(setup -> setup.withRobot(setup.robot()
                        .withSensor(inHand, setup.robot().sensors().get(inHand).withChannel(works)))));
        refreshers.add(() -> field.show(sensors().get(inHand).channel()));
        return field.inARow();
    }

    private List<Sensor> sensors() {
        return model.shownProperty().get().robot().sensors();
    }

    void showInHand(int sensor) {
        inHand = Math.max(0, Math.min(sensor, sensors().size() - 1));
        refresh();
    }

    int inHand() {
        return inHand;
    }

    void refresh() {
        inHand = Math.min(inHand, sensors().size() - 1);
        chips.getChildren().clear();
        for (int i = 0; i < sensors().size(); i++) {
            int index = i;
            Button chip = new Button(sensors().get(i).name());
            chip.setId("sensor-" + i);
            chip.getStyleClass().add("chip");
            chip.pseudoClassStateChanged(CHOSEN, i == inHand);
            chip.setOnAction(e -> choose.accept(index));
            chips.getChildren().add(chip);
        }
        refreshers.forEach(Runnable::run);
    }
}
